import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cupsInUse, freeCup } from './free-cup';
import { readLine } from './quick-line';

const cup = (label: string) => ({ kind: 'cup' as const, label });
const cupsOf = (text: string, first: string, taken: string[] = []) =>
  readLine(text, cup(first), [], taken).moves.flatMap(({ item }) =>
    item?.place.kind === 'cup' ? [item.place.label] : [],
  );

describe('where screws go of which nobody says where', () => {
  it.each([
    ['4 M3x8 hood', '1', [], ['1']],
    // What takes nothing off, a part and a plug need no cup.
    ['unit face down, 4 M4x12 foot and 2 M4x20 foot', '1', [], ['1', '2']],
    ['unplug J7, lift hood, 2 M3x6 board', '3', [], ['3']],
    // Past cups that hold something, and past those that the line names itself.
    ['4 M3x8 hood and 2 M3x12 hood', '1', ['2', '3'], ['1', '4']],
    ['4 M3x8 hood > cup 2, 2 M3x12 board, 1 M2x4 fan', '1', [], ['2', '1', '3']],
    // A bag goes by no number that could be counted on.
    ['4 M3x8 hood and 2 M3x12 hood', 'A', [], ['A', 'A']],
  ])('%s', (text, first, taken, cups) => {
    expect(cupsOf(text, first, taken)).toEqual(cups);
  });
  it('never two kinds of screws in one cup, nor in one that holds something', () => {
    const screws = fc.constantFrom('4 M3x8 hood', '2 M3x6 board', '1 M2x4 fan', '3 M4x12 foot');
    const moves = fc.constantFrom('unplug J7', 'lift hood', 'flip bottom', 'heat 2 min');
    fc.assert(
      fc.property(
        fc.array(fc.oneof(screws, moves), { minLength: 1, maxLength: 6 }),
        fc.uniqueArray(fc.integer({ min: 1, max: 9 })),
        (said, used) => {
          const taken = used.map(String);
          const cups = cupsOf(said.join(', '), '1', taken);
          expect(new Set(cups).size).toBe(cups.length);
          expect(cups.filter((c) => taken.includes(c ?? ''))).toEqual([]);
        },
      ),
    );
  });
});

describe('the next free cup', () => {
  it('is the first number that no cup in use goes by', () => {
    const items = [
      cup('1'),
      cup('3'),
      cup('A'),
      { kind: 'cup' as const },
      { kind: 'shelf' as const, label: '2' },
    ];
    const used = cupsInUse(items.map((place) => ({ place })));
    expect(used).toEqual(['1', '3', 'A']);
    expect(freeCup(used)).toEqual(cup('2'));
    expect(freeCup(used, 3)).toEqual(cup('4'));
    expect(freeCup([])).toEqual(cup('1'));
  });
});
