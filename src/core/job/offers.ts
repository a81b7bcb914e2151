import { CHEMISTRY_ROWS, type ChemistryRow } from '../chemistry';
import type { JobState } from './state';

/** What is asked of a parts catalogue for one element, and what an offer of it must not contradict. */
export interface PartWanted {
  /** what is asked for */
  words: string;
  /** words that name the unit and the part, lower case */
  own: string[];
  /** volts between which a pack of this unit lies; null where that is not known */
  volts: { from: number; to: number } | null;
  /** contacts of a lead or board, where the part says so */
  ways: number | null;
}

/** How far the printed figure of a pack may lie beyond its rest voltages. Common practice, no source. */
const PRINTED = 0.05;

const VOLTS = /(\d+(?:\.\d+)?)\s*V\b/i;
const WAYS = /(\d+)[- ]?(?:way|pin|pole|contact)s?\b/i;
/** A mark as makers print it on what belongs to one model: PB-3, HL-40A. RJ45 or RS-485 names no model. */
const MARK = /\b(?!RS-)[A-Z]{2,}-\d+[A-Z]?\b/g;

const figure = (text: string, of: RegExp): number | null => {
  const found = of.exec(text)?.[1];
  return found === undefined ? null : Number(found);
};

/**
 * What to ask a catalogue for: the part in words and the model, without the letter of its place, which
 * means another thing in another unit; with the voltage of its pack and the contacts it has.
 *
 * @param state a job
 * @param element an element id
 * @param part the part as its remedy names it
 * @param rows chemistry in force, the shipped rows by default
 * @returns what is wanted
 * @example partWanted(state, 'A2', 'A2 plug-in board').words // 'plug-in board'
 */
export function partWanted(
  state: JobState,
  element: string,
  part: string,
  rows: ChemistryRow[] = CHEMISTRY_ROWS,
): PartWanted {
  const { map } = state;
  const bare = part
    .split(/\s+/)
    .filter((w) => w !== element)
    .join(' ');
  const charge = map.hazards.find((h) => h.on === element)?.charge;
  const points = rows.find((r) => r.chemistry === charge?.chemistry)?.points.map(([v]) => v) ?? [];
  const said = figure(part, VOLTS);
  return {
    words: [bare, map.model].filter(Boolean).join(' '),
    own: `${part} ${map.model ?? ''} ${map.name}`.toLowerCase().split(/[\s,]+/),
    volts:
      said !== null
        ? { from: said * (1 - PRINTED), to: said * (1 + PRINTED) }
        : charge && points.length
          ? {
              from: Math.min(...points) * charge.series * (1 - PRINTED),
              to: Math.max(...points) * charge.series * (1 + PRINTED),
            }
          : null,
    ways: figure(part, WAYS),
  };
}

/**
 * Whether an offer can be for this part: not of another voltage, not with other contacts, not marked for
 * another model. What the offer does not say is not held against it.
 *
 * @param offer the name that the catalogue gives
 * @param wanted from {@link partWanted}
 * @returns false where it contradicts what is wanted
 * @example offerFits('pack 7.2 V', { words: 'cell', own: [], volts: { from: 2.9, to: 4.4 }, ways: null }) // false
 */
export function offerFits(offer: string, wanted: PartWanted): boolean {
  const volts = figure(offer, VOLTS);
  if (volts !== null && wanted.volts && (volts < wanted.volts.from || volts > wanted.volts.to)) return false;
  const ways = figure(offer, WAYS);
  if (ways !== null && wanted.ways !== null && ways !== wanted.ways) return false;
  return (offer.match(MARK) ?? []).every((mark) => wanted.own.includes(mark.toLowerCase()));
}
