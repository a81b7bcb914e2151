/** What is known of one chemistry: its rest voltages, how it is charged, how it ages. */
export interface ChemistryRow {
  /** name of the row: `li-ion cell`, `lead-acid 12 V` */
  chemistry: string;
  /** what its charger is made for */
  class: ChemistryClass;
  /** volts at rest and percent, falling */
  points: [volts: number, percent: number][];
  /** hours at rest before the voltage tells anything */
  restHours: number;
  /** how far a meter and a rest may be off, V */
  doubt: number;
  /** share of the capacity that is used, over 0 and up to 1 */
  depth: number;
  /** Peukert exponent */
  peukert: number;
  /** hours over which its capacity is rated */
  ratedHours: number;
  /** what goes in over what comes out, with the slow end of the charge */
  chargeFactor: number;
  /** most it may be charged with, in times its capacity per hour */
  mostRate: number;
  /** months on the shelf after which it is to be charged or doubted */
  shelfMonths: number;
  /** years in use after which it is usually replaced */
  lifeYears: number;
  /** usual energy density from and to, and beyond which a claim is not credible, Wh/L */
  usualFrom: number;
  usualTo: number;
  credibleTo: number;
  /** pouches under a volume lose more to their packaging */
  small?: { underMl: number; usualFrom: number; usualTo: number; credibleTo: number };
  /** said where a hand comes near it */
  caution: string;
  /** where the figures are from, or `from memory` */
  source: string;
}

/** Classes of chemistry, each with the row that stands for it where only the class is known. */
export const CLASS_ROWS = {
  'li-ion': 'li-ion cell',
  LFP: 'LFP cell',
  'lead-acid': 'AGM 12 V',
  NiMH: 'NiMH cell',
} as const;
export type ChemistryClass = keyof typeof CLASS_ROWS;
export const CHEMISTRY_CLASSES = Object.keys(CLASS_ROWS) as ChemistryClass[];

/** The rows in force, and how often they were changed: 0 as shipped. */
export interface ChemistryTable {
  version: number;
  rows: ChemistryRow[];
}
