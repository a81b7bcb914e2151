import { CHEMISTRY_ROWS, rowOfClass } from '../chemistry';
import { type BatteryFitRequest, figure } from './sheet';

const LITHIUM = new Set(['li-ion', 'LFP']);
/** Thresholds of UN 38.3 and IATA DGR, from memory: the current rules and the carrier decide. */
const PACK_WH = 100;

/**
 * What has to be known beside the lines: the caution of its chemistry, how it may travel, where the old
 * one goes.
 *
 * @param r the two sheets
 * @returns sentences
 * @example notesOf({ old: {}, new: { chemistry: 'li-ion', volts: 36, ampHours: 10 } })[1] // '360 Wh: over 100 Wh …'
 */
export function notesOf({ old, new: fresh, rows = CHEMISTRY_ROWS }: BatteryFitRequest): string[] {
  const notes: string[] = [];
  const row = rowOfClass(rows, fresh.chemistry ?? old.chemistry);
  if (row) notes.push(row.caution);
  const { volts, ampHours, chemistry } = fresh;
  if (chemistry && LITHIUM.has(chemistry) && volts !== undefined && ampHours !== undefined) {
    const wh = volts * ampHours;
    notes.push(
      wh > PACK_WH
        ? `${figure(wh, 'Wh')}: over ${PACK_WH} Wh a pack is dangerous goods in transport. Look up the current rules`
        : `${figure(wh, 'Wh')}: under ${PACK_WH} Wh, the lighter rules of transport usually hold. Look up the current ones`,
    );
  }
  if (old.chemistry)
    notes.push(
      old.chemistry === 'lead-acid'
        ? 'The old one goes back to lead recycling, upright, terminals covered'
        : 'The old one goes to battery recycling, its contacts taped; swollen or dented, in sand or outside',
    );
  return notes;
}
