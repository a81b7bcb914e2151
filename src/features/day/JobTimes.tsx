import { useState } from 'react';
import type { DayOffer, PlannedJob } from '../../core/day-plan';
import { jobPath } from '../../schemas/job-path';
import { Second } from '../../ui/Action';
import { TextField } from '../../ui/Field';
import { Tick } from './Tick';

/** A number of minutes as typed; undefined where the field is empty, NaN where it is none. */
const read = (text: string): number | undefined =>
  text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'));

/** Minutes of one task, better known than by the record. */
function Minutes({
  label,
  usual,
  value,
  onPut,
}: {
  label: string;
  usual: number;
  value: number | undefined;
  onPut(minutes: number | undefined): void;
}) {
  const [text, setText] = useState(value === undefined ? '' : String(value));
  const [wrong, setWrong] = useState('');
  return (
    <TextField
      label={label}
      inputMode="decimal"
      placeholder={String(usual)}
      value={text}
      hint="min"
      wrong={wrong || undefined}
      onChange={(e) => {
        setText(e.target.value);
        const n = read(e.target.value);
        const bad = n !== undefined && !(n >= 0 && n <= 2880);
        setWrong(bad ? 'minutes, 0 to 2,880' : '');
        if (!bad) onPut(n);
      }}
    />
  );
}

/** What is said of one job of the day: its times, its minutes, where it is. */
export function JobTimes({
  planned,
  offer,
  wrong,
  onPut,
  onMove,
  onOut,
}: {
  planned: PlannedJob;
  offer: DayOffer;
  wrong: { reason: string; path: string } | null;
  onPut(more: Partial<PlannedJob>): void;
  onMove(by: 1 | -1): void;
  onOut(): void;
}) {
  const at = (name: string) => (wrong?.path.endsWith(`/${name}`) ? wrong.reason : undefined);
  const minutes = (task: string, more: { handsOn?: number | undefined; handsOff?: number | undefined }) => {
    const now = { ...(planned.minutes ?? []).find((m) => m.task === task), ...more };
    const rest = (planned.minutes ?? []).filter((m) => m.task !== task);
    const said = now.handsOn !== undefined || now.handsOff !== undefined;
    onPut({
      minutes: said
        ? [
            ...rest,
            {
              task,
              ...(now.handsOn === undefined ? {} : { handsOn: now.handsOn }),
              ...(now.handsOff === undefined ? {} : { handsOff: now.handsOff }),
            },
          ]
        : rest,
    });
  };
  return (
    <section aria-label={`Times of ${offer.tag}`} className="grid gap-3 pl-11 pr-3 pb-3">
      <div className="grid grid-cols-[repeat(auto-fill,minmax(132px,1fr))] gap-3 items-start">
        <TextField
          label="Not before"
          type="time"
          value={planned.from ?? ''}
          onChange={(e) => onPut({ from: e.target.value })}
          wrong={at('from')}
        />
        <TextField
          label="Over by"
          type="time"
          value={planned.until ?? ''}
          onChange={(e) => onPut({ until: e.target.value })}
          wrong={at('until')}
        />
        <TextField
          label="Where"
          value={planned.place ?? ''}
          placeholder={offer.place || 'place'}
          onChange={(e) => onPut({ place: e.target.value })}
          wrong={at('place')}
          autoComplete="off"
        />
        <TextField
          label="Worth"
          type="number"
          min={0}
          max={1000}
          step="any"
          placeholder="1"
          value={planned.worth ?? ''}
          onChange={(e) => {
            const n = read(e.target.value);
            if (n === undefined || (n >= 0 && n <= 1000)) onPut({ worth: n } as Partial<PlannedJob>);
          }}
        />
      </div>
      <span className="flex flex-wrap gap-x-5">
        <Tick checked={planned.must ?? false} onTick={(must) => onPut({ must })}>
          It must be today
        </Tick>
        <Tick checked={planned.mayLeave ?? false} onTick={(mayLeave) => onPut({ mayLeave })}>
          It may stand alone while it waits
        </Tick>
      </span>
      {offer.tasks.length > 0 && (
        <div className="grid grid-cols-[repeat(auto-fill,minmax(132px,1fr))] gap-3 items-start">
          {offer.tasks.map((t, i) => {
            const said = planned.minutes?.find((m) => m.task === t.id);
            return [
              <Minutes
                key={`${t.id} on`}
                label={t.words}
                usual={t.handsOn}
                value={said?.handsOn}
                onPut={(handsOn) => minutes(t.id, { handsOn })}
              />,
              // Nothing of the day comes after the last one.
              i < offer.tasks.length - 1 && (
                <Minutes
                  key={`${t.id} off`}
                  label={`wait after ${t.id}`}
                  usual={t.handsOff}
                  value={said?.handsOff}
                  onPut={(handsOff) => minutes(t.id, { handsOff })}
                />
              ),
            ];
          })}
        </div>
      )}
      <p className="note">
        {offer.known >= 5
          ? `Minutes: seven in ten of ${offer.known} or more jobs on this model were done within them.`
          : `Minutes: common practice, until five jobs on this model are known (${offer.known} are). Write yours over them.`}
      </p>
      <span className="flex flex-wrap gap-2">
        <Second small onClick={() => onMove(-1)}>
          Earlier
        </Second>
        <Second small onClick={() => onMove(1)}>
          Later
        </Second>
        <Second small onClick={onOut}>
          Out of the day
        </Second>
        <a className="act-2 small" href={jobPath(offer.job, offer.stop)}>
          <span>Open {offer.tag}</span>
        </a>
      </span>
    </section>
  );
}
