import { describe, expect, it } from 'vitest';
import type { UnitMap } from '../unit';
import { bareEnds, handOverHeldBy, inUseWords, namesOf } from '.';
import { bench } from './bench.test.fixture';
import { USE_KINDS, USES } from './in-use';

/** A ferry lamp: a cell soldered in, a lens under a cover. */
const lamp: UnitMap = {
  maker: 'Brackish Works',
  model: 'Ferry 2',
  name: 'Ferry lamp',
  access: [{ id: 'cover', name: 'lens cover', minutes: 2 }],
  hazards: [],
  elements: [
    {
      id: 'B1',
      name: 'cell',
      kind: 'battery',
      weight: 1,
      remedies: [{ id: 'replace', kind: 'replace', name: 'Replace B1', minutes: 5, fixes: 0.9 }],
    },
    {
      id: 'H1',
      name: 'lamp board',
      kind: 'board',
      weight: 1,
      remedies: [{ id: 'clean', kind: 'clean', name: 'Clean H1', minutes: 5, fixes: 0.5 }],
    },
  ],
  feeds: [],
  functions: [{ id: 'shines', name: 'Shines', output: 'H1' }],
  taps: [],
};
const pack = {
  id: 'pack',
  kind: 'cell pack' as const,
  name: 'Cell',
  detail: 'one cell',
  on: 'B1',
  exposedBy: ['cover'],
  clear: {
    act: 'Part its leads',
    check: '0 V',
    caution: 'no metal',
    unplugs: 'red wire',
    signals: ['black wire'],
  },
};
const reason = (f: () => void): string => {
  try {
    f();
    return 'taken';
  } catch (error) {
    return (error as Error).message;
  }
};

describe('what is in use stays live until it is said off', () => {
  it('an iron, a heater, a lamp and solvent are begun by the move they are used for', () => {
    const b = bench(lamp);
    const begins = (line: string) => {
      b.line(line);
      return b.state().inUse.at(-1)?.use;
    };
    expect(begins('heat lens cover 2 min')).toBe('heater');
    expect(begins('unsolder white wire')).toBe('iron');
    expect(begins('heat edge with heat lamp')).toBe('lamp');
    expect(begins('lamp on')).toBe('lamp');
    // What is only called so is not in use.
    const before = b.state().inUse.length;
    for (const line of ['lift uv lamp', 'unplug heat lamp lead', 'lift soldering iron holder']) b.line(line);
    expect(b.state().inUse).toHaveLength(before);
    // The same heater at another place is another thing to be said off; twice at one place is one.
    b.line('heat lens cover 1 min');
    expect(b.state().inUse.filter((u) => u.use === 'heater')).toHaveLength(1);
    expect(b.state().timers.map((t) => t.minutes)).toEqual([2, 1]);
    for (const u of b.state().inUse) b.tell({ type: 'use.ended', use: u.id });
    expect(begins('alcohol back edge')).toBe('solvent');
    expect(inUseWords(b.state().inUse[0] as never)).toBe(
      'Solvent at back edge: flammable and not dry: no power, nothing hot',
    );
    expect(reason(() => b.tell({ type: 'use.ended', use: 'nothing' }))).toBe('that is in use no longer');
    expect(USE_KINDS.every((k) => USES[k].ends.length > 0)).toBe(true);
  });

  it('nothing hot comes near wet solvent, no solvent near anything hot, none at a display', () => {
    const b = bench(lamp);
    b.line('alcohol back edge');
    expect(reason(() => b.line('heat 2 min'))).toMatch(/^Not beside each other: Solvent at back edge/);
    expect(reason(() => b.line('unsolder red'))).toMatch(/Not beside each other/);
    b.tell({ type: 'use.ended', use: b.state().inUse[0]?.id ?? '' });
    b.line('heat 2 min');
    expect(reason(() => b.line('solvent back edge'))).toMatch(/^Not beside each other: Heater: hot/);
    expect(reason(() => b.line('clean contacts with alcohol swab'))).toMatch(/Not beside each other/);
    b.tell({ type: 'use.ended', use: b.state().inUse[0]?.id ?? '' });
    expect(reason(() => b.line('alcohol display edge'))).toMatch(/^No solvent at a display/);
    expect(reason(() => b.line('clean lcd with alcohol'))).toMatch(/^No solvent at a display/);
    b.line('clean display');
    expect(b.state().inUse).toEqual([]);
    b.tell({ type: 'power.set', power: 'on' });
    expect(reason(() => b.line('alcohol back edge'))).toMatch(/^No solvent yet: the power is on/);
  });

  it('power waits until it is dry, whatever puts it on; hand over waits for what is hot', () => {
    const b = bench(lamp);
    b.planned('H1', 'clean');
    b.tell({ type: 'power.set', power: 'off' });
    const dry =
      'No power yet: Solvent at H1: flammable and not dry: no power, nothing hot. Say when it is dry';
    // A remedy that cleans leaves it wet where solvent was used.
    b.tell({ type: 'remedy.done', solvent: true });
    expect(reason(() => b.tell({ type: 'power.set', power: 'on' }))).toBe(dry);
    const proof = () =>
      b.tell({ type: 'proof.recorded', check: 'symptom:shines', outcome: 'ok', source: 'eye' });
    expect(reason(proof)).toBe(dry);
    expect(reason(() => b.tell({ type: 'soak.started', minutes: 10, everyMinutes: 5 }))).toBe(dry);
    expect(handOverHeldBy(b.state(), 'works')).toContain(inUseWords(b.state().inUse[0] as never));
    b.tell({ type: 'use.ended', use: b.state().inUse[0]?.id ?? '' });
    proof();
    expect(handOverHeldBy(b.state(), 'works')).toEqual([]);
  });
});

describe('a bare end is taped over before the next lead comes off', () => {
  const withPack = (): UnitMap => ({ ...lamp, access: [], hazards: [{ ...pack, exposedBy: [] }] });
  const safe = (b: ReturnType<typeof bench>) =>
    b.tell({ type: 'gate.cleared', hazard: 'pack', acted: true, reading: 0, unit: 'V', source: 'meter' });

  it('holds the next lead and the next part, and is let go by taping, not by a thing to be fitted', () => {
    const b = bench(withPack());
    safe(b);
    b.line('unsolder white wire');
    expect(bareEnds(b.state()).map((i) => i.name)).toEqual(['white wire']);
    const held = 'First tape over the bare end of white wire: tape white wire';
    expect(reason(() => b.line('unsolder grey wire'))).toBe(held);
    expect(reason(() => b.line('lift lamp board'))).toBe(held);
    const before = b.state().ledger.items.length;
    b.line('tape white wire');
    expect(b.state().ledger.items).toHaveLength(before);
    expect(bareEnds(b.state())).toEqual([]);
    b.line('unsolder grey wire');
    b.line('tape bare contacts');
    expect(bareEnds(b.state())).toEqual([]);
    // Back and off again, its tape is gone.
    const grey = b.item('grey wire');
    b.tell({ type: 'item.returned', item: grey, count: 1, state: 'plugged' });
    b.tell({ type: 'item.taken', item: grey, count: 1 });
    expect(bareEnds(b.state()).map((i) => i.name)).toEqual(['grey wire']);
    // Soldered on again: the iron is hot, and does not come near wet solvent.
    for (const u of b.state().inUse) b.tell({ type: 'use.ended', use: u.id });
    b.line('tape grey wire');
    b.line('alcohol edge');
    const solderOn = () => b.tell({ type: 'item.returned', item: grey, count: 1, state: 'plugged' });
    expect(reason(solderOn)).toMatch(/^Not beside each other: Solvent at edge/);
    b.tell({ type: 'use.ended', use: b.state().inUse[0]?.id ?? '' });
    solderOn();
    expect(b.state().inUse.map((u) => u.use)).toEqual(['iron']);
  });

  it('a plug with its contacts inside is not bare, nor is a wire in a unit without a pack', () => {
    const b = bench(withPack());
    safe(b);
    b.line('unplug fan lead');
    expect(bareEnds(b.state())).toEqual([]);
    const none = bench(lamp);
    none.line('unsolder white wire');
    none.line('unsolder grey wire');
    expect(bareEnds(none.state())).toEqual([]);
  });
});

describe('names of a job', () => {
  it('are those of the map, of the tray, and what was learned', () => {
    expect(namesOf(bench({ ...lamp, hazards: [pack] }).state()).map((n) => n.name)).toEqual(
      expect.arrayContaining(['lens cover', 'cell', 'lamp board', 'red wire', 'black wire']),
    );
    const b = bench(lamp);
    b.tell({ type: 'name.learned', said: 'glass', means: 'cover' });
    b.line('lift glass > shelf');
    expect(b.state().ledger.covers.map((c) => c.name)).toEqual(['lens cover']);
    expect(reason(() => b.tell({ type: 'name.learned', said: 'glass', means: 'moon' }))).toBe(
      'moon is nothing of this unit',
    );
    b.line('lift left clip');
    expect(
      namesOf(b.state())
        .filter((n) => n.kind === 'thing')
        .map((n) => n.name),
    ).toEqual(['left clip']);
  });
});

describe('a move that was written down wrongly', () => {
  it('reads otherwise from then on, with all that followed, and the correction is undone like anything', () => {
    const b = bench(lamp);
    b.line('4 x M3x8 PH1 lens cover > cup 1');
    const move = b.state().ledger.moves[0]?.id ?? '';
    b.line('lift lens cover > shelf');
    const say = (text: string, count: number) =>
      b.tell({
        type: 'move.corrected',
        move,
        verb: 'undo',
        text,
        item: {
          kind: 'fastener',
          name: 'screw',
          thread: 'M3',
          lengthMm: 8,
          drive: 'PH1',
          count,
          from: 'lens cover',
          place: { kind: 'cup', label: '1' },
        },
      });
    const screws = b.screws('lens cover');
    b.tell({ type: 'item.returned', item: screws, count: 3, state: 'tight' });
    say('6 x M3x8 PH1 lens cover > cup 1', 6);
    expect(b.state().ledger.items[0]).toMatchObject({ id: screws, count: 6, by: { off: 3, tight: 3 } });
    expect(b.state().ledger.moves[0]?.text).toBe('6 x M3x8 PH1 lens cover > cup 1');
    expect(reason(() => say('2 x M3x8 PH1 lens cover > cup 1', 2))).toMatch(
      /^It cannot read so: a later entry needs it as it was \(only 2 of M3×8 PH1 can be put back/,
    );
    const last = b.events().at(-1);
    b.tell({ type: 'undone', event: last?.id ?? '' } as never);
    expect(b.state().ledger.items[0]?.count).toBe(4);
    expect(
      reason(() =>
        b.tell({ type: 'move.corrected', move: 'none', verb: 'lift', text: 'x', item: null, on: 'x' }),
      ),
    ).toBe('there is no such move to correct');
  });
  it('is one of the entry line: what came off at Swap is undone, not reworded', () => {
    const b = bench(lamp);
    b.planned('B1');
    b.line('lift lens cover > shelf');
    b.tell({ type: 'part.removed', name: 'old cell' });
    const move = b.state().ledger.moves.at(-1)?.id ?? '';
    const item = { kind: 'part' as const, name: 'cell', count: 1, place: { kind: 'shelf' as const } };
    expect(
      reason(() => b.tell({ type: 'move.corrected', move, verb: 'lift', text: 'lift cell', item })),
    ).toBe('that was not said on the entry line: undo it, and say it anew');
  });
  it('does not get past what held it then', () => {
    const b = bench({
      ...lamp,
      hazards: [{ ...pack, charge: { maxPercent: 30, chemistry: 'li-ion' as const, series: 1 } }],
    });
    b.line('2 x M3x8 PH1 lens cover > cup 1');
    const move = b.state().ledger.moves[0]?.id ?? '';
    const item = { kind: 'part' as const, name: 'lens cover', count: 1, place: { kind: 'shelf' as const } };
    expect(
      reason(() => b.tell({ type: 'move.corrected', move, verb: 'pry', text: 'pry lens cover', item })),
    ).toMatch(/^No lever yet/);
  });
});
