import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import {
  assign,
  belongsToCover,
  close,
  closeRefusals,
  coverOf,
  EMPTY_LEDGER,
  holds,
  type ItemDraft,
  type Ledger,
  ownerOf,
  take,
  unclaimed,
  wayBack,
} from '.';

const AT = '2026-11-26T10:00:00.000Z';
const covers = [
  { id: 'back panel', name: 'back panel' },
  { id: 'back plate', name: 'back plate' },
  { id: 'lid', name: 'lid' },
  { id: 'front', name: 'front bezel' },
];

describe('whose a screw is', () => {
  it.each<[string | undefined, string | undefined]>([
    ['back panel', 'back panel'],
    ['Back panel', 'back panel'],
    ['back panel top edge', 'back panel'],
    ['bottom edge back plate', 'back plate'],
    ['tri-wing back panel', 'back panel'],
    ['under the lid, left', 'lid'],
    ['bezel', 'front'],
    ['front', 'front'],
    ['plate', 'back plate'],
    ['low edge of the plate', 'back plate'],
    ['back', undefined],
    ['edge', undefined],
    ['lidded box', undefined],
    ['panel of the back', 'back panel'],
    ['bezel clip', 'front'],
    ['', undefined],
    [undefined, undefined],
  ])('“%s”: %s', (from, owner) => {
    expect(ownerOf(from, covers)?.id).toBe(owner);
  });
  it('the longest name wins where one stands in another', () => {
    const two = [
      { id: 'cover', name: 'cover' },
      { id: 'rear cover', name: 'rear cover' },
    ];
    expect(ownerOf('rear cover, low', two)?.id).toBe('rear cover');
    expect(ownerOf('the cover', two)?.id).toBe('cover');
  });
  it('no order of the covers changes the answer, and never are two the owner', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray(covers, { minLength: 1 }),
        fc.constantFrom('back panel top', 'back', 'lid', 'plate', 'bezel left', 'edge', 'front'),
        (list, from) => {
          const owner = ownerOf(from, list)?.id;
          expect(ownerOf(from, [...list].reverse())?.id).toBe(owner);
          expect(list.filter((c) => holds(from, c, list)).map((c) => c.id)).toEqual(owner ? [owner] : []);
        },
      ),
    );
  });
  it('what was said when it was asked comes before the words', () => {
    const [panel, plate] = covers as [(typeof covers)[0], (typeof covers)[0]];
    expect(belongsToCover({ from: 'back panel', of: 'back plate' }, plate, covers)).toBe(true);
    expect(belongsToCover({ from: 'back panel', of: 'back plate' }, panel, covers)).toBe(false);
    expect(belongsToCover({ from: 'back panel', of: null }, panel, covers)).toBe(false);
  });
});

describe('what is a cover', () => {
  it.each([
    ['Lid', 'lid'],
    ['rear cover', 'rear cover'],
    ['battery', undefined],
    ['Bezel', 'front'],
    ['shield plate', 'shield plate'],
    ['case back', 'case back'],
    ['side panel left', 'side panel left'],
    ['plate 2', 'plate 2'],
    ['shell half', 'shell half'],
    ['cover with window', 'cover with window'],
    ['bottom', 'bottom'],
    ['back glass', 'back glass'],
    ['lens glass', undefined],
    ['front glass', undefined],
    // What is at a cover, or of one, is none.
    ['thermal pad stuck to back cover', undefined],
    ['plate spring', undefined],
    ['door switch', undefined],
    ['top board', undefined],
    ['panel lamp', undefined],
    ['insulating sheet under the shield', undefined],
  ])('%s: %s', (name, cover) => {
    expect(coverOf(name, [...covers, { id: 'front', name: 'bezel' }])).toBe(cover);
  });
});

describe('no cover closes for good over its own screws', () => {
  const screw = (from: string | undefined, label: string): ItemDraft => ({
    kind: 'fastener',
    name: 'screw',
    thread: 'M3',
    lengthMm: 8,
    drive: 'PH1',
    count: 5,
    place: { kind: 'cup', label },
    ...(from ? { from } : {}),
  });
  const part = (name: string): ItemDraft => ({ kind: 'part', name, count: 1, place: { kind: 'shelf' } });
  const at = (id: string) => ({ id, at: AT });
  const opened = (...froms: (string | undefined)[]): Ledger => {
    let l = EMPTY_LEDGER;
    froms.forEach((f, i) => {
      l = take(l, { verb: 'undo', text: '', item: screw(f, String(i + 1)) }, at(`s${i}`));
    });
    return take(l, { verb: 'lift', text: '', item: part('back panel'), cover: 'back panel' }, at('p'));
  };
  const reason = (f: () => unknown) => {
    try {
      f();
    } catch (error) {
      if (error instanceof Refusal) return error.message;
      throw error;
    }
    return 'taken';
  };
  it.each(['back panel top edge', 'bottom edge back panel', 'back', 'tri-wing back panel'])(
    '%s: five of ten are still in the cup',
    (from) => {
      const l = opened('back panel', from);
      expect(closeRefusals(l, 'back panel')).toContain('5 × M3×8 PH1 still in cup 2');
      expect(wayBack(l).at(-1)?.text).toBe('Close back panel');
    },
  );
  it('asks once for those whose words do not say it', () => {
    const l = opened('edge', undefined);
    expect(unclaimed(l).map((i) => i.id)).toEqual(['s0', 's1']);
    const one = assign(l, 's0', 'back panel');
    expect(unclaimed(one).map((i) => i.id)).toEqual(['s1']);
    expect(closeRefusals(one, 'back panel')).toContain('5 × M3×8 PH1 still in cup 1');
    const both = assign(one, 's1', null);
    expect(unclaimed(both)).toEqual([]);
    expect(closeRefusals(both, 'back panel')).not.toContain('5 × M3×8 PH1 still in cup 2');
  });
  it('a wrong answer is refused', () => {
    const l = opened('edge');
    expect(reason(() => assign(l, 'p', 'back panel'))).toBe('that is no screw of the tray');
    expect(reason(() => assign(l, 'zz', null))).toBe('that is no screw of the tray');
    expect(reason(() => assign(l, 's0', 'lid'))).toBe('lid is not off');
  });
  it('screws of a part that is in the tray are that part’s, and screws under a cover are no question', () => {
    let l = opened();
    l = take(l, { verb: 'undo', text: '', item: screw('fan', '3') }, at('inside'));
    expect(unclaimed(l)).toEqual([]);
    let m = take(EMPTY_LEDGER, { verb: 'undo', text: '', item: screw('fan frame', '1') }, at('f'));
    m = take(m, { verb: 'lift', text: '', item: part('fan') }, at('fan'));
    expect(unclaimed(m)).toEqual([]);
  });
  it('an old part is out for good: nothing offers it, and its place stays open', () => {
    let l = opened();
    l = take(l, { verb: 'lift', text: '', item: part('pack') }, at('pack'));
    l = { ...l, items: l.items.map((i) => (i.id === 'pack' ? { ...i, old: true } : i)) };
    expect(wayBack(l).map((s) => s.item?.id)).not.toContain('pack');
    expect(reason(() => close(l, 'back panel', 'final', AT))).toMatch(
      /pack is out, and nothing is in its place/,
    );
  });
});
