import { CHEMISTRY_ROWS, type ChemistryRow, rowOfClass } from '../../chemistry';
import { packOf } from '../pack';
import { type BatteryFitRequest, type BatterySheet, type FitRule, figure, unknown } from '../sheet';

/** What the volume of a battery can hold, against what it claims. */
export interface Credibility {
  whPerL: number;
  typical: [number, number];
  ceiling: number;
  verdict: 'credible' | 'above typical' | 'not credible';
  /** what it likely holds, Ah */
  likely: [number, number];
}

/**
 * The claimed capacity of a battery against what its volume can hold.
 *
 * @param s its sheet
 * @param rows chemistry in force
 * @returns densities in Wh/L and the likely capacity, or null while size, voltage or claim is not known
 * @example credibility({ chemistry: 'li-ion', volts: 3.7, ampHours: 1.2, lengthMm: 40, widthMm: 30, thicknessMm: 3.5 })?.verdict // 'not credible'
 */
export function credibility(s: BatterySheet, rows: ChemistryRow[] = CHEMISTRY_ROWS): Credibility | null {
  const { lengthMm, widthMm, thicknessMm, volts, ampHours } = s;
  if (!lengthMm || !widthMm || !thicknessMm || !volts || !ampHours) return null;
  const ml = (lengthMm * widthMm * thicknessMm) / 1000;
  const row = rowOfClass(rows, s.chemistry ?? 'li-ion');
  if (!row) return null;
  const band = row.small && ml < row.small.underMl ? row.small : row;
  const typical: [number, number] = [band.usualFrom, band.usualTo];
  const ceiling = band.credibleTo;
  const whPerL = (volts * ampHours) / (ml / 1000);
  return {
    whPerL,
    typical,
    ceiling,
    verdict: whPerL > ceiling ? 'not credible' : whPerL > typical[1] ? 'above typical' : 'credible',
    likely: [(typical[0] * ml) / 1000 / volts, (typical[1] * ml) / 1000 / volts],
  };
}

/** Share by which a capacity is as the other one. Common practice, no source. */
const ALIKE = 0.1;

/** What is printed on a battery, and what was found or measured in it, side by side. */
const sides = (s: BatterySheet): string =>
  s.foundAmpHours === undefined
    ? figure(s.ampHours, 'Ah')
    : `printed ${figure(s.ampHours, 'Ah')}, found ${figure(s.foundAmpHours, 'Ah')}`;

export const capacity: FitRule = {
  line: 'capacity',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh, rows }: BatteryFitRequest) {
    const base = { old: sides(old), new: sides(fresh) };
    const c = credibility(fresh, rows);
    // A claim that is too large hurts nobody by itself: everything else decides whether it fits.
    if (c?.verdict === 'not credible')
      return {
        ...base,
        verdict: 'warn',
        why: `${figure(fresh.ampHours, 'Ah')} is not credible: this volume holds ${c.likely[0].toFixed(2)} to ${c.likely[1].toFixed(2)} Ah. Reckon with that`,
      };
    const was = old.foundAmpHours ?? old.ampHours;
    const is = fresh.foundAmpHours ?? fresh.ampHours;
    if (was === undefined || is === undefined) return unknown(base.old, base.new, 'read it from the labels');
    const times = is / was;
    if (times < 1 - ALIKE)
      return { ...base, verdict: 'warn', why: `it runs ${Math.round(100 * times)} % as long` };
    if (times > 1.3)
      return {
        ...base,
        verdict: 'warn',
        why: `charges ${times.toFixed(1)} times as long: does the charger stop on time?`,
      };
    return {
      ...base,
      verdict: c?.verdict === 'above typical' ? 'warn' : 'pass',
      why:
        c?.verdict === 'above typical'
          ? 'more than such a volume usually holds'
          : times > 1 + ALIKE
            ? `it runs ${Math.round(100 * times)} % as long`
            : 'as it was, near enough',
    };
  },
};

export const asFound: FitRule = {
  line: 'as found',
  mustKnow: false,
  mendable: false,
  judge({ old }) {
    const counted = packOf({
      series: old.series ?? 1,
      parallel: old.parallel ?? 1,
      ...(old.eachAmpHours === undefined ? {} : { eachAmpHours: old.eachAmpHours }),
    }).ampHours;
    const found = old.foundAmpHours ?? counted;
    const how = old.foundAmpHours === undefined && counted !== undefined && (old.parallel ?? 1) > 1;
    const base = {
      old: figure(old.ampHours, 'Ah'),
      new: how ? `${old.parallel} × ${figure(old.eachAmpHours, 'Ah')}` : figure(found, 'Ah'),
    };
    if (old.ampHours === undefined || found === undefined)
      return unknown(`plate ${base.old}`, `found ${base.new}`, 'count the cells that are really in it');
    const apart = found / old.ampHours - 1;
    return Math.abs(apart) <= 0.05
      ? {
          old: `plate ${base.old}`,
          new: `found ${base.new}`,
          verdict: 'pass',
          why: 'what the plate says is in it',
        }
      : {
          old: `plate ${base.old}`,
          new: `found ${base.new}`,
          verdict: 'warn',
          why: `an earlier repair fitted ${apart > 0 ? 'more' : 'less'} than the plate says: go by the plate, and say so`,
        };
  },
};
