import type { ChemistryRow } from '../chemistry';
import { Refusal } from '../refusal';
import { chargeLeft, chargeLeftFrom } from '../sums/cells/charge-left';
import type { Hazard, MoveWork } from '../unit';

/**
 * Words of the entry line that put heat or a lever to the unit; parts that are only called after heat
 * or a lever do not, and a cut tie is not pried. Common practice, no source.
 */
const WORK_WORDS: Record<MoveWork, RegExp> = {
  heat: /\b(heat(?!\s*-?(?:sinks?|shields?|spreaders?|pipes?)\b)|warm|hot air|soldering iron)\b/i,
  pry: /\b(pry|prise|spudger|wedge|scrape|with a (?:lever|card|pick|blade|knife)|lever(?= (?!to\b|is\b|down\b)\p{L})|cut(?!.*\b(?:ties?|wires?|leads?|cables?|straps?|strings?)\b))\b/iu,
};

/** Tools of metal, that short or pierce a cell. */
const METAL =
  /\b(metal|steel|brass|screwdriver|driver blade|knife|blade|scalpel|razor|tweezers|chisel|scraper)\b/i;

/**
 * Whether a line names a metal tool.
 *
 * @param text as typed
 * @returns the word, or undefined
 * @example metalIn('pry cell with steel spudger') // 'steel'
 */
export const metalIn = (text: string): string | undefined => METAL.exec(text)?.[1]?.toLowerCase();

/**
 * Whether a move puts heat or a lever to the unit.
 *
 * @param verb of the entry line
 * @param text as typed
 * @returns which, or undefined
 * @example workOf('pry', 'pry rear glass') // 'pry'
 */
export function workOf(verb: string, text: string): MoveWork | undefined {
  return (Object.keys(WORK_WORDS) as MoveWork[]).find((w) => WORK_WORDS[w].test(`${verb} ${text}`));
}

/**
 * How full a pack is, from its voltage at rest.
 *
 * @param h hazard with a limit of charge
 * @param volts across the whole pack, at rest, V
 * @param row the chemistry row in force, where it is not the one shipped
 * @returns percent, and how far it may be off where the curve is flat
 * @throws Refusal when the hazard has no limit, or the voltage cannot be that of such a pack
 * @example chargeOf(pack, 7.2).percent // of two li-ion cells in series, about 12
 */
export function chargeOf(h: Hazard, volts: number, row?: ChemistryRow): { percent: number; high: number } {
  if (!h.charge) throw new Refusal(`nothing says how full ${h.name} may be`, '/hazard');
  try {
    const sum = row ? chargeLeftFrom([row]) : chargeLeft;
    const { values } = sum.compute({
      chemistry: row?.chemistry ?? h.charge.chemistry,
      restVolts: volts,
      series: h.charge.series,
    });
    if (values.percent === null)
      throw new Refusal(
        'over full: overcharged, or charged just now. Stop charging, let it rest, read it again',
        '/volts',
      );
    const percent = Number(values.percent);
    return { percent, high: Number(values.percentHigh ?? percent) };
  } catch (error) {
    if (error instanceof Refusal) throw new Refusal(error.message, '/volts');
    throw error;
  }
}

/**
 * Packs that hold heat and levers back: fuller than they may be, or not read.
 *
 * @param hazards of the map
 * @param charges what was read of each, percent, by hazard
 * @param gone packs that are out of the unit, by element or hazard id
 * @returns the hazards that hold, with why
 * @example chargeHolds(hazards, {}, [])[0].why // 'how full it is has not been read'
 */
export function chargeHolds(
  hazards: Hazard[],
  charges: Record<string, { percent: number }>,
  gone: readonly string[] = [],
): { hazard: Hazard; why: string }[] {
  return hazards.flatMap((hazard) => {
    const limit = hazard.charge;
    if (!limit || gone.some((g) => g.toLowerCase() === hazard.id.toLowerCase())) return [];
    const read = charges[hazard.id];
    if (!read) return [{ hazard, why: 'how full it is has not been read' }];
    const percent = Number(read.percent.toFixed(0));
    return read.percent > limit.maxPercent
      ? [{ hazard, why: `it is ${percent}\u00a0% full, over ${limit.maxPercent}\u00a0%` }]
      : [];
  });
}
