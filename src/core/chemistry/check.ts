import { demand } from '../refusal';
import type { ChemistryRow } from './row';

/** Figures of a row, with what none of them can be over. */
const MOST = {
  restHours: 1000,
  doubt: 10,
  depth: 1,
  peukert: 2,
  ratedHours: 1000,
  chargeFactor: 10,
  mostRate: 100,
  shelfMonths: 600,
  lifeYears: 100,
  usualFrom: 10_000,
  usualTo: 10_000,
  credibleTo: 10_000,
} as const;
const FIGURES = Object.keys(MOST) as (keyof typeof MOST)[];

/** What a figure is called where it is wrong. */
export const FIGURE_NAMES: Record<keyof typeof MOST, string> = {
  restHours: 'hours at rest',
  doubt: 'doubt, V',
  depth: 'share used',
  peukert: 'Peukert exponent',
  ratedHours: 'rated over, h',
  chargeFactor: 'charge factor',
  mostRate: 'most charge rate',
  shelfMonths: 'months on the shelf',
  lifeYears: 'years in use',
  usualFrom: 'usual from, Wh/L',
  usualTo: 'usual to, Wh/L',
  credibleTo: 'credible up to, Wh/L',
};

/**
 * Checks rows of chemistry: names once, figures that can be, rest voltages that fall from full to empty,
 * a source on every row.
 *
 * @param rows as typed
 * @throws Refusal with the path of the first thing that is wrong
 * @example checkChemistry(CHEMISTRY_ROWS) // returns
 */
export function checkChemistry(rows: ChemistryRow[]): void {
  demand(rows.length > 0, 'at least one chemistry is needed', '/rows');
  const names = new Set<string>();
  rows.forEach((r, i) => {
    const at = `/rows/${i}`;
    demand(r.chemistry.trim() !== '', 'give the chemistry a name', `${at}/chemistry`);
    demand(!names.has(r.chemistry), `${r.chemistry} is there twice`, `${at}/chemistry`);
    names.add(r.chemistry);
    demand(r.source.trim() !== '', `say where the figures of ${r.chemistry} are from`, `${at}/source`);
    for (const f of FIGURES)
      demand(
        Number.isFinite(r[f]) && r[f] > 0 && r[f] <= MOST[f],
        `${FIGURE_NAMES[f]} of ${r.chemistry} lies over 0 and up to ${MOST[f]}`,
        `${at}/${f}`,
      );
    demand(
      r.peukert >= 1 && r.peukert <= 2,
      `the Peukert exponent of ${r.chemistry} lies from 1 to 2`,
      `${at}/peukert`,
    );
    demand(
      r.usualFrom < r.usualTo && r.usualTo <= r.credibleTo,
      `energy density of ${r.chemistry} rises from usual to credible`,
      `${at}/usualTo`,
    );
    demand(r.points.length >= 2, `${r.chemistry} needs two rest voltages at least`, `${at}/points`);
    r.points.forEach(([v, p], k) => {
      const before = r.points[k - 1];
      demand(
        Number.isFinite(v) && v > 0 && p >= 0 && p <= 100,
        `rest voltage ${k + 1} of ${r.chemistry}: volts over 0, percent from 0 to 100`,
        `${at}/points`,
      );
      demand(
        !before || (v < before[0] && p < before[1]),
        `rest voltages of ${r.chemistry} fall from full to empty: ${v} V, ${p} % does not`,
        `${at}/points`,
      );
    });
  });
}
