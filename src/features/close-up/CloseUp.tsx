import { useState } from 'react';
import { isDone, type JobState } from '../../core/job';
import { holds, stepKey, type WayBackStep, withTurns } from '../../core/ledger';
import { Action, Second } from '../../ui/Action';
import { Foot } from '../../ui/Foot';
import { TickBox } from '../../ui/Signs';
import { useFocusKept } from '../../ui/use-focus-kept';
import { useKept } from '../../ui/use-kept';
import { Faces } from '../faces/Faces';
import { useJob } from '../job/use-job';
import { Covers } from './Covers';
import { Meanwhile } from './Meanwhile';
import { NextStep } from './NextStep';
import { PlugsAtOnce } from './PlugsAtOnce';
import { ToFit } from './ToFit';
import { TryItOpen } from './TryItOpen';
import { useWayHome } from './use-way-home';
import { WhichOrder } from './WhichOrder';
import { WhoseScrews } from './WhoseScrews';

/** The way back, written from what was really recorded: the next thing big, the rest below it. */
export function CloseUp() {
  const { job, go } = useJob();
  const home = useWayHome();
  const [order, setOrder] = useKept<'strict' | 'quicker'>(`mulch-way-back-${job.id}`, 'strict');
  const [picked, setPicked] = useState<string | null>(null);
  const plain = (order === 'quicker' && home.quicker) || home.strict;
  const first = plain.find((s) => s.item && s.item.id === picked);
  const steps = withTurns(job.ledger, first ? [first, ...plain.filter((s) => s !== first)] : plain);
  const next = steps[0];
  const place = useFocusKept<HTMLElement>(next ? stepKey(next) : 'all back');
  if (job.ledger.items.length === 0) {
    return (
      <div className="empty">
        <h2>Nothing came off</h2>
        <p>
          The way back is written from the moves recorded in Open up. There are none, so there is nothing to
          put back.
        </p>
        <Foot>
          <Action keyName="Enter" onClick={() => go(isDone(job) ? 'prove' : 'open up')}>
            {isDone(job) ? 'Prove' : 'Open up'}
          </Action>
        </Foot>
        <ToFit open />
      </div>
    );
  }
  return (
    <div className="cols">
      <section
        ref={place}
        tabIndex={-1}
        className="pad grid gap-4 content-start min-w-0"
        aria-label="Way back"
      >
        <WhoseScrews />
        {next ? <NextStep key={stepKey(next)} step={next} /> : <AllBack />}
        <PlugsAtOnce steps={steps} />
        <Meanwhile home={home} />
        {steps.length > 1 && (
          <>
            <div className="lead border-t border-rule-strong pt-3">
              <h3 className="sec">Then</h3>
              <span className="note">
                {plain === home.strict ? 'last off, first on' : 'the quicker order'}; {steps.length - 1} to
                come
              </span>
            </div>
            <WhichOrder home={home} order={order} onOrder={setOrder} />
            <ol className="rows">
              {steps
                .filter((s) => s !== next)
                .map((s, i) => (
                  <li
                    key={stepKey(s)}
                    className="grid grid-cols-[30px_minmax(0,1fr)_auto] gap-2 items-center"
                  >
                    <span className="big text-[20px] text-bark-2">{i + 2}</span>
                    <span>
                      <b>{s.text}</b>
                      <span className="note block">{s.note}</span>
                    </span>
                    {s.item && (
                      <Second
                        small
                        aria-label={`Now: ${s.text}`}
                        onClick={() => setPicked(s.item?.id ?? null)}
                      >
                        Now
                      </Second>
                    )}
                  </li>
                ))}
            </ol>
          </>
        )}
        <ToFit open={job.ledger.items.some((i) => i.assembly)} />
      </section>
      <section className="content-start">
        <TryItOpen />
        <Covers />
        {(job.map.faces?.length ?? 0) > 0 && (
          <div className="pad border-t border-rule-strong">
            <Faces title="Where it goes" next={coverOfStep(job, next)} most={{ w: 308, h: 280 }} />
          </div>
        )}
      </section>
    </div>
  );
}

/** The cover that a step belongs to: its own, the one whose screws go in, or the one closed. */
function coverOfStep(job: JobState, step: WayBackStep | undefined): string | undefined {
  const { item, cover } = step ?? {};
  return cover?.id ?? item?.cover ?? job.map.access.find((a) => holds(item?.from, a))?.id;
}

function AllBack() {
  const { go } = useJob();
  return (
    <div className="grid gap-3 justify-items-start">
      <h2 className="headline flex items-center gap-3">
        <TickBox size={26} /> Everything is back and closed
      </h2>
      <p className="note">Every piece that came off is back, written off with its replacement, or proven.</p>
      <Foot>
        <Action keyName="8" onClick={() => go('prove')}>
          Prove
        </Action>
      </Foot>
    </div>
  );
}
