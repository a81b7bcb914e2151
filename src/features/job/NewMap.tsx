import { useEffect, useState } from 'react';
import { type MapChange, mapChanges, missedBy } from '../../core/job';
import type { UnitMap } from '../../core/unit';
import { Second } from '../../ui/Action';
import { useJob } from './use-job';

interface Kept {
  id: string;
  version: number;
  map: UnitMap;
}

const SHOWN = 4;
const few = (names: string[]) =>
  names.length > SHOWN
    ? `${names.slice(0, SHOWN).join(', ')} and ${names.length - SHOWN} more`
    : names.join(', ');

function words({ part, added, gone, changed }: MapChange): string {
  return [
    added.length ? `${added.length} more: ${few(added)}` : '',
    gone.length ? `gone: ${few(gone)}` : '',
    changed.length ? `otherwise: ${few(changed)}` : '',
  ]
    .filter(Boolean)
    .map((w, i) => (i === 0 ? `${part}, ${w}` : w))
    .join('; ');
}

/** The map of the unit was changed since this job took it: what changes, and the job goes on with it. */
export function NewMap() {
  const { job, record } = useJob();
  const [kept, setKept] = useState<Kept | null>(null);
  const [later, setLater] = useState(0);
  const [wrong, setWrong] = useState<string | null>(null);
  const id = job.unit?.id;
  useEffect(() => {
    if (!id) return;
    const look = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        const all = (await (await fetch('/api/units')).json()) as Kept[];
        setKept(all.find((u) => u.id === id) ?? null);
      } catch {
        // Without a connection the job goes on with the map it has.
      }
    };
    void look();
    window.addEventListener('focus', look);
    document.addEventListener('visibilitychange', look);
    return () => {
      window.removeEventListener('focus', look);
      document.removeEventListener('visibilitychange', look);
    };
  }, [id]);
  if (!kept || job.handedOver || kept.version <= (job.unit?.version ?? 0) || kept.version === later)
    return null;
  const changes = mapChanges(job.whole, kept.map);
  const missed = missedBy(job, kept.map);
  if (changes.length === 0) return null;
  return (
    <section aria-label="Changed map" className="border-b border-rule-strong bg-kraft px-4 py-2 grid gap-2">
      <p>
        <b>The map of this unit has changed.</b> Taken over, it counts from here on; nothing recorded is lost.
      </p>
      <ul className="list-disc pl-5 text-[15px]">
        {changes.map((c) => (
          <li key={c.part}>{words(c)}</li>
        ))}
      </ul>
      {missed.length > 0 && (
        <p className="text-ochre font-[600]">
          It does not have {missed.join(', nor ')}: change the map, or go on with the one the job has.
        </p>
      )}
      {wrong && <p className="text-ochre font-[600]">{wrong}</p>}
      <span className="flex flex-wrap gap-2">
        <Second
          small
          disabled={missed.length > 0}
          onClick={() =>
            setWrong(record('map.taken', { map: kept.map, version: kept.version })?.reason ?? null)
          }
        >
          Take it over
        </Second>
        <Second small onClick={() => setLater(kept.version)}>
          Go on with the old one
        </Second>
      </span>
    </section>
  );
}
