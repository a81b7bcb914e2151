import { Refusal } from '../refusal';
import type { ChemistryRow } from './row';

/**
 * Reads rest voltages as typed: `4.2 100, 3.98 80, 3 0`.
 *
 * @param text volts and percent, pairs parted by commas or semicolons
 * @returns pairs in their order
 * @throws Refusal naming the pair that cannot be read
 * @example readPoints('4.2 100; 3 0') // [[4.2, 100], [3, 0]]
 */
export function readPoints(text: string): ChemistryRow['points'] {
  return text
    .split(/[;\n]|,\s/)
    .map((t) => t.trim())
    .filter(Boolean)
    .map((t, i) => {
      const [v, p, ...more] = t
        .replace(/%|V/gi, ' ')
        .trim()
        .split(/\s+/)
        .map((x) => Number(x.replace(',', '.')));
      if (v === undefined || p === undefined || more.length || !Number.isFinite(v) || !Number.isFinite(p))
        throw new Refusal(`pair ${i + 1}, “${t}”: type volts and percent, as 3.98 80`);
      return [v, p];
    });
}

/** The same, written out. */
export const pointsText = (points: ChemistryRow['points']): string =>
  points.map(([v, p]) => `${v} ${p}`).join('; ');
