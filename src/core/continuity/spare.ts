import { demand } from '../refusal';

/** A flat or ribbon cable as it is chosen from the drawer. */
export interface CableSheet {
  contacts: number;
  pitchMm: number;
  lengthMm: number;
  /** contacts on the same face at both ends, or on opposite faces */
  twist?: 'same' | 'opposite';
}

export interface SpareJudged {
  spare: number;
  fits: boolean;
  why: string[];
}

/** Spare length that still lies without a new fold, share. Common practice, no source. */
const MOST_LONGER = 1.3;
const PITCH_MM = 0.02;

/**
 * Which spares can take the place of a cable, the best first: contacts, pitch and twist have to agree,
 * the length may be more but not less.
 *
 * @param wanted the cable that is out; millimetres
 * @param spares what is in the drawer
 * @returns each with what is against it, the fitting ones first, the nearest in length before
 * @throws Refusal for a figure that is not over 0
 * @example chooseSpare({ contacts: 10, pitchMm: 1, lengthMm: 120 }, [{ contacts: 10, pitchMm: 1, lengthMm: 150 }])[0].fits // true
 */
export function chooseSpare(wanted: CableSheet, spares: CableSheet[]): SpareJudged[] {
  const check = (c: CableSheet, at: string) => {
    demand(
      Number.isInteger(c.contacts) && c.contacts > 0,
      'contacts are a whole number over 0',
      `${at}/contacts`,
    );
    demand(c.pitchMm > 0, 'the pitch is over 0 mm', `${at}/pitchMm`);
    demand(c.lengthMm > 0, 'the length is over 0 mm', `${at}/lengthMm`);
  };
  check(wanted, '/wanted');
  return spares
    .map((s, spare) => {
      check(s, `/spares/${spare}`);
      const against = [
        s.contacts === wanted.contacts ? '' : `${s.contacts} contacts, ${wanted.contacts} wanted`,
        Math.abs(s.pitchMm - wanted.pitchMm) <= PITCH_MM
          ? ''
          : `pitch ${s.pitchMm} mm, ${wanted.pitchMm} mm wanted`,
        s.lengthMm >= wanted.lengthMm
          ? ''
          : `${Number((wanted.lengthMm - s.lengthMm).toPrecision(4))} mm too short`,
        wanted.twist === undefined || s.twist === undefined || s.twist === wanted.twist
          ? ''
          : `contacts on ${s.twist === 'same' ? 'the same face' : 'opposite faces'}: it would lie upside down at one end`,
      ].filter(Boolean);
      const doubts = [
        s.lengthMm > wanted.lengthMm * MOST_LONGER
          ? `${Math.round(s.lengthMm - wanted.lengthMm)} mm longer: it has to be folded`
          : '',
        wanted.twist !== undefined && s.twist === undefined ? 'look on which faces its contacts are' : '',
      ].filter(Boolean);
      return {
        spare,
        fits: against.length === 0,
        why: [...against, ...doubts],
        longer: s.lengthMm - wanted.lengthMm,
      };
    })
    .sort((x, y) => Number(y.fits) - Number(x.fits) || Math.abs(x.longer) - Math.abs(y.longer))
    .map(({ longer: _, ...j }) => j);
}
