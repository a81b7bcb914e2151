import { demand } from '../refusal';

/** One kind of latch for flat cables: how it opens, and what breaks it. Common practice, no source. */
export interface Latch {
  kind: string;
  opens: string;
  breaks: string;
}

export const LATCHES: Latch[] = [
  {
    kind: 'front flip',
    opens: 'Lift the bar at the side where the cable goes in, with a nail, to upright.',
    breaks: 'The bar tears off when it is lifted past upright, or from one end.',
  },
  {
    kind: 'back flip',
    opens: 'Lift the bar at the far side from the cable, to upright.',
    breaks: 'It is taken for a front flip and pried at the wrong side.',
  },
  {
    kind: 'slide',
    opens: 'Push the frame out by its two ears, both at once, one millimetre.',
    breaks: 'One ear moved alone cants the frame and breaks the other.',
  },
  {
    kind: 'pinch-side',
    opens: 'Pinch both sides together and draw the plug straight out by its body.',
    breaks: 'Pulled by the cable, the contacts tear off.',
  },
  {
    kind: 'push-in',
    opens: 'Nothing moves: grip the stiffener at both edges and draw straight out.',
    breaks: 'Drawn at an angle the outer contacts lift.',
  },
];
export const LATCH_KINDS = LATCHES.map((l) => l.kind);

export interface FlatEnd {
  /** where the contacts of the header are: above the cable or under it */
  contacts: 'up' | 'down';
  latch?: string;
}

export interface FlatCableRequest {
  /** contacts of the cable on the same face at both ends, or on opposite faces */
  cable: 'same' | 'opposite';
  /** an end, or only where its contacts are */
  a: FlatEnd | FlatEnd['contacts'];
  b: FlatEnd | FlatEnd['contacts'];
  /** folds that turn the cable over on its way */
  folds?: number;
  /** contacts of the cable and of the headers, where counted */
  contacts?: { cable: number; a: number; b: number };
}

export interface FlatCableAnswer {
  fits: boolean;
  why: string;
  /** the kind that would fit */
  needed: 'same' | 'opposite';
  /** how each latch opens and what breaks it */
  latches: { end: 'a' | 'b'; opens: string; breaks: string }[];
}

/**
 * Whether a flat cable suits the two headers it lies between: flat from one to the other it keeps its
 * face, each fold turns it over.
 *
 * @param r the cable and its two ends
 * @returns whether it fits, why, and how its latches open
 * @throws Refusal when a latch kind is not known or a count is no count
 * @example flatCable({ cable: 'same', a: { contacts: 'up' }, b: { contacts: 'up' } }).fits // true
 */
export function flatCable(r: FlatCableRequest): FlatCableAnswer {
  const folds = r.folds ?? 0;
  demand(Number.isInteger(folds) && folds >= 0 && folds <= 20, 'folds are counted, 0 to 20', '/folds');
  const whole = (e: FlatCableRequest['a']): FlatEnd => (typeof e === 'string' ? { contacts: e } : e);
  const ends = { a: whole(r.a), b: whole(r.b) };
  const latches = (['a', 'b'] as const).flatMap((end) => {
    const kind = ends[end].latch;
    if (kind === undefined) return [];
    const latch = LATCHES.find((l) => l.kind === kind);
    demand(latch, `${kind} is none of ${LATCH_KINDS.join(', ')}`, `/${end}/latch`);
    return [{ end, opens: latch.opens, breaks: latch.breaks }];
  });
  const alike = ends.a.contacts === ends.b.contacts;
  const needed = alike === (folds % 2 === 0) ? 'same' : 'opposite';
  const side = { up: 'above', down: 'under' };
  const lie = `contacts ${side[ends.a.contacts]} at one end, ${side[ends.b.contacts]} at the other${folds ? `, ${folds} ${folds === 1 ? 'fold' : 'folds'}` : ''}`;
  if (r.contacts) {
    const { cable, a, b } = r.contacts;
    demand(
      [cable, a, b].every((n) => Number.isInteger(n) && n > 0),
      'contacts are counted from 1',
      '/contacts',
    );
    if (a !== b) return { fits: false, needed, latches, why: `the headers have ${a} and ${b} contacts` };
    if (cable !== a)
      return { fits: false, needed, latches, why: `the cable has ${cable} contacts, the headers ${a}` };
  }
  const fits = r.cable === needed;
  return {
    fits,
    needed,
    latches,
    why: fits
      ? `${lie}: contacts on ${needed === 'same' ? 'the same face' : 'opposite faces'} fit`
      : `${lie}: it takes contacts on ${needed === 'same' ? 'the same face' : 'opposite faces'}; this one would lie on its back at one end`,
  };
}
