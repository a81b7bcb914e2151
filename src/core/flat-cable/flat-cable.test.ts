import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type FlatCableRequest, flatCable, LATCHES } from '.';

const face = fc.constantFrom('up' as const, 'down' as const);

/** A strip that is laid by hand: which face of it looks up at its far end after so many folds. */
function laid(cable: 'same' | 'opposite', a: 'up' | 'down', folds: number): 'up' | 'down' {
  // The face with the contacts of end a looks towards the header’s contacts.
  let front: 'up' | 'down' = a;
  for (let n = 0; n < folds; n++) front = front === 'up' ? 'down' : 'up';
  // At the far end the contacts are on that face, or on the other.
  if (cable === 'same') return front;
  return front === 'up' ? 'down' : 'up';
}

describe('a flat cable between two headers', () => {
  it('fits where a strip laid by hand would', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('same' as const, 'opposite' as const),
        face,
        face,
        fc.integer({ min: 0, max: 20 }),
        (cable, a, b, folds) => {
          const answer = flatCable({ cable, a: { contacts: a }, b, folds });
          expect(answer.fits).toBe(laid(cable, a, folds) === b);
          expect(laid(answer.needed, a, folds)).toBe(b);
        },
      ),
    );
  });
  it('says how it lies', () => {
    expect(flatCable({ cable: 'same', a: 'up', b: 'up' })).toEqual({
      fits: true,
      needed: 'same',
      latches: [],
      why: 'contacts above at one end, above at the other: contacts on the same face fit',
    });
    expect(flatCable({ cable: 'same', a: 'up', b: 'up', folds: 1 }).why).toBe(
      'contacts above at one end, above at the other, 1 fold: it takes contacts on opposite faces; this one would lie on its back at one end',
    );
    expect(flatCable({ cable: 'opposite', a: 'up', b: 'down', folds: 2 }).why).toBe(
      'contacts above at one end, under at the other, 2 folds: contacts on opposite faces fit',
    );
    expect(flatCable({ cable: 'opposite', a: 'down', b: 'down' }).why).toMatch(
      /^contacts under .* the same face; /,
    );
  });
  const counted = (cable: number, a: number, b: number) =>
    flatCable({ cable: 'same', a: 'up', b: 'up', contacts: { cable, a, b } });
  it('has as many contacts as both headers, which have as many as each other', () => {
    expect(counted(24, 24, 24).fits).toBe(true);
    expect(counted(24, 24, 22)).toMatchObject({ fits: false, why: 'the headers have 24 and 22 contacts' });
    expect(counted(22, 24, 24)).toMatchObject({
      fits: false,
      why: 'the cable has 22 contacts, the headers 24',
    });
    for (const wrong of [0, 1.5, -1])
      expect(() => counted(24, wrong, 24)).toThrow('contacts are counted from 1');
  });
  it('says of each latch how it opens and what breaks it', () => {
    const [flip, , slide] = LATCHES;
    const r: FlatCableRequest = {
      cable: 'same',
      a: { contacts: 'up', latch: 'front flip' },
      b: { contacts: 'up', latch: 'slide' },
    };
    expect(flatCable(r).latches).toEqual([
      { end: 'a', opens: flip?.opens, breaks: flip?.breaks },
      { end: 'b', opens: slide?.opens, breaks: slide?.breaks },
    ]);
    expect(() => flatCable({ ...r, b: { contacts: 'up', latch: 'hook' } })).toThrow(
      'hook is none of front flip, back flip, slide, pinch-side, push-in',
    );
  });
  it('folds are counted, to twenty', () => {
    for (const folds of [-1, 0.5, 21])
      expect(() => flatCable({ cable: 'same', a: 'up', b: 'up', folds })).toThrow(
        'folds are counted, 0 to 20',
      );
  });
});
