import { useEffect, useMemo, useState } from 'react';
import type { ChemistryTable } from '../../core/chemistry';
import { credibility, type FitLine, type FitVerdict, VERDICT_WORDS } from '../../core/fit';
import { Second } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { later } from '../../ui/later';
import { TickBox, Warn } from '../../ui/Signs';
import { BatteryDrawing, scaleOf } from './BatteryDrawing';
import { type BatteryTexts, EMPTY_TEXTS, readBench } from './bench';
import { FIELDS, MORE_FIELDS } from './fields';
import { Gauge } from './Gauge';
import { PackDrawing } from './PackDrawing';

/** The chart is fetched once both are known well enough. */
const RuntimePlot = later(
  () => import('./RuntimePlot').then((m) => m.RuntimePlot),
  () => <p className="note">Drawing the curve</p>,
);

export const VERDICT_INK: Record<FitVerdict, string> = {
  pass: 'text-moss',
  warn: 'text-ochre',
  'fits after work': 'text-ochre',
  'not known': 'text-bark-2',
  fail: 'text-brick',
};
export const VERDICT_HEAD: Record<FitVerdict, string> = {
  pass: 'It fits, as far as is known',
  warn: 'It fits, with something to know',
  'fits after work': 'It fits after work',
  'not known': 'Not enough is known to say',
  fail: 'Do not fit it',
};

/** Old and new battery side by side, to scale, with a verdict on every line. */
export function BatterySheets({
  texts: b,
  table,
  onTexts,
}: {
  texts: BatteryTexts;
  table: ChemistryTable;
  onTexts(t: BatteryTexts): void;
}) {
  const [alive, setAlive] = useState(false);
  const [more, setMore] = useState(false);
  useEffect(() => setAlive(true), []);
  const today = useMemo(() => new Date().toISOString(), []);
  const read = useMemo(() => readBench(b, table, today), [b, table, today]);
  const put = (change: Partial<BatteryTexts>) => onTexts({ ...b, ...change });
  const { answer, amps, celsius, refusal } = read;
  const { old, new: fresh } = read.request;
  const claim = credibility(fresh, table.rows);
  const scale = scaleOf(old, fresh);
  const wrongAt = (old.contacts ?? []).findIndex((c, i) => fresh.contacts && fresh.contacts[i] !== c);
  const begun = Object.keys(old).length + Object.keys(fresh).length > 0;
  const fields = more ? [...FIELDS, ...MORE_FIELDS] : FIELDS;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1.15fr)] max-[1100px]:grid-cols-1 min-h-full [&>*+*]:border-l [&>*+*]:border-rule">
      {(['old', 'new'] as const).map((which) => {
        const sheet = read.request[which];
        return (
          <section
            key={which}
            className="pad grid gap-3 content-start"
            aria-label={which === 'old' ? 'Old battery' : 'New battery'}
          >
            <div className="lead">
              <h2 className="headline">{which === 'old' ? 'Old' : 'New'}</h2>
              {which === 'new' && (
                <Second small onClick={() => put({ new: { ...b.old } })}>
                  As the old one
                </Second>
              )}
            </div>
            <BatteryDrawing
              sheet={sheet}
              scale={scale}
              wrongAt={which === 'new' ? wrongAt : -1}
              label={which === 'old' ? 'Old battery' : 'New battery'}
            />
            <PackDrawing sheet={sheet} fitted={which === 'new'} />
            <div className="grid grid-cols-2 gap-x-3 gap-y-2">
              {fields
                .filter((f) => !f.only || f.only === which)
                .map((f) => {
                  const label = f.unit ? `${f.label}, ${f.unit}` : f.label;
                  const value = b[which][f.name] ?? '';
                  const set = (text: string) => put({ [which]: { ...b[which], [f.name]: text } });
                  return f.options ? (
                    <SelectField
                      key={f.name}
                      label={label}
                      value={value}
                      onChange={(e) => set(e.target.value)}
                    >
                      <option value="">not known</option>
                      {f.options.map((o) => (
                        <option key={o}>{o}</option>
                      ))}
                    </SelectField>
                  ) : (
                    <TextField
                      key={f.name}
                      label={label}
                      value={value}
                      onChange={(e) => set(e.target.value)}
                      hint={f.hint}
                      wrong={read.wrong[which][f.name]}
                      autoComplete="off"
                    />
                  );
                })}
            </div>
            {which === 'old' && (
              <Second
                small
                className="justify-self-start"
                onClick={() => setMore(!more)}
                aria-expanded={more}
              >
                {more ? 'Fewer fields' : 'Cells, mounting, date, what is lost'}
              </Second>
            )}
          </section>
        );
      })}
      <section className="pad grid gap-4 content-start" aria-label="Verdict">
        <h2 className={`headline ${answer && begun ? VERDICT_INK[answer.verdict] : ''}`}>
          {answer && begun ? VERDICT_HEAD[answer.verdict] : 'Type what the labels say'}
        </h2>
        {refusal && <Wrong>{refusal}</Wrong>}
        <div className="grid grid-cols-3 gap-3">
          <TextField
            label="Load, A"
            value={b.load}
            onChange={(e) => put({ load: e.target.value })}
            autoComplete="off"
          />
          <TextField
            label="Charger, A"
            value={b.charger}
            onChange={(e) => put({ charger: e.target.value })}
            autoComplete="off"
          />
          <TextField
            label="At, °C"
            value={b.celsius}
            onChange={(e) => put({ celsius: e.target.value })}
            autoComplete="off"
          />
        </div>
        {claim && (
          <div className="border-t border-rule pt-3">
            <h3 className="sec pb-1">Can it hold that</h3>
            <Gauge c={claim} />
          </div>
        )}
        {answer && begun && (
          <ol className="rows border-t border-rule-strong">
            {answer.lines.map((l) => (
              <Line key={l.line} l={l} />
            ))}
          </ol>
        )}
        {answer && answer.work.length > 0 && (
          <div>
            <h3 className="sec">Work it takes</h3>
            <ol className="list-decimal pl-5">
              {answer.work.map((w) => (
                <li key={w}>{w}</li>
              ))}
            </ol>
          </div>
        )}
        {alive && amps !== undefined && amps > 0 && (old.ampHours || fresh.ampHours) && (
          <RuntimePlot old={old} fresh={fresh} amps={amps} celsius={celsius} rows={table.rows} />
        )}
        {answer && answer.notes.length > 0 && begun && (
          <ul className="list-disc pl-5 border-t border-rule pt-3 text-[14px]">
            {answer.notes.map((n) => (
              <li key={n}>{n}.</li>
            ))}
          </ul>
        )}
        <p className="note border-t border-rule pt-3">
          Chemistry {table.version === 0 ? 'as shipped' : `rows of version ${table.version}`}. Read polarity
          and voltage at the plug before it goes in. Swollen, dented or hot: it is not fitted and not sent. A
          glued cell that was taken out is not fitted again. The maker’s instructions and local codes come
          first; old ones go to battery recycling with their contacts taped.
        </p>
        <Second small className="justify-self-start" onClick={() => onTexts(EMPTY_TEXTS)}>
          Clear both
        </Second>
      </section>
    </div>
  );
}

function Line({ l }: { l: FitLine }) {
  return (
    <li className="grid grid-cols-[112px_minmax(0,1fr)] gap-3 leading-[1.25]">
      <span className={`flex gap-1 items-start font-[650] ${VERDICT_INK[l.verdict]}`}>
        {l.verdict === 'pass' ? <TickBox size={15} /> : l.verdict === 'not known' ? null : <Warn size={15} />}
        {VERDICT_WORDS[l.verdict]}
      </span>
      <span>
        <b>{l.line}</b> <span className="text-[14px] whitespace-nowrap">{l.old}</span>{' '}
        <span className="text-[14px] border-l border-rule-strong pl-2">{l.new}</span>
        <span className="block text-[14px]">{l.why}</span>
        {l.caution && <span className="block text-brick font-[600] text-[14px]">{l.caution}</span>}
      </span>
    </li>
  );
}
