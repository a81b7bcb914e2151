import { checkChemistry } from '../chemistry';
import { demand, Refusal } from '../refusal';
import { readDateCode } from '../unit/date-code';
import { asFound, capacity } from './lines/capacity';
import { chargeClass, chargeCurrent, chemistry, current, packVolts } from './lines/electrical';
import { leadFold, outline, plugFacing } from './lines/in-words';
import { cells, layout } from './lines/pack-lines';
import { guard, lead, plug, polarity } from './lines/plug';
import { size } from './lines/size';
import { age, memory, mounting } from './lines/upkeep';
import { notesOf } from './notes';
import type { BatteryFitRequest, FitLine, FitRule, FitVerdict } from './sheet';
import { worstOf } from './worst';

/** Every line of the comparison, in the order that matters. */
const LINES: FitRule[] = [
  polarity,
  chargeClass,
  packVolts,
  chemistry,
  size,
  capacity,
  current,
  guard,
  plug,
  plugFacing,
  lead,
  leadFold,
  outline,
  chargeCurrent,
  asFound,
  layout,
  cells,
  mounting,
  memory,
  age,
];

export interface BatteryFitAnswer {
  lines: FitLine[];
  /** the worst that decides; what is not known keeps a pass from being one */
  verdict: FitVerdict;
  /** everything that has to be done to make it fit */
  work: string[];
  /** transport, disposal and the cautions of its chemistry */
  notes: string[];
}

/** Over this no figure of a battery is: mm, V, A or Ah. */
const MOST = 1e6;

function checked(s: BatteryFitRequest['old'], at: string): void {
  for (const [name, value] of Object.entries(s))
    if (typeof value === 'number') {
      demand(Number.isFinite(value) && value > 0, 'type a figure over 0', `${at}/${name}`);
      demand(value <= MOST, `no battery has ${value} there`, `${at}/${name}`);
    }
  for (const name of ['series', 'parallel'] as const)
    demand(
      s[name] === undefined || (Number.isInteger(s[name]) && s[name] <= 400),
      'a whole number from 1 to 400',
      `${at}/${name}`,
    );
  s.cellVolts?.forEach((v, i) => {
    demand(Number.isFinite(v) && v > 0, 'type a figure over 0', `${at}/cellVolts/${i}`);
  });
  if (s.dateCode) {
    try {
      readDateCode(s.dateCode);
    } catch (error) {
      if (error instanceof Refusal) throw new Refusal(error.message, `${at}/dateCode`);
      throw error;
    }
  }
}

/**
 * Whether one battery may take the place of another, line by line, each with both figures and the
 * reason. Polarity and charge-voltage class fail it whatever else passes.
 *
 * @param r the two sheets, the bay, the load; mm, V, Ah, A
 * @returns lines in the order that matters, the verdict and the work it takes
 * @throws Refusal with the path of a figure that cannot be
 * @example batteryFit({ old: { contacts: ['+', '-'] }, new: { contacts: ['-', '+'] } }).verdict // 'fail'
 */
export function batteryFit(r: BatteryFitRequest): BatteryFitAnswer {
  checked(r.old, '/old');
  checked(r.new, '/new');
  if (r.bay) checked(r.bay, '/bay');
  for (const name of ['loadAmps', 'chargerAmps'] as const) {
    const x = r[name];
    demand(x === undefined || (Number.isFinite(x) && x > 0), 'type a figure over 0', `/${name}`);
  }
  if (r.rows) checkChemistry(r.rows);
  demand(r.today === undefined || Number.isFinite(Date.parse(r.today)), `“${r.today}” is no date`, '/today');
  const judged = LINES.flatMap((rule) => {
    const line = rule.judge(r);
    return line ? [{ rule, line: { line: rule.line, ...line } }] : [];
  });
  const lines = judged.map((j) => j.line);
  const verdict = worstOf(judged.map((j) => ({ ...j.line, mustKnow: j.rule.mustKnow })));
  return {
    lines,
    verdict,
    notes: notesOf(r),
    work: judged.flatMap(({ rule, line }) =>
      line.verdict === 'fail' && !rule.mendable ? [] : (line.work ?? []),
    ),
  };
}
