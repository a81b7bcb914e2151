import { describe, expect, it } from 'vitest';
import { PLACE_KINDS } from '../line';
import { ownWords, placeTag, placeWords } from './place-words';

describe('a place', () => {
  it.each<[string | undefined, string, string]>([
    [undefined, 'shelf', 'on the shelf'],
    ['2', 'shelf 2', 'on shelf 2'],
    ['B', 'shelf B', 'on shelf B'],
    ['a12', 'shelf a12', 'on shelf a12'],
    ['floor', 'floor', 'on the floor'],
    ['window sill', 'window sill', 'on the window sill'],
    ['against the wall', 'against the wall', 'against the wall'],
    ['taped to the fan', 'taped to the fan', 'taped to the fan'],
    ['antistatic bag', 'antistatic bag', 'in the antistatic bag'],
    ['drawer 3', 'drawer 3', 'in drawer 3'],
    ['rack 12', 'rack 12', 'on rack 12'],
  ])('on a shelf called %s', (label, tag, words) => {
    const place = { kind: 'shelf' as const, ...(label ? { label } : {}) };
    expect([placeTag(place), placeWords(place)]).toEqual([tag, words]);
  });

  it('of another kind keeps its kind, whatever it is called', () => {
    expect(placeWords({ kind: 'cup', label: 'by the window' })).toBe('in cup by the window');
    expect(placeTag({ kind: 'bag', label: 'screws' })).toBe('bag screws');
    for (const kind of PLACE_KINDS) {
      if (kind !== 'shelf') expect(ownWords({ kind, label: 'floor' })).toBeUndefined();
      expect(placeTag({ kind })).toBe(kind);
    }
  });
});
