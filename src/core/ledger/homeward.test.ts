import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import {
  AS_IT_STOOD,
  close,
  closeRefusals,
  EMPTY_LEDGER,
  giveBack,
  type ItemDraft,
  JOINTS,
  joint,
  jointFrom,
  type Ledger,
  miss,
  onceSaid,
  owed,
  partJoint,
  proofsOf,
  prove,
  readLine,
  sidesOf,
  sideUpWords,
  take,
  tally,
  toFitOf,
  wayBack,
  withTurns,
  writeOff,
} from '.';

const AT = '2026-11-26T10:00:00.000Z';
let n = 0;
/** Lines at the bench, one after the other. */
function told(...lines: string[]): Ledger {
  return lines.reduce((ledger, line) => {
    const [said] = readLine(line, { kind: 'cup', label: '9' }).moves;
    if (!said) throw new Error(`${line} says nothing`);
    const cover =
      /cover|lid/.test(said.item?.name ?? '') && said.item?.kind === 'part' ? said.item?.name : undefined;
    return take(ledger, { ...said, ...(cover ? { cover } : {}) }, { id: `m${n++}`, at: AT });
  }, EMPTY_LEDGER);
}
const idOf = (l: Ledger, name: string) =>
  l.items.findLast((i) => i.name === name || i.from === name)?.id ?? '';
const steps = (l: Ledger) => withTurns(l, wayBack(l)).map((s) => s.text);
const reason = (f: () => unknown): string => {
  try {
    f();
    return 'taken';
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
};

describe('turns on the way back', () => {
  it('are those of the way in: what came off with a side up goes back with that side up', () => {
    const l = told(
      'unplug J1',
      'flip bottom',
      'lift base cover',
      'flip left',
      'unplug J2',
      'flip bottom',
      'unplug J3',
    );
    expect(steps(l)).toEqual([
      'Plug in J3',
      'Turn it: left up',
      'Plug in J2',
      'Turn it: bottom up',
      'Fit base cover',
      'Close base cover',
      'Turn it back as it stood',
      'Plug in J1',
    ]);
  });
  it('once turned, the step is done; turned back, things count from the start again', () => {
    let l = told('unplug J1', 'flip bottom', 'unplug J2');
    l = giveBack(l, idOf(l, 'J2'), 1, 'plugged');
    l = prove(l, idOf(l, 'J2'), 'click', AT);
    expect(steps(l)[0]).toBe('Turn it back as it stood');
    const turned = take(
      l,
      { verb: 'flip', text: '', item: null, sideUp: AS_IT_STOOD },
      { id: 'turn', at: AT },
    );
    expect(steps(turned)).toEqual(['Plug in J1']);
    const more = take(turned, { verb: 'unplug', text: '', item: plug('J9') }, { id: 'm9', at: AT });
    expect(sidesOf(more).get('m9')).toBeNull();
    expect(steps(more)).toEqual(['Plug in J9', 'Plug in J1']);
  });
  it('name what would fall, and none is asked for where nothing was turned', () => {
    const l = told('2 x M3x8 PH1 hinge > its hole', 'flip bottom', 'unplug J2', 'flip top');
    expect(withTurns(l, wayBack(l))[0]).toMatchObject({
      kind: 'turn',
      side: 'bottom',
      note: 'Before you turn it: M3×8 PH1',
    });
    expect(steps(told('unplug J1', 'unplug J2'))).toEqual(['Plug in J2', 'Plug in J1']);
  });
});

const plug = (name: string, more: Partial<ItemDraft> = {}): ItemDraft => ({
  kind: 'plug',
  name,
  count: 1,
  place: { kind: 'left in the part' },
  ...more,
});

it.each([
  ['bottom', 'bottom up'],
  ['hinge side', 'hinge side up'],
  ['upside down', 'upside down'],
  ['over', 'over'],
  ['face down', 'face down'],
  ['on its side', 'on its side'],
])('a unit turned %s is %s', (side, words) => {
  expect(sideUpWords(side)).toBe(words);
});

describe('how a lead is held', () => {
  it.each([
    [['front flip'], 'W4', 'flap'],
    [[undefined, 'unplug'], 'display ribbon', 'flap'],
    [['', 'unsolder'], 'red wire', 'solder joint'],
    [['pad'], 'W4', 'solder joint'],
    [['ring'], 'W4', 'ring'],
    [[undefined, 'unplug'], 'earth lug', 'ring'],
    [['screw terminal'], 'W4', 'screw terminal'],
    [['two latches'], 'W4', 'side buttons'],
    [['press-on top'], 'W4', 'press-top'],
    [[undefined, 'unplug'], 'antenna lead', 'press-top'],
    [[undefined, 'unplug'], 'J7', 'plug'],
    [[], '', 'plug'],
    // Called by what it goes to, a lead is not held so.
    [[undefined, 'unplug'], 'power button lead', 'plug'],
    [[undefined, 'unplug'], 'touch pad lead', 'plug'],
    [[undefined, 'unplug'], 'ring light lead', 'plug'],
    [[undefined, 'unplug'], 'terminal board lead', 'plug'],
    // The map knows better than the name.
    [['two latches', 'unplug'], 'display ribbon', 'side buttons'],
  ])('%j, %s is a %s', (says, name, id) => {
    expect(jointFrom(says, name).id).toBe(id);
  });
  it('says how it comes off, how it goes on, and how it is proven, each in its own words', () => {
    for (const j of JOINTS) expect([j.off, j.on, ...j.proofs].every(Boolean), j.id).toBe(true);
    expect(new Set(JOINTS.map((j) => j.proofs.join())).size).toBe(JOINTS.length);
    expect(proofsOf(plug('earth', { joint: 'ring' }))).toEqual(joint('ring').proofs);
    expect(proofsOf(plug('J7'))).toEqual(joint('plug').proofs);
    expect(proofsOf(plug('J9', { contacts: 12, wires: 8 })).at(-1)).toBe(
      '8 wires in 12 contacts, each seated',
    );
    expect(joint(undefined).bare).toBeUndefined();
  });
  it('a new lead that takes the place of a torn one is held and proven as that was', () => {
    let l = take(
      EMPTY_LEDGER,
      { verb: 'unplug', text: '', item: plug('W4', { joint: 'flap' }) },
      { id: 'w4', at: AT },
    );
    l = giveBack(l, 'w4', 1, 'plugged');
    expect(wayBack(l)[0]?.note).toBe(joint('flap').proofs.join(', '));
  });
});

describe('a board on a pin strip', () => {
  const lifted = () =>
    take(
      EMPTY_LEDGER,
      {
        verb: 'lift',
        text: '',
        item: { kind: 'part', name: 'plug-in board', count: 1, joint: 'pin strip', place: { kind: 'shelf' } },
      },
      { id: 'a2', at: AT },
    );
  it('is proven when it is back, like a plug', () => {
    let l = lifted();
    expect(wayBack(l)[0]).toMatchObject({ kind: 'return', text: 'Seat plug-in board' });
    l = giveBack(l, 'a2', 1, 'fitted');
    expect(owed(l.items[0] as never)).toBe('plug-in board is in but not proven');
    expect(wayBack(l)[0]).toMatchObject({ kind: 'prove', note: joint('pin strip').proofs.join(', ') });
    expect(wayBack(prove(l, 'a2', 'pins counted', AT))).toEqual([]);
  });
  it('is not asked for when it is gone for good', () => {
    const l = writeOff(lifted(), 'a2', { count: 1, reason: 'burnt', replacement: 'new one' });
    expect(wayBack(l)).toEqual([]);
    expect(owed(l.items[0] as never)).toBeNull();
  });
  it.each([
    ['plug-in board', 'pin strip'],
    ['daughterboard 2', 'pin strip'],
    ['main board', undefined],
    ['plug cover', undefined],
  ])('%s is held by %s', (name, id) => {
    expect(partJoint(name)).toBe(id);
  });
});

describe('a thing moved aside', () => {
  it('comes off later as the same thing, and is twice off never', () => {
    let l = told('unplug J9 aside');
    expect(l.items[0]?.by).toEqual({ aside: 1 });
    l = take(l, { verb: 'unplug', text: 'unplug J9', item: plug('J9') }, { id: 'again', at: AT });
    expect(l.items).toHaveLength(1);
    expect(l.items[0]?.by).toEqual({ off: 1 });
    expect(l.moves.at(-1)?.item).toBe(l.items[0]?.id);
    expect(tally(l.items[0] as never)).toMatchObject({ taken: 1, off: 1 });
    expect(
      reason(() => take(l, { verb: 'unplug', text: '', item: plug('J9') }, { id: 'x', at: AT })),
    ).toMatch(/J9 is off already/);
  });
});

describe('what goes in for the first time', () => {
  const toFit = (l: Ledger, line: string, cover?: string): Ledger =>
    toFitOf(line).reduce(
      (on, { item, text }) =>
        take(
          on,
          { verb: 'fit', text, item, assembly: true, ...(cover ? { cover } : {}) },
          { id: `f${n++}`, at: AT },
        ),
      l,
    );
  it('stands on the way back in the order it was named, covers over what was named before', () => {
    let l = toFit(EMPTY_LEDGER, 'fit fan board');
    l = toFit(l, 'plug J7');
    l = toFit(l, 'lid', 'lid');
    l = toFit(l, '4 x M3x8 PH1 lid');
    expect(wayBack(l).map((s) => s.text)).toEqual([
      'Fit fan board',
      'Plug in J7',
      'Fit lid',
      'Screw in 4 × M3×8 PH1, lid',
      'Close lid',
    ]);
    expect(closeRefusals(l, 'lid').length).toBeGreaterThanOrEqual(4);
    for (let guard = 0; guard < 20; guard++) {
      const s = wayBack(l)[0];
      if (!s) break;
      const id = s.item?.id ?? '';
      if (s.kind === 'close') l = close(l, s.cover?.id ?? '', 'final', AT);
      else if (s.kind === 'prove') l = prove(l, id, 'looked at', AT);
      else l = giveBack(l, id, s.left, s.to ?? 'tight');
    }
    expect(l.covers.map((c) => c.state)).toEqual(['final']);
    expect(l.items.map(owed)).toEqual([null, null, null, null]);
    expect(l.items.filter((i) => i.kind !== 'fastener').every((i) => i.proof)).toBe(true);
  });
  it('says nothing where no thing is named', () => {
    expect(toFitOf('heat 2 min')).toEqual([]);
    expect(toFitOf('  ')).toEqual([]);
    expect(toFitOf('plug in W4').map((t) => [t.item.kind, t.item.name])).toEqual([['plug', 'W4']]);
    expect(toFitOf('screw in 2 x M3x6 foot').map((t) => t.item.count)).toEqual([2]);
  });
});

describe('screws on the way back', () => {
  it('one that cannot be found is not said to be tight with the rest', () => {
    let l = told('4 x M3x8 PH1 hinge > cup 1');
    const id = idOf(l, 'hinge');
    l = miss(l, id, 1);
    expect(wayBack(l)[0]).toMatchObject({ left: 3, text: 'Screw in 3 × M3×8 PH1, hinge' });
    expect(wayBack(l)[0]?.note).toContain('1 cannot be found');
    l = giveBack(l, id, 3, 'tight');
    expect(wayBack(l)[0]).toMatchObject({ left: 0, text: 'Find 1 × M3×8 PH1, hinge' });
    expect(owed(l.items[0] as never)).not.toBeNull();
    l = writeOff(l, id, { count: 1, reason: 'lost', replacement: 'M3×8 from stock' });
    expect(wayBack(l)).toEqual([]);
  });
  it('loose and half tight are not back for good', () => {
    let l = told('4 x M3x8 PH1 hinge > cup 1');
    const id = idOf(l, 'hinge');
    l = giveBack(l, id, 4, 'loose');
    expect(wayBack(l)[0]).toMatchObject({ left: 4, to: 'tight', note: 'in, not tight yet' });
    l = giveBack(l, id, 4, 'half tight');
    expect(owed(l.items[0] as never)).toBe('4 × M3×8 PH1 half tight, not tight');
    l = giveBack(l, id, 4, 'tight');
    expect(owed(l.items[0] as never)).toBeNull();
  });
  it('what is new every time keeps what went in', () => {
    const l = told('2 x M3x8 PH1 hinge > cup 1');
    const id = idOf(l, 'hinge');
    expect(onceSaid(l, id, 'new ones went in').items[0]?.once).toBe('new ones went in');
  });
});
