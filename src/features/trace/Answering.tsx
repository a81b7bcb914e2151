import { offFor } from '../../core/job';
import { powerOf } from '../../core/unit';
import { Wrong } from '../../ui/Field';
import { Warn } from '../../ui/Signs';
import { useJob } from '../job/use-job';
import { useRefusal } from '../job/use-refusal';
import type { AnswerProps } from './answer';
import { CoverFirst, useCoversOn } from './CoverFirst';
import { LiveMeanwhile } from './LiveMeanwhile';
import { ReadingAnswer } from './ReadingAnswer';
import { WordAnswer } from './WordAnswer';

export type { Typed } from './answer';

/** The answer to one check: what can hurt, what to do first, then a reading or a word. */
export function Answering({ why, ...props }: AnswerProps & { why?: string | undefined }) {
  const { check } = props;
  const { job } = useJob();
  const [wrong, setWrong] = useRefusal();
  const covered = useCoversOn(check.trace.needs).length > 0;
  const off = offFor(job, check);
  const dark = powerOf(check) === 'powered' && job.power === 'off';
  return (
    <div className="grid gap-2 content-start">
      <div className="lead">
        <h3 className="sec">{check.title}</h3>
        <span className="note">{[check.about, check.note].filter(Boolean).join('; ')}</span>
      </div>
      <LiveMeanwhile map={job.map} check={check} />
      {off.length > 0 && (
        <p className="flex gap-2 text-ochre font-[600] text-[14px]">
          <Warn /> {off.map((e) => `${e.id} ${e.name}`).join(', ')} {off.length === 1 ? 'is' : 'are'} off the
          unit: back in first, or this says nothing of {off.length === 1 ? 'it' : 'them'}.
        </p>
      )}
      {dark && !covered && (
        <p className="note">
          The power is off now. It has to be on for this: what the power arms is live again at once.
        </p>
      )}
      {covered ? (
        <CoverFirst check={check} onRefused={setWrong} />
      ) : check.tap?.expect ? (
        <ReadingAnswer {...props} tap={check.tap} expect={check.tap.expect} />
      ) : (
        <WordAnswer {...props} why={why ?? check.why} />
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}
