import { figure } from './sheet';

/** How the cells or blocks of a pack are put together: as found in the old one, or as fitted in the new. */
export interface PackLayout {
  series: number;
  parallel: number;
  /** each cell or block */
  eachAmpHours?: number;
  eachVolts?: number;
}

/**
 * What a pack amounts to: series adds volts, parallel adds amp hours.
 *
 * @param l layout; V and Ah of each
 * @returns V, Ah and Wh of the whole, where they can be known
 * @example packOf({ series: 1, parallel: 3, eachVolts: 12, eachAmpHours: 20 }) // { volts: 12, ampHours: 60, wattHours: 720 }
 */
export function packOf(l: PackLayout): { volts?: number; ampHours?: number; wattHours?: number } {
  const volts = l.eachVolts === undefined ? undefined : l.series * l.eachVolts;
  const ampHours = l.eachAmpHours === undefined ? undefined : l.parallel * l.eachAmpHours;
  return {
    ...(volts === undefined ? {} : { volts }),
    ...(ampHours === undefined ? {} : { ampHours }),
    ...(volts === undefined || ampHours === undefined ? {} : { wattHours: volts * ampHours }),
  };
}

/**
 * A layout in words.
 *
 * @param l layout
 * @returns such as "2 × 9 Ah side by side" or "3 in series, 2 side by side, each 3.7 V, 2.5 Ah"
 * @example layoutWords({ series: 1, parallel: 2, eachAmpHours: 9 }) // '2 side by side, each 9 Ah'
 */
export function layoutWords(l: PackLayout): string {
  const each = [
    l.eachVolts === undefined ? '' : figure(l.eachVolts, 'V'),
    l.eachAmpHours === undefined ? '' : figure(l.eachAmpHours, 'Ah'),
  ].filter(Boolean);
  return [
    l.series > 1 ? `${l.series} in series` : '',
    l.parallel > 1 ? `${l.parallel} side by side` : '',
    l.series * l.parallel === 1 ? 'one' : '',
    each.length ? `each ${each.join(', ')}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** Cells of one pack further apart than this are not even. Common practice, no source. */
export const SPREAD_V = 0.05;

/**
 * Spread of the cells of a pack by their own voltage.
 *
 * @param cellVolts V, each measured by itself
 * @returns the spread in V, and the lowest and highest by number from 1; null under two
 * @example spreadOfCells([4.1, 4.1, 3.95])?.spreadV // 0.15
 */
export function spreadOfCells(
  cellVolts: number[] | undefined,
): { spreadV: number; lowest: number; highest: number } | null {
  if (!cellVolts || cellVolts.length < 2) return null;
  const [low, high] = [Math.min(...cellVolts), Math.max(...cellVolts)];
  return {
    spreadV: Number((high - low).toPrecision(6)),
    lowest: cellVolts.indexOf(low) + 1,
    highest: cellVolts.indexOf(high) + 1,
  };
}
