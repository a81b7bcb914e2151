import { useState } from 'react';
import { type Item, unmeasuredTwin } from '../../core/ledger';
import { Refusal } from '../../core/refusal';
import { parseReading } from '../../core/unit';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { NotEqual, TickBox } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** One piece on the rule before the first of its kind goes in, where another length looks just like it. */
export function LengthCheck({ item }: { item: Item }) {
  const { job, record } = useJob();
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const twin = unmeasuredTwin(job.ledger.items, item);
  if (item.measured)
    return (
      <p className="note flex gap-2 items-center">
        <TickBox /> one laid on the rule: {item.measured.mm}&nbsp;mm
      </p>
    );
  if (!twin || item.lengthMm === undefined || twin.lengthMm === undefined) return null;
  const say = (mm: number) =>
    setWrong(record('length.checked', { item: item.id, measuredMm: mm })?.reason ?? null);
  const lengths = [item.lengthMm, twin.lengthMm].sort((a, b) => a - b);
  return (
    <section aria-label="Length" className="border-2 border-ochre-fill p-3 grid gap-2">
      <p className="flex gap-2 items-center font-[650]">
        <NotEqual /> Lay one on the rule: {lengths[0]}&nbsp;mm and {lengths[1]}&nbsp;mm look alike
      </p>
      <form
        className="flex flex-wrap gap-2 items-end"
        onSubmit={(e) => {
          e.preventDefault();
          try {
            say(parseReading(typed));
          } catch (error) {
            if (!(error instanceof Refusal)) throw error;
            setWrong(error.message);
          }
        }}
      >
        {lengths.map((mm) => (
          <Second key={mm} small className="min-h-[64px]!" onClick={() => say(mm)}>
            It is {mm}&nbsp;mm
          </Second>
        ))}
        <TextField
          label="or, mm"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          inputMode="decimal"
          autoComplete="off"
          className="w-[96px]"
        />
        <Second small type="submit">
          Measured
        </Second>
      </form>
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}
