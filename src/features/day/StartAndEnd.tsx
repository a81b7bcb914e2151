import type { DayPlan } from '../../core/day-plan';
import { TextField } from '../../ui/Field';

/** Where and when a day begins and ends. */
export const StartAndEnd = ({
  plan,
  onPut,
  at,
}: {
  plan: DayPlan;
  onPut(more: Partial<DayPlan>): void;
  at(path: string): string | undefined;
}) => (
  <section aria-label="Begin and end" className="grid gap-2">
    <h2 className="sec">Begin and end</h2>
    <div className="grid grid-cols-[minmax(0,1fr)_132px] gap-3 items-start">
      <TextField
        label="From"
        placeholder="workshop"
        value={plan.start.place}
        onChange={(e) => onPut({ start: { ...plan.start, place: e.target.value } })}
        wrong={at('/start/place')}
        autoComplete="off"
      />
      <TextField
        label="At"
        type="time"
        value={plan.start.at}
        onChange={(e) => onPut({ start: { ...plan.start, at: e.target.value } })}
        wrong={at('/start/at')}
      />
      <TextField
        label="Back to"
        placeholder="wherever it ends"
        value={plan.end.place ?? ''}
        onChange={(e) => onPut({ end: { ...plan.end, place: e.target.value } })}
        wrong={at('/end/place')}
        autoComplete="off"
      />
      <TextField
        label="Until"
        type="time"
        value={plan.end.at}
        onChange={(e) => onPut({ end: { ...plan.end, at: e.target.value } })}
        wrong={at('/end/at')}
      />
    </div>
  </section>
);
