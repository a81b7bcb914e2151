import { layoutWords, packOf, SPREAD_V, spreadOfCells } from '../pack';
import { type BatterySheet, type FitRule, figure } from '../sheet';

const layoutOf = (s: BatterySheet) =>
  s.series === undefined && s.parallel === undefined
    ? null
    : {
        series: s.series ?? 1,
        parallel: s.parallel ?? 1,
        ...(s.eachAmpHours === undefined ? {} : { eachAmpHours: s.eachAmpHours }),
        ...(s.eachVolts === undefined ? {} : { eachVolts: s.eachVolts }),
      };

/** Two figures further apart than this are not the same, share. */
const SAME = 0.05;

/** How it is put together, as found and as fitted: judged where either is known. */
export const layout: FitRule = {
  line: 'put together',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh }) {
    const [o, n] = [layoutOf(old), layoutOf(fresh)];
    if (!o && !n) return null;
    const base = { old: o ? layoutWords(o) : 'not known', new: n ? layoutWords(n) : 'not known' };
    if (n) {
      const whole = packOf(n);
      for (const [is, said, unit] of [
        [whole.volts, fresh.volts, 'V'],
        [whole.ampHours, fresh.ampHours, 'Ah'],
      ] as const)
        if (is !== undefined && said !== undefined && Math.abs(is / said - 1) > SAME)
          return {
            ...base,
            verdict: 'warn',
            why: `put together it is ${figure(is, unit)}, its label says ${figure(said, unit)}`,
          };
    }
    if (!o || !n)
      return { ...base, verdict: 'not known', why: 'count cells in series and side by side in both' };
    if (o.series !== n.series)
      return { ...base, verdict: 'fail', why: `${n.series} in series where ${o.series} were` };
    return n.parallel === o.parallel
      ? { ...base, verdict: 'pass', why: 'put together alike' }
      : {
          ...base,
          verdict: 'warn',
          why: `${n.parallel} side by side where ${o.parallel} were`,
          caution: 'All of one make, age and charge: a mixed pack lives as long as its weakest.',
        };
  },
};

/** The cells of the new one by their own voltage. */
export const cells: FitRule = {
  line: 'cells even',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh }) {
    const [o, n] = [spreadOfCells(old.cellVolts), spreadOfCells(fresh.cellVolts)];
    if (!o && !n) return null;
    const say = (s: typeof o) =>
      s ? `${Number((s.spreadV * 1000).toPrecision(3))}\u00a0mV apart` : 'not measured';
    const base = { old: say(o), new: say(n) };
    if (!n) return { ...base, verdict: 'not known', why: 'measure each cell of the new one by itself' };
    return n.spreadV <= SPREAD_V
      ? { ...base, verdict: 'pass', why: 'even, within 50 mV' }
      : {
          ...base,
          verdict: 'warn',
          why: `cell ${n.lowest} is low, cell ${n.highest} high: over 50 mV is not even`,
          caution: 'A weak cell is charged backwards by the others. Charge it balanced, then measure again.',
        };
  },
};
