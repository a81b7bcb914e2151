import { useState } from 'react';
import { powerDownLeft } from '../../core/job';
import { Second } from '../../ui/Action';
import { AskLine } from '../../ui/AskLine';
import { Clock } from '../../ui/Clock';
import { Wrong } from '../../ui/Field';
import { GateSign } from '../../ui/GateSign';
import { TickBox } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** The way this unit wants to be powered down, step by step, before any of its gates. */
export function PowerDown() {
  const { job, record } = useJob();
  const [passing, setPassing] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const steps = job.map.powerDown ?? [];
  if (steps.length === 0) return null;
  const left = powerDownLeft(job);
  const next = left[0];
  const { passed } = job.poweredDown;
  return (
    <section className="gate" data-up={!next} aria-label="Gate: power down">
      <GateSign up={!next} />
      <div className="grid gap-2">
        <h3 className="text-[20px]">
          {next ? 'Power it down the way it wants' : passed ? 'Not powered down its own way' : 'Powered down'}
        </h3>
        {passed && (
          <p className="text-ochre font-[600]">
            Passed over at <Clock at={passed.at} />: {passed.reason}. It stays in the report.
          </p>
        )}
        <ol className="grid gap-1">
          {steps.map((s, i) => {
            const done = job.poweredDown.done.includes(s.id);
            return (
              <li
                key={s.id}
                className="grid grid-cols-[28px_minmax(0,1fr)_auto] gap-2 items-center min-h-[44px]"
              >
                {done ? <TickBox size={18} /> : <span className="big text-[18px]">{i + 1}</span>}
                <span className="leading-[1.2]">
                  {s === next ? <b>{s.text}</b> : s.text}
                  {s.note && <span className="note block">{s.note}</span>}
                </span>
                {s === next && (
                  <Second
                    small
                    data-next
                    onClick={() => setWrong(record('power-down.done', { step: s.id })?.reason ?? null)}
                  >
                    Done
                  </Second>
                )}
              </li>
            );
          })}
        </ol>
        {next && (
          <Second small className="justify-self-start" onClick={() => setPassing(!passing)}>
            It cannot be done: it is dead
          </Second>
        )}
        {next && passing && (
          <div className="border-t border-rule pt-2">
            <AskLine
              label="Why it is not powered down its own way"
              hint="What the owner may lose by it belongs here. It stays in the report."
              button="Pass it"
              onSay={(reason) => {
                const refused = record('power-down.passed', { reason });
                if (!refused) setPassing(false);
                return refused?.reason ?? null;
              }}
            />
          </div>
        )}
        {wrong && <Wrong>{wrong}</Wrong>}
      </div>
    </section>
  );
}
