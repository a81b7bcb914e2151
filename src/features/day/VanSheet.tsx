import { useState } from 'react';
import type { VanLine, VanList } from '../../core/day-plan';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { useFetched } from '../sheet/use-fetched';
import { CameBack } from './CameBack';
import type { DayLink } from './use-day';

const percent = (p: number) =>
  p >= 0.995 && p < 1 ? 'over 99' : p > 0 && p < 0.01 ? 'under 1' : String(Math.round(p * 100));

/** One list of the van, each line with a box to tick. */
function Lines({
  title,
  note,
  lines,
  ticked,
  onTick,
}: {
  title: string;
  note?: string;
  lines: VanLine[];
  ticked: Set<string>;
  onTick(key: string): void;
}) {
  if (lines.length === 0) return null;
  return (
    <section aria-label={title} className="grid">
      <div className="lead">
        <h2 className="sec">{title}</h2>
        {note && <span className="note">{note}</span>}
      </div>
      <ul>
        {lines.map((l) => (
          <li key={l.key} className="border-t border-rule">
            <label className="grid grid-cols-[28px_minmax(0,1fr)_auto] gap-2 items-center min-h-11 py-1">
              <input
                type="checkbox"
                className="size-5"
                checked={ticked.has(l.key)}
                onChange={() => onTick(l.key)}
              />
              <span className="leading-[1.2]">
                <b>{l.what}</b>
                <span className="note block">
                  {[l.tags.join(', '), l.where, l.litres !== undefined && `${l.litres}\u00a0L`]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </span>
              <span className="note text-right">
                {l.chance < 1 && `wanted ${percent(l.chance)}\u00a0%`}
                {l.gain !== undefined && l.gain >= 0.5 && (
                  <span className="block">saves up to {Math.round(l.gain)}&nbsp;min</span>
                )}
              </span>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What goes into the van for the day, ticked as it goes in, and booked as it comes back. */
export function VanSheet({ link }: { link: DayLink }) {
  const { plan, house, saveHouse, change, version, saved } = link;
  const { data, away } = useFetched<VanList>(
    version === 0 || !saved
      ? null
      : `/api/days/${plan.day}/van?person=${encodeURIComponent(plan.person)}&v=${plan.jobs.length}-${house.litres ?? ''}`,
  );
  const [litres, setLitres] = useState(house.litres === undefined ? '' : String(house.litres));
  const [wrong, setWrong] = useState('');
  const ticked = new Set(plan.van.ticked);
  const tick = (key: string) =>
    change({
      van: {
        ...plan.van,
        ticked: ticked.has(key) ? plan.van.ticked.filter((k) => k !== key) : [...plan.van.ticked, key],
      },
    });
  if (plan.jobs.length === 0)
    return (
      <div className="empty">
        <h2>Nothing to pack for</h2>
        <p>Take jobs into the day first: tools, parts and spares follow from them.</p>
      </div>
    );
  if (away) return <Wrong>The list did not come: the server does not answer.</Wrong>;
  if (!data)
    return (
      <p className="note" role="status">
        {version === 0 ? 'It comes once the day is kept' : 'Packing it'}
      </p>
    );
  const groups = [data.tools, data.consumables, data.parts, data.spares];
  const all = groups.flat();
  const along = [...data.parts, ...data.spares].filter((l) => l.item && ticked.has(l.key));
  const inside = all.filter((l) => ticked.has(l.key)).length;
  return (
    <section aria-label="The van" className="grid gap-4">
      <div className="lead">
        <p className="leading-[1.3]">
          <b className="text-[18px]">
            {inside} of {all.length} in the van
          </b>
          {data.chance !== null && (
            <span className="note block">
              No other trip for parts: {percent(data.chance)}&nbsp;%, as far as the maps know
            </span>
          )}
          <span className="note block">
            {data.litres}&nbsp;L{house.litres !== undefined && ` of ${house.litres}\u00a0L`}
            {data.roomUnknown > 0 && `, and ${data.roomUnknown} whose room nobody wrote down`}
          </span>
        </p>
        <form
          noValidate
          className="flex gap-2 items-end no-print"
          onSubmit={async (e) => {
            e.preventDefault();
            const n = Number(litres.trim().replace(',', '.'));
            if (litres.trim() && !(n >= 0)) return setWrong('litres, 0 or more');
            const { litres: _litres, ...rest } = house;
            const failed = await saveHouse(litres.trim() ? { ...rest, litres: n } : rest);
            setWrong(failed?.reason ?? '');
          }}
        >
          <TextField
            label="Room for spares"
            inputMode="decimal"
            placeholder="any"
            hint="litres"
            value={litres}
            onChange={(e) => setLitres(e.target.value)}
            wrong={wrong || undefined}
          />
          <Second small type="submit">
            Pack anew
          </Second>
        </form>
      </div>
      {data.unknown.length > 0 && (
        <p className="text-ochre leading-[1.3]">
          Nobody knows yet what <b>{data.unknown.join(', ')}</b> will want: say what fails in Take in, or plan
          it.
        </p>
      )}
      {data.missing.length > 0 && (
        <section aria-label="Not in the store">
          <h2 className="sec text-ochre">Not in the store</h2>
          <ul>
            {data.missing.map((m) => (
              <li key={m.key} className="border-t border-rule py-1 leading-[1.3]">
                <b>{m.what}</b> for {m.tags.join(', ')}
                <span className="note">
                  {m.chance === 1 ? ', planned' : `, wanted ${percent(m.chance)}\u00a0%`}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Lines title="Parts that are planned" lines={data.parts} ticked={ticked} onTick={tick} />
      <Lines title="Tools" lines={data.tools} ticked={ticked} onTick={tick} />
      <Lines title="Used up" lines={data.consumables} ticked={ticked} onTick={tick} />
      <Lines
        title="Spares"
        note="by the minutes of another trip they save"
        lines={data.spares}
        ticked={ticked}
        onTick={tick}
      />
      {data.stays.length > 0 && (
        <section aria-label="Stays here" className="no-print">
          <h2 className="sec">Stays here</h2>
          <p className="note">
            {data.stays.map((l) => `${l.what} (${percent(l.chance)}\u00a0%)`).join(', ')}
          </p>
        </section>
      )}
      {all.length === 0 && data.missing.length === 0 && data.unknown.length === 0 && (
        <p className="note">
          These jobs want nothing that is known. Add to their kit in Plan what is to go along.
        </p>
      )}
      {along.length > 0 && <CameBack link={link} lines={along} />}
    </section>
  );
}
