import { useEffect, useMemo, useState } from 'react';
import type { ChemistryTable } from '../../core/chemistry';
import { capacityFor, chargeHours, runtimeHours } from '../../core/fit';
import { Refusal } from '../../core/refusal';
import { chargeLeftFrom } from '../../core/sums';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { SelectField, TextField } from '../../ui/Field';
import { useTyped } from '../../ui/use-kept';
import { type BatteryTexts, figureIn } from './bench';
import { sheetOf } from './fields';
import { RestPlot } from './RestPlot';

interface Rest {
  chemistry: string;
  volts: string;
  series: string;
  /** when nothing was drawn from it any more */
  since: string;
  hours: string;
}
const NONE: Rest = { chemistry: 'li-ion cell', volts: '', series: '1', since: '', hours: '8' };
const reading = <T,>(work: () => T): { value: T | null; wrong: string | null } => {
  try {
    return { value: work(), wrong: null };
  } catch (error) {
    if (error instanceof Refusal) return { value: null, wrong: error.message };
    throw error;
  }
};
const span = (hours: number) =>
  hours >= 1 ? `${hours.toFixed(1)}\u00a0h` : `${Math.max(1, Math.round(hours * 60))}\u00a0min`;

/** How full it is after a rest that is timed, how long it charges, and what the hours wanted ask for. */
export function ChargeAndHours({
  texts,
  table,
  onTexts,
}: {
  texts: BatteryTexts;
  table: ChemistryTable;
  onTexts(t: BatteryTexts): void;
}) {
  const [rest, put] = useTyped<Rest>('rest', NONE);
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    setNow(Date.now());
    const beat = setInterval(() => setNow(Date.now()), 10_000);
    return () => clearInterval(beat);
  }, []);
  const row = table.rows.find((r) => r.chemistry === rest.chemistry) ?? table.rows[0];
  const sum = useMemo(() => chargeLeftFrom(table.rows), [table.rows]);
  const charge = reading(() => {
    const restVolts = figureIn(rest.volts, 'V');
    if (restVolts === undefined || !row) return null;
    const series = figureIn(rest.series, '') ?? 1;
    return { ...sum.compute({ chemistry: row.chemistry, restVolts, series }), each: restVolts / series };
  });
  const rested = rest.since && now !== null ? (now - Date.parse(rest.since)) / 3_600_000 : null;
  const left = rested === null || !row ? null : row.restHours - rested;
  const v = charge.value?.values;
  const fresh = sheetOf(texts.new).sheet;
  const old = sheetOf(texts.old).sheet;
  const sheet = fresh.ampHours ? fresh : old;
  const load = reading(() => figureIn(texts.load, 'A'));
  const charger = reading(() => figureIn(texts.charger, 'A'));
  const celsius = reading(() => figureIn(texts.celsius, '°C')).value ?? 20;
  const wanted = reading(() => {
    const hours = figureIn(rest.hours, 'h');
    if (hours === undefined || load.value == null || !sheet.chemistry) return null;
    return capacityFor(sheet.chemistry, load.value, hours, celsius, table.rows);
  });
  const full = charger.value ? chargeHours(sheet, charger.value, table.rows) : null;
  const runs = load.value ? runtimeHours(sheet, load.value, celsius, table.rows) : null;
  return (
    <div className="grid grid-cols-2 max-[1000px]:grid-cols-1 min-h-full [&>*+*]:border-l [&>*+*]:border-rule">
      <section className="pad grid gap-4 content-start" aria-label="Charge left">
        <h2 className="headline">
          {v?.percent === undefined
            ? 'How full is it'
            : v.percentLow === undefined
              ? `About ${Number(v.percent).toFixed(0)} % full`
              : `${Number(v.percentLow).toFixed(0)} to ${Number(v.percentHigh).toFixed(0)} % full`}
        </h2>
        <div className="grid grid-cols-3 gap-3">
          <SelectField
            label="Chemistry"
            value={row?.chemistry ?? ''}
            onChange={(e) => put({ chemistry: e.target.value })}
          >
            {table.rows.map((r) => (
              <option key={r.chemistry}>{r.chemistry}</option>
            ))}
          </SelectField>
          <TextField
            label="At rest, V"
            value={rest.volts}
            onChange={(e) => put({ volts: e.target.value })}
            wrong={charge.wrong ?? undefined}
            autoComplete="off"
          />
          <TextField
            label="In series"
            value={rest.series}
            onChange={(e) => put({ series: e.target.value })}
            autoComplete="off"
          />
        </div>
        <div
          className={`border p-3 grid gap-2 ${left !== null && left > 0 ? 'border-ochre-fill border-2' : 'border-rule-strong'}`}
        >
          <p>
            {rest.since === '' ? (
              <>
                It needs <b>{row?.restHours}&nbsp;h</b> with nothing drawn before its voltage tells anything.
              </>
            ) : left !== null && left > 0 ? (
              <>
                Resting since <Clock at={rest.since} day />: <b>{span(left)}</b> to go. Until then the figure
                says little.
              </>
            ) : (
              <>
                Rested since <Clock at={rest.since} day />, long enough. Read it now.
              </>
            )}
          </p>
          <span className="flex flex-wrap gap-2">
            <Second small onClick={() => put({ since: new Date().toISOString() })}>
              {rest.since ? 'The rest begins anew' : 'The rest begins now'}
            </Second>
            {rest.since && (
              <Second small onClick={() => put({ since: '' })}>
                No rest timed
              </Second>
            )}
          </span>
        </div>
        {charge.value && (
          <p className="note">
            {charge.value.formula}. {charge.value.say}
          </p>
        )}
        {charge.value?.caution && <p className="text-brick font-[600]">{charge.value.caution}</p>}
        {row && (
          <RestPlot
            row={row}
            mark={
              charge.value && v?.percent !== undefined
                ? { volts: charge.value.each, percent: Number(v.percent) }
                : undefined
            }
          />
        )}
        {row && (
          <p className="note">
            {row.caution} Rest voltages: {row.source}
            {table.version > 0 && `, rows of version ${table.version}`}.
          </p>
        )}
      </section>
      <section className="pad grid gap-4 content-start" aria-label="Hours">
        <h2 className="headline">How long</h2>
        {!sheet.chemistry || !sheet.ampHours ? (
          <p className="note">
            Type chemistry and capacity of the new one, or of the old, under Old and new.
          </p>
        ) : (
          <p>
            For {fresh.ampHours ? 'the new one' : 'the old one'}: {sheet.chemistry}, {sheet.ampHours}&nbsp;Ah.
          </p>
        )}
        <div className="grid grid-cols-3 gap-3">
          {(
            [
              ['load', 'Load, A', load.wrong],
              ['charger', 'Charger, A', charger.wrong],
              ['celsius', 'At, °C', null],
            ] as const
          ).map(([key, label, wrong]) => (
            <TextField
              key={key}
              label={label}
              value={texts[key]}
              onChange={(e) => onTexts({ ...texts, [key]: e.target.value })}
              wrong={wrong ?? undefined}
              autoComplete="off"
            />
          ))}
        </div>
        <dl className="grid grid-cols-2 border-y border-rule">
          <div className="py-2">
            <dd className="big text-[32px]">{runs === null ? 'not known' : span(runs)}</dd>
            <dt className="note">
              {load.value ? `at ${load.value}\u00a0A and ${celsius}\u00a0°C, roughly` : 'no load typed'}
            </dt>
          </div>
          <div className="py-2 pl-3 border-l border-rule">
            <dd className="big text-[32px]">{full === null ? 'not known' : span(full)}</dd>
            <dt className="note">
              {charger.value ? `to full at ${charger.value}\u00a0A, roughly` : 'no charger typed'}
            </dt>
          </div>
        </dl>
        <TextField
          label="Hours wanted"
          value={rest.hours}
          onChange={(e) => put({ hours: e.target.value })}
          wrong={wanted.wrong ?? undefined}
          autoComplete="off"
          className="max-w-[200px]"
        />
        {wanted.value !== null && (
          <p>
            That asks for <b className="text-[20px]">{wanted.value.toPrecision(3)}&nbsp;Ah</b>
            {sheet.ampHours &&
              (wanted.value > sheet.ampHours
                ? `, ${(wanted.value / sheet.ampHours).toFixed(1)} times what it has`
                : ', which it has')}
            .
          </p>
        )}
        <p className="note">
          Peukert by chemistry, to the share that is usual, less in the cold; charging with its slow end.
          Common practice and from memory: a maker’s curve comes first.
        </p>
      </section>
    </div>
  );
}
