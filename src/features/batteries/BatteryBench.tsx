import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import {
  type BatteryFitAnswer,
  batteryFit,
  credibility,
  type FitLine,
  type FitVerdict,
} from '../../core/fit';
import { Refusal } from '../../core/refusal';
import { readAs } from '../../core/unit';
import { Second } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { TickBox, Warn } from '../../ui/Signs';
import { UnitsFrame } from '../units/UnitsFrame';
import { BatteryDrawing, scaleOf } from './BatteryDrawing';
import { FIELDS, type SheetTexts, sheetOf } from './fields';
import { Gauge } from './Gauge';

/** The chart is fetched once both are known well enough. */
const RuntimePlot = lazy(() => import('./RuntimePlot').then((m) => ({ default: m.RuntimePlot })));

interface Bench {
  old: SheetTexts;
  new: SheetTexts;
  load: string;
  charger: string;
  celsius: string;
}
const EMPTY: Bench = { old: {}, new: {}, load: '', charger: '', celsius: '20' };
const KEPT = 'mulch-batteries';
const kept = (): Bench => {
  try {
    return { ...EMPTY, ...(JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Partial<Bench>) };
  } catch {
    return EMPTY;
  }
};

const INK: Record<FitVerdict, string> = {
  pass: 'text-moss',
  warn: 'text-ochre',
  'fits after work': 'text-ochre',
  'not known': 'text-bark-2',
  fail: 'text-brick',
};
/** The verdict of a line as a bench says it. */
const SAID: Record<FitVerdict, string> = {
  pass: 'fits',
  warn: 'mind this',
  'fits after work': 'fits after work',
  'not known': 'not known',
  fail: 'does not fit',
};
const HEAD: Record<FitVerdict, string> = {
  pass: 'It fits, as far as is known',
  warn: 'It fits, with something to know',
  'fits after work': 'It fits after work',
  'not known': 'Not enough is known to say',
  fail: 'Do not fit it',
};

const figure = (text: string, unit: string): number | undefined => {
  if (!text.trim()) return undefined;
  const { value } = readAs(text, unit);
  return value;
};

/** Old and new battery side by side, to scale, with a verdict on every line. */
export function BatteryBench() {
  const [b, setB] = useState<Bench>(EMPTY);
  const [alive, setAlive] = useState(false);
  useEffect(() => {
    setB(kept());
    setAlive(true);
  }, []);
  const put = (more: Partial<Bench>) => {
    const next = { ...b, ...more };
    setB(next);
    localStorage.setItem(KEPT, JSON.stringify(next));
  };
  const old = useMemo(() => sheetOf(b.old), [b.old]);
  const fresh = useMemo(() => sheetOf(b.new), [b.new]);
  const { answer, amps, celsius, refusal } = useMemo<{
    answer: BatteryFitAnswer | null;
    amps: number | undefined;
    celsius: number;
    refusal: string | null;
  }>(() => {
    try {
      const loadAmps = figure(b.load, 'A');
      const chargerAmps = figure(b.charger, 'A');
      const t = figure(b.celsius, '°C') ?? 20;
      const r = batteryFit({
        old: old.sheet,
        new: fresh.sheet,
        ...(loadAmps === undefined ? {} : { loadAmps }),
        ...(chargerAmps === undefined ? {} : { chargerAmps }),
      });
      return { answer: r, amps: loadAmps, celsius: t, refusal: null };
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      return { answer: null, amps: undefined, celsius: 20, refusal: error.message };
    }
  }, [b, old, fresh]);
  const claim = credibility(fresh.sheet);
  const scale = scaleOf(old.sheet, fresh.sheet);
  const wrongAt = (old.sheet.contacts ?? []).findIndex(
    (c, i) => fresh.sheet.contacts && fresh.sheet.contacts[i] !== c,
  );
  const begun = Object.keys(old.sheet).length + Object.keys(fresh.sheet).length > 0;

  return (
    <UnitsFrame
      tag="Cells"
      title="Battery bench"
      about="does the new one fit, and can it hold what it claims"
    >
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1.15fr)] max-[1100px]:grid-cols-1 min-h-full [&>*+*]:border-l [&>*+*]:border-rule">
        {(['old', 'new'] as const).map((which) => {
          const read = which === 'old' ? old : fresh;
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
                sheet={read.sheet}
                scale={scale}
                wrongAt={which === 'new' ? wrongAt : -1}
                label={which === 'old' ? 'Old battery' : 'New battery'}
              />
              <div className="grid grid-cols-2 gap-x-3 gap-y-2">
                {FIELDS.filter((f) => !f.only || f.only === which).map((f) => {
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
                      wrong={read.wrong[f.name]}
                      autoComplete="off"
                    />
                  );
                })}
              </div>
            </section>
          );
        })}
        <section className="pad grid gap-4 content-start" aria-label="Verdict">
          <h2 className={`headline ${answer && begun ? INK[answer.verdict] : ''}`}>
            {answer && begun ? HEAD[answer.verdict] : 'Type what the labels say'}
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
          {alive && amps !== undefined && amps > 0 && (old.sheet.ampHours || fresh.sheet.ampHours) && (
            <Suspense fallback={<p className="note">Drawing the curve</p>}>
              <RuntimePlot old={old.sheet} fresh={fresh.sheet} amps={amps} celsius={celsius} />
            </Suspense>
          )}
          <p className="note border-t border-rule pt-3">
            Read polarity and voltage at the plug before it goes in. Swollen, dented or hot: it is not fitted
            and not sent. A glued cell that was taken out is not fitted again. The maker’s instructions and
            local codes come first; old ones go to battery recycling with their contacts taped.
          </p>
          <Second small className="justify-self-start" onClick={() => put(EMPTY)}>
            Clear both
          </Second>
        </section>
      </div>
    </UnitsFrame>
  );
}

function Line({ l }: { l: FitLine }) {
  return (
    <li className="grid grid-cols-[112px_minmax(0,1fr)] gap-3 leading-[1.25]">
      <span className={`flex gap-1 items-start font-[650] ${INK[l.verdict]}`}>
        {l.verdict === 'pass' ? <TickBox size={15} /> : l.verdict === 'not known' ? null : <Warn size={15} />}
        {SAID[l.verdict]}
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
