import { useState } from 'react';
import { type OpenPoint, openPoints } from '../../core/job';
import { Second } from '../../ui/Action';
import { AskLine } from '../../ui/AskLine';
import { useJob } from '../job/use-job';

/** What is still open on a unit that is mended: each is done, or let go with a reason. */
export function OpenPoints() {
  const { job, go } = useJob();
  const open = openPoints(job);
  if (open.length === 0) return null;
  return (
    <section className="pad grid gap-2 border-t border-rule" aria-label="Still open">
      <h2 className="sec">Still open</h2>
      <ul className="rows">
        {open.map((p) => (
          <Point key={p.id} point={p} />
        ))}
      </ul>
      <Second small className="justify-self-start" onClick={() => go('prove')}>
        Prove
      </Second>
    </section>
  );
}

function Point({ point }: { point: OpenPoint }) {
  const { record } = useJob();
  const [asking, setAsking] = useState(false);
  return (
    <li className="grid gap-1">
      <span className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 items-center">
        {point.what}
        <Second small aria-label={`Let go: ${point.what}`} onClick={() => setAsking(!asking)}>
          Let it go
        </Second>
      </span>
      {asking && (
        <AskLine
          small
          label="Why it is let go"
          hint="It stays in the report, with your name."
          button="Let go"
          onSay={(reason) => record('point.passed', { point: point.id, reason })?.reason ?? null}
        />
      )}
    </li>
  );
}
