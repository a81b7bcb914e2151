export const CHEMISTRY_CLASSES = ['li-ion', 'LFP', 'lead-acid', 'NiMH'] as const;
export const BATTERY_FORMS = ['pouch', 'cylindrical', 'prismatic can', 'hard case'] as const;

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
  leadMm?: number;
  /** it carries its own protection board */
  protection?: boolean;
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
}

export const VERDICTS = ['pass', 'warn', 'fits after work', 'not known', 'fail'] as const;
export type FitVerdict = (typeof VERDICTS)[number];

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
  judge(r: BatteryFitRequest): Omit<FitLine, 'line'>;
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
