import { CHEMISTRY_CLASSES, type ChemistryRow } from '../chemistry';

export { CHEMISTRY_CLASSES };
export const BATTERY_FORMS = ['pouch', 'cylindrical', 'prismatic can', 'hard case'] as const;

/** How a battery is held and joined. */
export const MOUNTS = ['plug and strap', 'holder', 'tagged, soldered', 'screw terminals', 'glued'] as const;

/** One battery as it is described for comparing. Everything may be unknown: a line then says so. */
export interface BatterySheet {
  chemistry?: (typeof CHEMISTRY_CLASSES)[number];
  form?: (typeof BATTERY_FORMS)[number];
  lengthMm?: number;
  widthMm?: number;
  thicknessMm?: number;
  /** nominal voltage of the whole pack */
  volts?: number;
  /** full-charge voltage of one cell */
  cellChargeV?: number;
  /** as printed on it */
  ampHours?: number;
  /** as found: cells counted, or measured */
  foundAmpHours?: number;
  /** continuous current it may give */
  maxAmps?: number;
  /** from contact 1: + - T */
  contacts?: ('+' | '-' | 'T')[];
  plug?: string;
  /** which way the plug and its key look */
  plugFacing?: string;
  /** how the lead is folded or led */
  leadFold?: string;
  /** what is particular about its outline: a step, a notch, a tab */
  outline?: string;
  leadMm?: number;
  /** it carries its own protection board */
  protection?: boolean;
  /** cells or blocks in series and side by side, as found or as fitted, and what each is */
  series?: number;
  parallel?: number;
  eachVolts?: number;
  eachAmpHours?: number;
  /** each cell measured by itself, V */
  cellVolts?: number[];
  mount?: (typeof MOUNTS)[number];
  /** what is lost while it is out: clock, settings, counts */
  keeps?: string;
  /** as stamped: year and week, or a month */
  dateCode?: string;
}

export interface BatteryFitRequest {
  old: BatterySheet;
  new: BatterySheet;
  /** room in the unit; the old one's size is taken where it is not known */
  bay?: { lengthMm: number; widthMm: number; thicknessMm: number };
  /** what the unit draws at most */
  loadAmps?: number;
  /** what its charger gives at most */
  chargerAmps?: number;
  /** ISO date, for how old they are */
  today?: string;
  /** chemistry in force, where it is not the one shipped */
  rows?: ChemistryRow[];
}

export const VERDICTS = ['pass', 'warn', 'fits after work', 'not known', 'fail'] as const;
export type FitVerdict = (typeof VERDICTS)[number];

/** The verdict as a bench says it. */
export const VERDICT_WORDS: Record<FitVerdict, string> = {
  pass: 'fits',
  warn: 'mind this',
  'fits after work': 'fits after work',
  'not known': 'not known',
  fail: 'does not fit',
};

export interface FitLine {
  line: string;
  verdict: FitVerdict;
  /** the two figures, with their units */
  old: string;
  new: string;
  why: string;
  /** what has to be done to make it fit: these become moves */
  work?: string[];
  caution?: string;
}

/** What one line judges. */
export interface FitRule {
  line: string;
  /** without it no battery is called fitting */
  mustKnow: boolean;
  /** its work mends it even where it fails: leads exchanged in a plug */
  mendable: boolean;
  /** null where nothing that it judges is known of either */
  judge(r: BatteryFitRequest): Omit<FitLine, 'line'> | null;
}

export const unknown = (old: string, fresh: string, why: string): Omit<FitLine, 'line'> => ({
  verdict: 'not known',
  old,
  new: fresh,
  why,
});

/** A figure with its unit, or that it is not known. */
export const figure = (x: number | undefined, unit: string): string =>
  x === undefined ? 'not known' : `${Number(x.toPrecision(4))}\u00a0${unit}`;
