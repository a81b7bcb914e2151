import type { ChemistryTable } from '../../core/chemistry';
import { type BatteryFitAnswer, type BatteryFitRequest, batteryFit } from '../../core/fit';
import { Refusal } from '../../core/refusal';
import { readAs } from '../../core/unit';
import { type SheetTexts, sheetOf } from './fields';

/** What is typed on the battery bench. */
export interface BatteryTexts {
  old: SheetTexts;
  new: SheetTexts;
  load: string;
  charger: string;
  celsius: string;
}
export const EMPTY_TEXTS: BatteryTexts = { old: {}, new: {}, load: '', charger: '', celsius: '20' };

export const figureIn = (text: string, unit: string): number | undefined =>
  text.trim() ? readAs(text, unit).value : undefined;

export interface BatteryRead {
  request: BatteryFitRequest;
  answer: BatteryFitAnswer | null;
  amps: number | undefined;
  celsius: number;
  refusal: string | null;
  wrong: Record<'old' | 'new', Partial<Record<string, string>>>;
}

/** What was typed, read and judged with the chemistry in force. */
export function readBench(b: BatteryTexts, { version, rows }: ChemistryTable, today: string): BatteryRead {
  const old = sheetOf(b.old);
  const fresh = sheetOf(b.new);
  const wrong = { old: old.wrong, new: fresh.wrong };
  const base: BatteryFitRequest = {
    old: old.sheet,
    new: fresh.sheet,
    today,
    ...(version > 0 ? { rows } : {}),
  };
  try {
    const loadAmps = figureIn(b.load, 'A');
    const chargerAmps = figureIn(b.charger, 'A');
    const celsius = figureIn(b.celsius, '°C') ?? 20;
    const request = {
      ...base,
      ...(loadAmps === undefined ? {} : { loadAmps }),
      ...(chargerAmps === undefined ? {} : { chargerAmps }),
    };
    return { request, answer: batteryFit(request), amps: loadAmps, celsius, refusal: null, wrong };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return { request: base, answer: null, amps: undefined, celsius: 20, refusal: error.message, wrong };
  }
}
