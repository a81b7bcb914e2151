import { useState } from 'react';
import { bareEnds } from '../../core/job';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { Warn } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** Bare ends that lie open: taped over before the next lead comes off. */
export function BareEnds() {
  const { job, record } = useJob();
  const [wrong, setWrong] = useState<string | null>(null);
  const bare = bareEnds(job);
  if (bare.length === 0) return null;
  return (
    <section
      aria-label="Bare ends"
      className="border-b border-rule-strong px-4 py-2 grid gap-2 bg-ochre-wash"
    >
      {bare.map((i) => (
        <p key={i.id} className="flex flex-wrap gap-3 items-center">
          <Warn />
          <span className="flex-1 min-w-[220px]">
            <b>{i.name}</b> has a bare end. Tape it over by itself before anything else comes off.
          </span>
          <Second
            small
            onClick={() =>
              setWrong(
                record('move.recorded', { verb: 'tape', text: `tape ${i.name}`, item: null, on: i.name })
                  ?.reason ?? null,
              )
            }
          >
            {i.name} is taped over
          </Second>
        </p>
      ))}
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}
