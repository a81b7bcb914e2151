import { firstHazards, type HazardState, type Source, type UnitPower } from '../../hazard';
import type { FirstLead, UnitMap } from '../../unit';

export interface ChargeRead {
  percent: number;
  /** rest voltage it was worked out from, and which chemistry rows were in force */
  volts?: number;
  chemistry?: number;
  source: Source;
  at: string;
}

export type UseKind = 'iron' | 'heater' | 'lamp' | 'solvent';

/** Something hot or wet that a move left in use. */
export interface InUse {
  /** the entry that began it */
  id: string;
  use: UseKind;
  /** what it was used on */
  on?: string;
  at: string;
}

export interface MakingSafe {
  power: UnitPower;
  hazards: HazardState[];
  /** steps of powering down that were done, or why they were passed over */
  poweredDown: { done: string[]; passed?: { reason: string; at: string } };
  /** how full each pack was read, by hazard */
  charges: Record<string, ChargeRead>;
  /** packs that are swollen, by hazard */
  swollen: string[];
  /** which lead is parted first on this unit; as the pack asks for when absent */
  firstLead?: FirstLead | 'no rule';
  /** hot tools and wet solvent, until they are said off or dry */
  inUse: InUse[];
  /** leads in the tray whose bare ends are taped over */
  taped: string[];
}

export const startMakingSafe = (map: UnitMap): MakingSafe => ({
  power: 'unknown',
  hazards: firstHazards(map.hazards),
  poweredDown: { done: [] },
  charges: {},
  swollen: [],
  inUse: [],
  taped: [],
});
