import { type ChemistryClass, type ChemistryRow, CLASS_ROWS } from './row';

/** How chemistries are called on labels, the plainest last. Common practice, no source. */
const CALLED: [string, RegExp][] = [
  ['lead-acid 12 V', /\b(?:flooded|wet lead)\b/i],
  ['AGM 12 V', /\b(?:lead|sla|vrla|agm|gel|pb)\b/i],
  ['LFP cell', /\b(?:lfp|lifepo4?)\b/i],
  ['NiMH cell', /\b(?:ni-?mh|ni-?cd)\b/i],
];

const LITHIUM = /\b(?:li|li-?ion|lithium|li-?po|18650|21700|pouch|cells?)\b/i;
/** Voltages of lead blocks, one or two of them; where lithium is meant, labels say so. Common practice, no source. */
const BLOCKS = /(?:^|[^\d.,])(?:12|24)\s?V\b/i;

/**
 * The chemistry that the name of a battery speaks of.
 *
 * Common practice, no source.
 *
 * @param name of a battery: "12 V lead battery", "deck pack"
 * @param lithium whether a lithium pack is named among what can hurt in the unit
 * @returns the name of its row; that of a lithium-ion cell where it speaks of none
 * @example chemistrySaid('siren SLA 7 Ah') // 'AGM 12 V'
 */
export const chemistrySaid = (name: string, lithium = false): string =>
  CALLED.find(([, said]) => said.test(name))?.[0] ??
  CLASS_ROWS[lithium || LITHIUM.test(name) || !BLOCKS.test(name) ? 'li-ion' : 'lead-acid'];

/** Volts that labels count for a unit of each class: a cell, or a block of lead. Common practice, no source. */
const ON_LABELS: Record<ChemistryClass, number> = { 'li-ion': 3.65, LFP: 3.2, 'lead-acid': 12, NiMH: 1.2 };

/** How far the voltage of a name may be off what its cells add up to. Common practice, no source. */
const NEAR = 0.09;

/**
 * The voltage that the name of a battery speaks of.
 *
 * @param name of a battery: "36 V deck pack"
 * @returns volts; undefined where it speaks of none
 * @example voltsSaid('pack 11,1 V') // 11.1
 */
export function voltsSaid(name: string): number | undefined {
  const said = /(?:^|[^\d.,])(\d+(?:[.,]\d+)?)\s?V\b/i.exec(name)?.[1];
  return said === undefined ? undefined : Number(said.replace(',', '.'));
}

/**
 * Cells in series that the name of a battery speaks of, by its voltage.
 *
 * Method: the whole number of cells whose voltage, as labels count it, is nearest. Common practice, no source.
 *
 * @param name of a battery: "36 V deck pack"
 * @param row its chemistry
 * @returns cells in series, 1 or more; undefined where the name has no voltage, or none that such cells add up to
 * @example seriesSaid('36 V deck pack', liIon) // 10
 */
export function seriesSaid(name: string, row: ChemistryRow): number | undefined {
  const volts = voltsSaid(name) ?? 0;
  const each = ON_LABELS[row.class];
  const cells = Math.round(volts / each);
  return cells >= 1 && Math.abs(cells * each - volts) <= NEAR * volts ? cells : undefined;
}

/**
 * What a battery reads at rest, empty and full.
 *
 * @param row its chemistry
 * @param cells in series
 * @returns volts, the lower first
 * @example restSpan(liIon, 10) // [30, 42]
 */
export function restSpan({ points }: ChemistryRow, cells: number): [empty: number, full: number] {
  const volts = points.map(([v]) => v);
  const of = (v: number) => Number((v * cells).toFixed(2));
  return [of(Math.min(...volts)), of(Math.max(...volts))];
}
