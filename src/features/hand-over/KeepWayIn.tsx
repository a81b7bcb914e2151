import { useMemo, useState } from 'react';
import { recipeOf, withWayIn } from '../../core/recipe';
import type { UnitMap } from '../../core/unit';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { useJob } from '../job/use-job';
import { send } from '../units/send';

interface Kept {
  id: string;
  version: number;
  place: string;
  map: UnitMap;
}

/** What was learned on the way in, kept on the unit's map for whoever opens it next. */
export function KeepWayIn() {
  const { job, events } = useJob();
  const moves = useMemo(() => recipeOf(job, events), [job, events]);
  const [said, setSaid] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { unit } = job;
  // Sides drawn and pins set at the bench belong to the model, not to this one job.
  const faces = job.whole.faces ?? [];
  const first = events[0];
  const before = first?.type === 'job.opened' ? first.map.faces : undefined;
  const drawn = JSON.stringify(faces) !== JSON.stringify(before ?? []);
  if (!unit || (moves.length === 0 && !drawn)) return null;
  const keep = async () => {
    setBusy(true);
    setWrong(null);
    try {
      const all = (await (await fetch('/api/units')).json()) as Kept[];
      const now = all.find((u) => u.id === unit.id);
      if (!now) throw new Error('this unit is not on the shelf any more');
      const sent = await send<{ version: number }>('/api/units', {
        id: now.id,
        version: now.version,
        map: { ...withWayIn(now.map, job, moves), ...(drawn ? { faces } : {}) },
        ...(now.place ? { place: now.place } : {}),
      });
      if (sent.ok) setSaid(`kept on the map, version ${sent.data.version}`);
      else setWrong(sent.failure.reason);
    } catch (error) {
      setWrong(error instanceof Error ? error.message : 'no connection to the server');
    }
    setBusy(false);
  };
  const minutes = moves.reduce((m, x) => m + x.minutes, 0);
  return (
    <div className="pad grid gap-2 border-t border-rule">
      <h3 className="sec">What was learned</h3>
      <p className="note">
        {moves.length > 0 && (
          <>
            The way in wrote itself: {moves.length} {moves.length === 1 ? 'move' : 'moves'}, about{' '}
            {Number(minutes.toFixed(1))}&nbsp;min.{' '}
          </>
        )}
        {drawn && 'Faces and pins were set. '}
        Kept on the map, it leads the next one who opens this model.
      </p>
      <div className="flex flex-wrap gap-3 items-center">
        <Second small onClick={keep} disabled={busy}>
          {busy ? 'Keeping' : 'Keep the way in for next time'}
        </Second>
        <span className="note" role="status">
          {said}
        </span>
      </div>
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}
