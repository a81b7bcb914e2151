import { BATTERY_FORMS, type BatterySheet, CHEMISTRY_CLASSES, MOUNTS } from '../../core/fit';
import { Refusal } from '../../core/refusal';
import { readAs, readDateCode } from '../../core/unit';

export type SheetTexts = Partial<Record<keyof BatterySheet, string>>;

interface FieldOf {
  name: keyof BatterySheet;
  label: string;
  /** unit of a number */
  unit?: string;
  options?: readonly string[];
  hint?: string;
  /** only asked of one of the two */
  only?: 'old' | 'new';
}

/** What is asked of a battery, in the order it is read from its label. */
export const FIELDS: FieldOf[] = [
  { name: 'chemistry', label: 'Chemistry', options: CHEMISTRY_CLASSES },
  { name: 'form', label: 'Form', options: BATTERY_FORMS },
  { name: 'volts', label: 'Nominal', unit: 'V' },
  { name: 'cellChargeV', label: 'Full charge, one cell', unit: 'V' },
  { name: 'ampHours', label: 'Capacity, as printed', unit: 'Ah', hint: '1200 mAh or 1.2' },
  { name: 'foundAmpHours', label: 'Capacity, as found or measured', unit: 'Ah' },
  { name: 'lengthMm', label: 'Length', unit: 'mm' },
  { name: 'widthMm', label: 'Width', unit: 'mm' },
  { name: 'thicknessMm', label: 'Thickness', unit: 'mm' },
  { name: 'maxAmps', label: 'Gives at most', unit: 'A' },
  { name: 'contacts', label: 'Contacts, from 1', hint: '+ T −' },
  { name: 'plug', label: 'Plug', hint: 'family, ways, pitch' },
  { name: 'plugFacing', label: 'Plug faces', hint: 'away from the pack, key up' },
  { name: 'leadMm', label: 'Free lead', unit: 'mm' },
  { name: 'protection', label: 'Own protection', options: ['yes', 'no'] },
];

/** What is asked beside it, where it is a pack, a memory cell, or not new any more. */
export const MORE_FIELDS: FieldOf[] = [
  { name: 'leadFold', label: 'Lead is folded', hint: 'once, under the long edge' },
  { name: 'outline', label: 'Outline', hint: 'step 4 × 12 mm at contact 1' },
  { name: 'series', label: 'Cells in series', unit: '' },
  { name: 'parallel', label: 'Side by side', unit: '' },
  { name: 'eachVolts', label: 'Each', unit: 'V' },
  { name: 'eachAmpHours', label: 'Each', unit: 'Ah' },
  { name: 'cellVolts', label: 'Cells measured, V', hint: '4.10 4.11 3.98' },
  { name: 'mount', label: 'Mounting', options: MOUNTS },
  { name: 'dateCode', label: 'Date code', hint: 'year and week, or 05/23' },
  { name: 'keeps', label: 'Lost while it is out', hint: 'clock, settings, counts', only: 'old' },
];

/** Reads the typed fields of one battery; what cannot be read is named by field. */
export function sheetOf(texts: SheetTexts): { sheet: BatterySheet; wrong: Partial<Record<string, string>> } {
  const sheet: Record<string, unknown> = {};
  const wrong: Partial<Record<string, string>> = {};
  for (const f of [...FIELDS, ...MORE_FIELDS]) {
    const text = (texts[f.name] ?? '').trim();
    if (!text) continue;
    try {
      if (f.name === 'cellVolts') {
        sheet.cellVolts = text.split(/[\s;]+/).map((t) => readAs(t, 'V').value);
      } else if (f.unit !== undefined) {
        const { value } = readAs(text, f.unit);
        if (!(value > 0)) throw new Refusal('type a figure over 0');
        sheet[f.name] = value;
      } else if (f.name === 'contacts') {
        const list = text.replaceAll('−', '-').toUpperCase().split(/\s+/);
        if (!list.every((c) => ['+', '-', 'T'].includes(c)))
          throw new Refusal('type + − T with blanks between');
        sheet.contacts = list;
      } else if (f.name === 'dateCode') {
        readDateCode(text);
        sheet.dateCode = text;
      } else if (f.name === 'protection') sheet.protection = text === 'yes';
      else sheet[f.name] = text;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      wrong[f.name] = error.message;
    }
  }
  return { sheet: sheet as BatterySheet, wrong };
}

/** A sheet as it would be typed. */
export function textsOf(sheet: BatterySheet): SheetTexts {
  const words = (v: unknown): string =>
    Array.isArray(v) ? v.join(' ') : typeof v === 'boolean' ? (v ? 'yes' : 'no') : String(v);
  return Object.fromEntries(Object.entries(sheet).map(([k, v]) => [k, words(v)])) as SheetTexts;
}
