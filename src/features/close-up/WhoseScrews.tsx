import { useState } from 'react';
import { placeWords, specOf, tally, unclaimed } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { useJob } from '../job/use-job';

/** Screws whose cover is not clear from their words: asked once, before a cover closes without them. */
export function WhoseScrews() {
  const { job, record } = useJob();
  const [wrong, setWrong] = useState<string | null>(null);
  const unclear = unclaimed(job.ledger);
  const covers = job.ledger.covers.filter((c) => c.state !== 'final');
  if (unclear.length === 0 || covers.length === 0) return null;
  const say = (item: string, cover: string | null) =>
    setWrong(record('item.assigned', { item, cover })?.reason ?? null);
  return (
    <section className="grid gap-2 border border-ochre bg-ochre-wash p-3" aria-label="Whose screws">
      {unclear.map((i) => (
        <div key={i.id} className="grid gap-2">
          <p>
            <b>
              Whose are the {tally(i).off} × {specOf(i)}
              {i.from && `, “${i.from}”`}, {placeWords(i.place)}?
            </b>
          </p>
          <span className="flex flex-wrap gap-2">
            {covers.map((c) => (
              <Second key={c.id} small onClick={() => say(i.id, c.id)}>
                The {c.name}
              </Second>
            ))}
            <Second small onClick={() => say(i.id, null)}>
              No cover
            </Second>
          </span>
        </div>
      ))}
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}
