import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { reportOf } from '../report';
import { type Description, describeUnit, type UnitMap } from '../unit';
import {
  gatesAhead,
  handHeldBy,
  history,
  openPoints,
  plugsOff,
  proofHeldBy,
  runOf,
  waitsUnder,
  wayBackOf,
} from '.';
import { bench, kiosk } from './bench.test.fixture';

/** A vehicle pack with balance and main lead under a sealed lid, as somebody would describe it. */
const scooter = (more: Partial<Description> = {}): UnitMap =>
  describeUnit({
    name: 'Quay scooter',
    maker: 'Hapstock',
    model: 'QS-1',
    does: 'drives off',
    cover: 'sealed lid',
    coverMinutes: 6,
    hazards: ['cell pack'],
    rows: [
      { id: 'A1', name: 'controller', kind: 'board' },
      { id: 'M1', name: 'hub motor', kind: 'motor', outside: true },
      {
        id: 'B1',
        name: 'drive pack',
        kind: 'battery',
        leads: ['main lead', 'balance lead'],
        chemistry: 'li-ion cell',
        cells: 10,
      },
    ],
    ...more,
  });

/** A headset with a soldered cell: nothing to unplug, nobody named a lead. */
const headset = () =>
  describeUnit({
    name: 'Guide headset',
    maker: 'Murrowby',
    model: 'GH',
    does: 'speaks',
    cover: 'ear shell',
    coverMinutes: 2,
    hazards: ['cell pack'],
    rows: [
      { id: 'A1', name: 'radio board', kind: 'board' },
      { id: 'E1', name: 'speaker', kind: 'lamp' },
      { id: 'B1', name: 'cell', kind: 'battery', leads: [] },
    ],
  });

type Bench = ReturnType<typeof bench>;
const reason = (act: () => unknown): string => {
  try {
    act();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'taken';
};
const status = (b: Bench, hazard = 'cell pack') => b.state().hazards.find((h) => h.id === hazard)?.status;
const ready = (map: UnitMap, element = 'B1') => {
  const b = bench(map);
  b.planned(element);
  return b;
};
const gate = (b: Bench, leads: string[], reading = 0) =>
  b.tell({
    type: 'gate.cleared',
    hazard: 'cell pack',
    acted: true,
    reading,
    unit: 'V',
    source: 'meter',
    leads,
  });
const back = (b: Bench, name: string, state: 'plugged' | 'fitted' | 'tight' = 'plugged') =>
  b.tell({ type: 'item.returned', item: b.item(name), count: 1, state });

describe('the gate of a pack on a described unit', () => {
  it('lies under its cover: it waits for it, and does not hold it', () => {
    const b = ready(scooter());
    expect(reason(() => gate(b, ['balance lead', 'main lead']))).toBe(
      'Lithium pack lies under the sealed lid: take that off first',
    );
    expect(plugsOff(b.state())).toEqual([]);
    b.line('8 x M4x12 HEX3 sealed lid > cup 1');
    b.line('lift sealed lid > shelf');
    expect(handHeldBy(b.state(), { thing: 'controller' }).map((h) => h.name)).toEqual(['Lithium pack']);
    gate(b, ['balance lead', 'main lead']);
    expect(status(b)).toBe('made safe');
  });
  it('parts its leads in the order of the rule, and every one lies in the tray', () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    expect(reason(() => gate(b, ['main lead', 'balance lead']))).toBe(
      'balance lead first: the signal lead of Lithium pack goes before its power lead',
    );
    gate(b, ['balance lead', 'main lead']);
    expect(plugsOff(b.state())).toEqual(['balance lead', 'main lead']);
    const off = reportOf(b.state(), b.events()).find((s) => s.title === 'Came off and went back');
    expect(off?.lines.map((l) => l.text)).toEqual(['1 × sealed lid', '1 × balance lead', '1 × main lead']);
  });
  it('does not hold its own leads, and the rule does not deadlock', () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    expect(reason(() => b.line('unplug main lead'))).toMatch(/^balance lead first/);
    b.line('unplug balance lead');
    b.line('unplug main lead');
    expect(status(b)).toBe('live');
    gate(b, []);
    expect(status(b)).toBe('made safe');
    expect(plugsOff(b.state())).toEqual(['balance lead', 'main lead']);
  });
  it('whatever is put back under a name of the pack makes it live again', () => {
    for (const called of ['main lead', 'Main lead', 'balance lead']) {
      const b = ready(scooter());
      b.line('lift sealed lid > shelf');
      gate(b, ['balance lead', 'main lead']);
      if (called === 'balance lead') back(b, 'main lead');
      else back(b, 'main lead');
      expect(status(b), called).toBe('live');
      expect(b.state().hazards[0]?.armed?.by).toBe('main lead');
    }
  });
  it('a pack whose leads nobody named is live again by the words people use', () => {
    const b = ready(headset());
    b.line('lift ear shell > shelf');
    gate(b, ['battery wire']);
    back(b, 'battery wire');
    expect(status(b)).toBe('live');
  });
  it('the new pack in is live, and what was read of the old one says nothing of it', () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    b.tell({ type: 'charge.read', hazard: 'cell pack', volts: 36, source: 'meter' });
    gate(b, ['balance lead', 'main lead']);
    b.tell({ type: 'part.removed', name: 'old pack' });
    b.tell({ type: 'preparation.ticked', line: 'polarity', note: '+37 V' });
    b.tell({ type: 'part.fitted', name: 'new pack' });
    expect(status(b)).toBe('live');
    expect(b.state().charges).toEqual({});
  });
  it('what lies over its plug is named once and comes off before the gate', () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    expect(reason(() => b.line('lift bracket > shelf'))).toMatch(/^Held by Lithium pack/);
    b.tell({ type: 'pack.freed-by', hazard: 'cell pack', thing: 'bracket' });
    b.line('lift bracket > shelf');
    expect(reason(() => b.line('lift fan > shelf'))).toMatch(/^Held by Lithium pack/);
    expect(b.state().whole.hazards[0]?.clear.under).toEqual(['bracket']);
  });
});

describe('the way back', () => {
  const inside = () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    b.line('unplug balance lead');
    b.line('unplug main lead');
    gate(b, []);
    b.line('unplug motor plug');
    b.tell({ type: 'part.removed', name: 'old pack' });
    b.tell({ type: 'preparation.ticked', line: 'polarity', note: '+37 V' });
    b.tell({ type: 'part.fitted', name: 'new pack' });
    return b;
  };
  it('needs no gate of the pack: nothing that is put in is held by it', () => {
    const b = inside();
    back(b, 'motor plug');
    back(b, 'main lead');
    back(b, 'balance lead');
    expect(plugsOff(b.state())).toEqual([]);
  });
  it('holds the rule the other way round: the power lead before the balance lead', () => {
    const b = inside();
    expect(reason(() => back(b, 'balance lead'))).toBe(
      'main lead first: the power lead of Lithium pack goes in before its signal lead',
    );
  });
  it('asks again when something is taken off once more', () => {
    const b = inside();
    back(b, 'motor plug');
    back(b, 'main lead');
    expect(reason(() => b.tell({ type: 'item.taken', item: b.item('motor plug'), count: 1 }))).toMatch(
      /^Held by Lithium pack/,
    );
  });
  it('battery last where the battery was first', () => {
    const map = scooter({
      rows: [...scooterRows(), { id: 'B1', name: 'pack', kind: 'battery', leads: ['B1 plug'] }],
    });
    const b = ready(map);
    b.line('lift sealed lid > shelf');
    expect(reason(() => b.line('unplug fan plug'))).toMatch(/^B1 plug first/);
    gate(b, ['B1 plug']);
    b.line('unplug fan plug');
    expect(reason(() => back(b, 'B1 plug'))).toBe(
      'fan plug first: Lithium pack goes in after every other connector',
    );
    back(b, 'fan plug');
    back(b, 'B1 plug');
    expect(status(b)).toBe('live');
  });
});

const scooterRows = (): Description['rows'] => [
  { id: 'A1', name: 'controller', kind: 'board' },
  { id: 'M1', name: 'hub motor', kind: 'motor', outside: true },
];

describe('power and charge', () => {
  const rows: Description['rows'] = [
    { id: 'A1', name: 'board', kind: 'board', tap: { id: 'TP1', how: 'look' } },
    { id: 'B1', name: 'pack', kind: 'battery', leads: ['pack plug'], cells: 2 },
  ];
  it('a check that runs the unit ends the reading of the charge and the powering down', () => {
    const map = { ...scooter({ rows }), powerDown: [{ id: 'menu', text: 'Menu, off' }] };
    const b = bench(map);
    b.tell({ type: 'intake.recorded', function: 'works', symptom: 'dead', pattern: 'always', keep: [] });
    b.tell({ type: 'power-down.done', step: 'menu' });
    b.tell({ type: 'charge.read', hazard: 'cell pack', volts: 7, source: 'meter' });
    b.line('pry trim > shelf');
    b.tell({ type: 'check.recorded', check: 'tap:TP1', outcome: 'ok', source: 'eye' });
    expect(b.state()).toMatchObject({ power: 'on', charges: {}, poweredDown: { done: [] } });
    expect(reason(() => b.line('pry bezel > shelf'))).toBe('No lever yet: the power is on. Make safe');
    b.tell({ type: 'power.set', power: 'off' });
    expect(reason(() => b.line('pry bezel > shelf'))).toBe(
      'No lever yet: Lithium pack, how full it is has not been read. Make safe',
    );
  });
  it('a described pack has its limit, read with the cells it has', () => {
    const b = bench(scooter({ rows }));
    b.tell({ type: 'charge.read', hazard: 'cell pack', volts: 8.2, source: 'meter' });
    expect(reason(() => b.line('heat the edge > shelf'))).toMatch(
      /^No heat yet: Lithium pack, it is 9\d.% full, over 25/,
    );
    b.tell({ type: 'charge.read', hazard: 'cell pack', percent: 20, source: 'unit' });
    b.line('heat-shrink sleeve > shelf');
    expect(
      reason(() => b.tell({ type: 'charge.read', hazard: 'cell pack', volts: 40, source: 'meter' })),
    ).toMatch(/is the number in series right/);
    b.tell({ type: 'charge.read', hazard: 'cell pack', volts: 34, series: 10, source: 'meter' });
    expect(b.state().charges['cell pack']?.percent).toBeLessThan(10);
  });
  it('its own way to power down comes before the first cover and before the gate of the pack', () => {
    const b = bench({ ...scooter({ rows, cover: '' }), powerDown: [{ id: 'menu', text: 'Menu, off' }] });
    expect(reason(() => gate(b, ['pack plug']))).toBe('First power it down the way it wants: Menu, off');
    const c = bench({ ...scooter({ rows }), powerDown: [{ id: 'menu', text: 'Menu, off' }] });
    expect(reason(() => c.line('lift sealed lid'))).toBe('First power it down the way it wants: Menu, off');
    c.tell({ type: 'power-down.done', step: 'menu' });
    c.line('lift sealed lid');
  });
  it('no metal near a pack that is in, and none is asked for once it is out', () => {
    const b = ready(scooter({ rows }));
    b.line('lift sealed lid > shelf');
    b.tell({ type: 'charge.read', hazard: 'cell pack', volts: 7, source: 'meter' });
    gate(b, ['pack plug']);
    expect(reason(() => b.line('pry pack with steel spudger'))).toBe(
      'No metal near Lithium pack: “steel” shorts or pierces a cell. A plastic card, or take the pack out first',
    );
    b.tell({ type: 'part.removed', name: 'old pack' });
    b.line('pry foam with steel spudger > shelf');
  });
});

describe('a swollen pack', () => {
  const b = ready(scooter());
  b.line('lift sealed lid > shelf');
  gate(b, ['balance lead', 'main lead']);
  b.tell({ type: 'swelling.noted', hazard: 'cell pack', swollen: true });
  it('is touched by no heat and no lever, however empty it is', () => {
    b.tell({ type: 'charge.read', hazard: 'cell pack', percent: 0, source: 'unit' });
    for (const line of ['pry drive pack', 'heat pack', 'lever up the pack', 'cut the glue'])
      expect(
        reason(() => b.line(line)),
        line,
      ).toMatch(/is swollen. Outside with it, cover it/);
    b.line('cut tie T1');
  });
  it('is not fitted again and has its own line of disposal', () => {
    b.line('lift drive pack > shelf');
    expect(
      reason(() => b.tell({ type: 'item.returned', item: b.item('drive pack'), count: 1, state: 'fitted' })),
    ).toMatch(/is swollen: it is not fitted again/);
    const report = JSON.stringify(reportOf(b.state(), b.events()));
    expect(report).toContain('handed in as a damaged pack');
    expect(history(b.events()).map((h) => h.text)).toContain(
      'Lithium pack is swollen: no heat, no lever, outside with it',
    );
  });
  it('is said of packs only, and taken back where it was not', () => {
    const c = bench(scooter({ hazards: ['cell pack', 'mains'] }));
    expect(reason(() => c.tell({ type: 'swelling.noted', hazard: 'mains', swollen: true }))).toBe(
      'Mains is no pack: it cannot swell',
    );
    c.tell({ type: 'swelling.noted', hazard: 'cell pack', swollen: true });
    c.tell({ type: 'swelling.noted', hazard: 'cell pack', swollen: false });
    expect(c.state().swollen).toEqual([]);
    expect(JSON.stringify(reportOf(c.state(), c.events()))).not.toContain('swollen');
  });
});

describe('what is new is looked at before a pack makes it live', () => {
  it('its proof stands before the leads of the pack, and after all else that hangs on it', () => {
    const b = ready(scooter(), 'A1');
    b.line('lift sealed lid > shelf');
    gate(b, ['balance lead', 'main lead']);
    b.line('unplug hall lead');
    b.tell({ type: 'part.removed', name: 'old controller' });
    b.tell({ type: 'part.fitted', name: 'new controller' });
    const steps = () => wayBackOf(b.state()).map((s) => `${s.kind} ${s.item?.name ?? s.cover?.name}`);
    expect(steps()).toEqual([
      'return hall lead',
      'prove new controller',
      'return main lead',
      'return balance lead',
      'return sealed lid',
      'close sealed lid',
    ]);
    // One lead on, or a pack that is no longer asked about: the rest stands as it did.
    b.tell({ type: 'item.returned', item: b.item('hall lead'), count: 1, state: 'plugged' });
    expect(steps().slice(0, 3)).toEqual(['prove hall lead', 'prove new controller', 'return main lead']);
  });
  it('a pack that is new hangs on its own leads: it is proven after them', () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    gate(b, ['balance lead', 'main lead']);
    b.tell({ type: 'part.removed', name: 'old pack' });
    b.tell({ type: 'preparation.ticked', line: 'polarity', note: '+37 V' });
    b.tell({ type: 'part.fitted', name: 'new pack' });
    expect(wayBackOf(b.state()).map((s) => `${s.kind} ${s.item?.name ?? s.cover?.name}`)).toEqual([
      'return main lead',
      'return balance lead',
      'prove new pack',
      'return sealed lid',
      'close sealed lid',
    ]);
  });
});

describe('gates that can be met, and only then', () => {
  it('a unit without any cover on its map is held by its hazards all the same', () => {
    const b = ready(scooter({ cover: '', hazards: ['mains', 'capacitor', 'dc'], rows: scooterRows() }), 'A1');
    expect(gatesAhead(b.state()).map((h) => h.id)).toEqual(['mains', 'capacitor', 'dc']);
    expect(reason(() => b.line('unplug A1'))).toMatch(/^Held by Mains/);
    expect(reason(() => b.line('lift filter > shelf'))).toMatch(/^Held by Mains/);
    b.line('2 x M3x8 PH1 foot > cup 1');
  });
  it('a plug deep inside, with no cover recorded off, is held by what lies there', () => {
    const b = ready(scooter({ hazards: ['mains'], rows: scooterRows() }), 'A1');
    expect(reason(() => b.line('unplug A1'))).toMatch(/^Held by Mains/);
    b.line('unplug M1');
  });
  it('what the screen counts is what holds', () => {
    const b = ready(scooter({ hazards: ['mains', 'cell pack'] }));
    const held = gatesAhead(b.state()).map((h) => h.id);
    expect(held).toEqual(['mains']);
    expect(handHeldBy(b.state(), { cover: 'cover' }).map((h) => h.id)).toEqual(held);
  });
  it('one whose act lies under a cover waits for that cover, until it is off or the gate is cleared', () => {
    const b = ready(scooter({ hazards: ['mains', 'cell pack'] }));
    const waits = () => b.state().map.hazards.map((h) => waitsUnder(b.state(), h)?.name);
    expect(waits()).toEqual([undefined, 'sealed lid']);
    b.tell({ type: 'gate.passed', hazard: 'mains', reason: 'no outlet near it' });
    b.line('lift sealed lid > shelf');
    expect(waits()).toEqual([undefined, undefined]);
    // One gate is past, one is left: the stop is in hand, whatever is looked at.
    expect(runOf(b.state(), 'trace')[3]).toEqual({ stop: 'make safe', status: 'in hand', note: '1 gate' });
  });
  it('a cover met at the bench is a cover of the map from then on, under those that are off', () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    gate(b, ['balance lead', 'main lead']);
    b.line('lift inner shield > shelf');
    expect(b.state().map.access.at(-1)).toEqual({
      id: 'inner shield',
      name: 'inner shield',
      minutes: 3,
      needs: ['cover'],
    });
    expect(b.state().whole.access).toHaveLength(2);
    b.line('flip over');
    expect(b.state().map.access).toHaveLength(2);
  });
});

describe('polarity', () => {
  const out = () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    gate(b, ['balance lead', 'main lead']);
    b.tell({
      type: 'battery.compared',
      element: 'B1',
      request: { old: { volts: 36 }, new: { volts: 36 } },
      chemistry: 0,
    });
    b.tell({ type: 'part.removed', name: 'old pack' });
    return b;
  };
  it.each([
    ['-37 V', /red and black are swapped. Do not plug it in/],
    ['−36,9', /red and black are swapped/],
    ['0 V', /tells no polarity/],
    ['+12 V', /the one it replaces has 36 V/],
    ['red is plus', /write down what the meter read/],
  ])('%s holds the swap', (note, why) => {
    const b = out();
    expect(reason(() => b.tell({ type: 'preparation.ticked', line: 'polarity', note }))).toMatch(why);
    expect(reason(() => b.tell({ type: 'part.fitted', name: 'new pack' }))).toMatch(/^First: Polarity/);
  });
  it.each(['+37.2 V', '36,4', '+ 33 V'])('%s lets it in', (note) => {
    const b = out();
    b.tell({ type: 'preparation.ticked', line: 'polarity', note });
    b.tell({ type: 'part.fitted', name: 'new pack' });
    expect(b.state().fix?.name).toBe('new pack');
  });
});

describe('a proof proves something', () => {
  const mended = () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    gate(b, ['balance lead', 'main lead']);
    b.tell({ type: 'part.removed', name: 'old pack' });
    expect(proofHeldBy(b.state())).toBe('B1 is still out');
    b.tell({ type: 'preparation.ticked', line: 'polarity', note: '+37 V' });
    b.tell({ type: 'part.fitted', name: 'new pack' });
    return b;
  };
  const works = (b: Bench) =>
    b.tell({ type: 'proof.recorded', check: 'symptom:works', outcome: 'ok', source: 'eye' });
  it('not with its own plug still out, and not with a lead still exchanged', () => {
    const b = mended();
    expect(reason(() => works(b))).toBe('balance lead is still out: what is seen now proves nothing');
    back(b, 'main lead');
    back(b, 'balance lead');
    expect(proofHeldBy(b.state())).toBeNull();
    works(b);
    expect(b.state().proofs).toHaveLength(1);
  });
  it('not with another pack of the unit still out', () => {
    const b = ready(scooter(), 'A1');
    b.line('lift sealed lid > shelf');
    gate(b, ['balance lead', 'main lead']);
    b.line('lift drive pack > shelf');
    back(b, 'main lead');
    back(b, 'balance lead');
    expect(proofHeldBy(b.state())).toBe('Lithium pack is still out');
    back(b, 'drive pack', 'fitted');
    expect(proofHeldBy(b.state())).toBeNull();
  });
  it('every open point is done or let go with a reason before it is handed over as working', () => {
    const b = mended();
    back(b, 'main lead');
    back(b, 'balance lead');
    for (const plug of ['main lead', 'balance lead'])
      b.tell({ type: 'item.proven', item: b.item(plug), how: 'held a tug' });
    b.tell({ type: 'item.proven', item: b.state().fix?.newItem ?? '', how: 'sits flat' });
    b.tell({ type: 'item.returned', item: b.item('sealed lid'), count: 1, state: 'fitted' });
    b.tell({ type: 'cover.closed', cover: 'cover', kind: 'final' });
    works(b);
    const give = () => b.tell({ type: 'job.handed-over', to: 'quay', result: 'works' });
    expect(openPoints(b.state()).map((p) => p.id)).toEqual(['shown: charging', 'shown: activation']);
    expect(reason(give)).toMatch(/^Open: B1 takes charge/);
    b.tell({ type: 'proving.ticked', line: 'charging', outcome: 'ok', reading: 1.2 });
    expect(reason(() => b.tell({ type: 'point.passed', point: 'shown: activation', reason: 'no' }))).toMatch(
      /say why/,
    );
    b.tell({ type: 'point.passed', point: 'shown: activation', reason: 'it asks for none' });
    expect(
      reason(() => b.tell({ type: 'point.passed', point: 'shown: charging', reason: 'it was shown' })),
    ).toBe('that is not open');
    give();
    expect(b.state().handedOver?.result).toBe('works');
    expect(JSON.stringify(reportOf(b.state(), b.events()))).toContain('it asks for none');
  });
  it('a coin cell is not asked to take charge', () => {
    const map = describeUnit({
      name: 'Tide clock',
      maker: '',
      model: '',
      does: 'keeps time',
      cover: '',
      coverMinutes: 0,
      hazards: [],
      rows: [
        { id: 'A1', name: 'clock board', kind: 'board' },
        { id: 'B1', name: 'CR2032 coin cell', kind: 'battery' },
      ],
    });
    const b = ready(map);
    b.tell({ type: 'part.removed', name: 'old cell' });
    b.tell({ type: 'preparation.ticked', line: 'polarity', note: '3.1 V' });
    b.tell({ type: 'part.fitted', name: 'new cell' });
    expect(openPoints(b.state()).map((p) => p.id)).not.toContain('shown: charging');
  });
});

describe('the old part', () => {
  it('that is a battery stays out though another part is in hand, and whether or not a gate is about it', () => {
    const b = bench(
      kiosk([
        { id: 'A1', name: 'board', kind: 'board' },
        { id: 'B1', name: 'standby battery', kind: 'battery', leads: ['red spade'] },
      ]),
    );
    b.planned('A1');
    b.tell({ type: 'plan.chosen', element: 'B1', remedy: 'replace', why: 'it too', also: true });
    b.line('lift door > shelf, unplug red spade');
    for (const name of ['standby battery', 'board'])
      b.tell({
        type: 'move.recorded',
        verb: 'lift',
        text: `lift ${name}`,
        item: { kind: 'part', name, count: 1, place: { kind: 'shelf' } },
        out: true,
      });
    expect(b.state()).toMatchObject({ out: { element: 'A1' }, outBeside: [{ element: 'B1' }] });
    const back = (name: string) =>
      reason(() => b.tell({ type: 'item.returned', item: b.item(name), count: 1, state: 'fitted' }));
    expect(back('standby battery')).toBe(
      'standby battery was taken out: a pack that was out is not fitted again',
    );
    // A board may go back after all.
    expect(back('board')).toBe('taken');
  });
  it('lifting what is planned to be replaced is its Out, counted once and never offered again', () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    gate(b, ['balance lead', 'main lead']);
    b.tell({
      type: 'move.recorded',
      verb: 'lift',
      text: 'lift drive pack',
      item: { kind: 'part', name: 'drive pack', count: 1, place: { kind: 'shelf' } },
      out: true,
    });
    expect(b.state()).toMatchObject({ stop: 'swap', out: { element: 'B1' } });
    expect(reason(() => b.tell({ type: 'part.removed', name: 'old pack' }))).toMatch(/is out already/);
    expect(
      reason(() => b.tell({ type: 'item.returned', item: b.item('drive pack'), count: 1, state: 'fitted' })),
    ).toBe('drive pack was taken out: a pack that was out is not fitted again');
    b.tell({ type: 'preparation.ticked', line: 'polarity', note: '+37 V' });
    b.tell({ type: 'part.fitted', name: 'new pack' });
    expect(
      b
        .state()
        .ledger.items.filter((i) => /pack/.test(i.name))
        .map((i) => i.name),
    ).toEqual(['drive pack', 'new pack']);
  });
});

describe('what is at a pack is not the pack', () => {
  it('its bracket off does not let a lever in, and goes back though the pack is swollen', () => {
    const b = ready(scooter());
    b.line('lift sealed lid > shelf');
    gate(b, ['balance lead', 'main lead']);
    b.line('lift B1 bracket > shelf');
    expect(reason(() => b.line('pry foam strip > shelf'))).toBe(
      'No lever yet: Lithium pack, how full it is has not been read. Make safe',
    );
    b.tell({ type: 'swelling.noted', hazard: 'cell pack', swollen: true });
    back(b, 'B1 bracket', 'fitted');
  });
});

describe('what goes in for a thing that was written off', () => {
  const opened = () => {
    const b = ready(scooter(), 'A1');
    b.line('lift sealed lid > shelf');
    gate(b, ['balance lead', 'main lead']);
    return b;
  };
  const replaced = (b: Bench, name: string, replacement: string) => {
    b.tell({
      type: 'item.written-off',
      item: b.item(name),
      count: 1,
      reason: 'torn',
      replacement,
      goesIn: true,
    });
    const fresh = b.state().ledger.items.find((i) => i.replacement === replacement);
    return fresh?.id ?? '';
  };
  const returned = (b: Bench, item: string, state: 'plugged' | 'fitted') =>
    b.tell({ type: 'item.returned', item, count: 1, state });
  it('a new lead of a pack makes it live, whatever it is called', () => {
    const b = opened();
    const fresh = replaced(b, 'main lead', 'spare from drawer 4');
    expect(plugsOff(b.state())).toEqual(['balance lead', 'main lead']);
    expect(reason(() => back(b, 'balance lead'))).toMatch(/^main lead first/);
    returned(b, fresh, 'plugged');
    expect(status(b)).toBe('live');
    back(b, 'balance lead');
    expect(proofHeldBy(b.state())).toBeNull();
  });
  it('a new pack is not the swollen one, and its charge has not been read', () => {
    const b = opened();
    b.tell({ type: 'charge.read', hazard: 'cell pack', percent: 20, source: 'unit' });
    b.tell({ type: 'swelling.noted', hazard: 'cell pack', swollen: true });
    b.line('lift drive pack > shelf');
    expect(reason(() => back(b, 'drive pack', 'fitted'))).toBe(
      'drive pack is swollen: it is not fitted again. Write it off',
    );
    const fresh = replaced(b, 'drive pack', 'new drive pack');
    expect(b.state().swollen).toEqual([]);
    expect(b.state().charges).toEqual({});
    returned(b, fresh, 'fitted');
    expect(status(b)).toBe('live');
  });
  it('a new bracket leaves what was read of the pack', () => {
    const b = opened();
    b.tell({ type: 'charge.read', hazard: 'cell pack', percent: 20, source: 'unit' });
    b.line('lift B1 bracket > shelf');
    replaced(b, 'B1 bracket', 'new bracket');
    expect(Object.keys(b.state().charges)).toEqual(['cell pack']);
  });
});
