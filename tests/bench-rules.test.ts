import { describe, expect, it } from 'vitest';
import {
  fold,
  type JobEvent,
  partiesLeft,
  plugsToMove,
  powerDownLeft,
  provingLines,
  runOf,
} from '../src/core/job';
import { bench } from '../src/core/job/bench.test.fixture';
import { reportOf } from '../src/core/report';
import type { UnitMap } from '../src/core/unit';
import { photoPrinter } from '../src/demo/units/photo-printer';
import { ticketKiosk } from '../src/demo/units/ticket-kiosk';

const gate = (hazard: string, reading: number) =>
  ({ type: 'gate.cleared', hazard, acted: true, reading, unit: 'V', source: 'meter' }) as const;
const poweredDown = (b: ReturnType<typeof bench>) => {
  for (const step of ['strip', 'counter', 'switch']) b.tell({ type: 'power-down.done', step });
};

describe('powering down', () => {
  it('goes in the order of the unit, and its gates wait for it', () => {
    const b = bench(photoPrinter);
    expect(() => b.tell(gate('mains', 0))).toThrow('First power it down the way it wants: Let the strip');
    expect(() => b.tell({ type: 'power-down.done', step: 'switch' })).toThrow('comes first');
    poweredDown(b);
    expect(powerDownLeft(b.state())).toEqual([]);
    b.tell(gate('mains', 0));
    b.tell({ type: 'power.set', power: 'on' });
    expect(powerDownLeft(b.state())).toHaveLength(3);
  });
  it('a dead unit is passed over with a reason that stays in the report', () => {
    const b = bench(photoPrinter);
    expect(() => b.tell({ type: 'power-down.passed', reason: 'dead' })).toThrow('a few words');
    b.tell({ type: 'power-down.passed', reason: 'it does not switch on any more' });
    b.tell(gate('mains', 0));
    const made = reportOf(b.state(), b.events()).find((s) => s.title === 'Made safe');
    expect(made?.lines.map((l) => l.result)).toContain('it does not switch on any more');
  });
  it('a rule that came later does not make an old job unreadable', () => {
    const b = bench({ ...photoPrinter, powerDown: [] });
    b.tell(gate('mains', 0));
    // The same entries, kept by a unit whose map now knows how it wants to be powered down.
    const [opened, ...rest] = b.events() as JobEvent[];
    const story = [{ ...opened, map: photoPrinter } as JobEvent, ...rest];
    expect(fold(story).state.hazards.find((h) => h.id === 'mains')?.status).toBe('made safe');
  });
});

describe('heat and levers', () => {
  it('wait until the pack is read and low; a unit that ran may have charged it', () => {
    const b = bench(photoPrinter);
    expect(() => b.line('pry front glass')).toThrow(
      'No lever yet: B1 pack, how full it is has not been read',
    );
    b.tell({ type: 'charge.read', hazard: 'B1', volts: 8.3, source: 'meter' });
    expect(() => b.line('pry front glass')).toThrow(/it is \d+.% full, over 30/);
    b.tell({ type: 'charge.read', hazard: 'B1', volts: 7, source: 'meter' });
    b.line('pry front glass');
    b.tell({ type: 'power.set', power: 'on' });
    expect(() => b.line('pry rear glass')).toThrow('No lever yet: the power is on');
    expect(() => b.tell({ type: 'charge.read', hazard: 'B1', volts: 7, source: 'meter' })).toThrow(
      'no voltage at rest',
    );
    b.tell({ type: 'power.set', power: 'off' });
    expect(() => b.line('pry rear glass')).toThrow('has not been read');
    b.tell({ type: 'charge.read', hazard: 'B1', percent: 10, source: 'unit' });
    b.line('pry rear glass');
    expect(() => b.tell({ type: 'charge.read', hazard: 'B1', percent: 110, source: 'unit' })).toThrow(
      '0 to 100',
    );
    expect(() => b.tell({ type: 'charge.read', hazard: 'B1', source: 'unit' })).toThrow('at rest');
    expect(() => b.tell({ type: 'charge.read', hazard: 'mains', percent: 1, source: 'unit' })).toThrow(
      'how full',
    );
  });
});

describe('the run', () => {
  it('says of the opening that it is in hand while something is off, whatever is looked at', () => {
    const b = bench({ ...photoPrinter, powerDown: [] });
    const opening = () => runOf(b.state(), 'trace').find((r) => r.stop === 'open up');
    expect(opening()).toEqual({ stop: 'open up', status: 'not begun', note: '' });
    b.line('2 x M3x6 base foot');
    expect(opening()).toEqual({ stop: 'open up', status: 'in hand', note: '2 off' });
  });
});

describe('the first lead', () => {
  const inside = () => {
    const b = bench({ ...photoPrinter, powerDown: [] });
    b.tell(gate('mains', 0));
    b.tell(gate('C14', 0));
    b.line('lift rear cover > shelf');
    b.line('lift shield plate > shelf');
    return b;
  };
  it('the pack goes before any other connector, until another rule is chosen', () => {
    const b = inside();
    // Its own gate holds the hand as well; what is asked here is only the order of the plugs.
    b.tell({ type: 'gate.passed', hazard: 'B1', reason: 'sealed pack, plug shrouded' });
    expect(() => b.line('unplug W3 4p')).toThrow('W6 first: B1 pack goes before any other connector');
    b.tell({ type: 'lead-rule.chosen', rule: 'no rule' });
    b.line('unplug W3 4p');
  });
  it('the pack itself may always go', () => {
    const b = inside();
    b.tell(gate('B1', 0));
    b.line('unplug W3 4p');
    expect(
      b
        .state()
        .ledger.items.filter((i) => i.kind === 'plug')
        .map((i) => i.name),
    ).toEqual(['W6', 'W3']);
  });
});

describe('preparation', () => {
  const ready = (map: UnitMap = photoPrinter) => {
    const b = bench({ ...map, hazards: [], powerDown: [] });
    b.planned('B1');
    b.line('lift rear cover > shelf');
    b.line('lift shield plate > shelf');
    return b;
  };
  it('polarity is read before a pack goes in, and what it read is kept', () => {
    const b = ready();
    b.tell({ type: 'part.removed', name: 'old pack', serial: 'A17', dateCode: '2319' });
    const putIn = () => b.tell({ type: 'part.fitted', name: 'new pack', dateCode: '2641' });
    expect(putIn).toThrow('Polarity read with the meter');
    expect(() => b.tell({ type: 'preparation.ticked', line: 'polarity' })).toThrow('write it down');
    b.tell({ type: 'preparation.ticked', line: 'polarity', note: '+7.4 V red to black' });
    putIn();
    expect(b.state().fix).toMatchObject({
      dateCode: '2641',
      old: { serial: 'A17', dateCode: '2319' },
      prepared: [{ line: 'polarity', note: '+7.4 V red to black' }],
    });
    const done = reportOf(b.state(), b.events()).find((s) => s.title === 'Done');
    expect(done?.lines.map((l) => l.result)).toContain('serial A17, date code 2319');
  });
  it('a date code that is none is refused where it was typed', () => {
    const b = ready();
    expect(() => b.tell({ type: 'part.removed', name: 'old pack', dateCode: '2399' })).toThrow(
      'has no week 99',
    );
  });
  it('a plug without a key is marked before the part comes out', () => {
    const b = bench({ ...photoPrinter, hazards: [], powerDown: [] });
    b.planned('A2');
    b.line('lift rear cover > shelf');
    b.line('lift shield plate > shelf');
    expect(() => b.tell({ type: 'part.removed', name: 'old board' })).toThrow('Contact 1 marked');
    b.tell({ type: 'preparation.ticked', line: 'contact 1' });
    b.tell({ type: 'part.removed', name: 'old board', along: plugsToMove(b.state()) });
    expect(() => b.tell({ type: 'preparation.ticked', line: 'polarity', note: 'x' })).toThrow('no line');
  });
});

describe('one across at a time', () => {
  it('every plug of the board goes over, proven, before the old board may leave', () => {
    const b = bench({ ...photoPrinter, hazards: [], powerDown: [] });
    b.planned('A2');
    b.line('lift rear cover > shelf');
    b.line('lift shield plate > shelf');
    b.tell({ type: 'preparation.ticked', line: 'contact 1' });
    expect(() => b.tell({ type: 'plug.moved', plug: 'W1', how: 'tug' })).toThrow(
      'one across at a time first',
    );
    b.tell({ type: 'cables.chosen', mode: 'one across' });
    const all = plugsToMove(b.state());
    expect(all).toEqual(['W1', 'W5', 'W2', 'W3', 'W6']);
    for (const plug of all.slice(1)) b.tell({ type: 'plug.moved', plug, how: 'latch clicked' });
    expect(() => b.tell({ type: 'part.removed', name: 'old board' })).toThrow('W1 still on the old one');
    expect(() => b.tell({ type: 'plug.moved', plug: 'W5', how: 'tug' })).toThrow('across already');
    b.tell({ type: 'plug.moved', plug: 'W1', how: 'held a tug' });
    b.tell({ type: 'part.removed', name: 'old board' });
    b.tell({ type: 'part.fitted', name: 'new board' });
    expect(b.state().fix?.across).toHaveLength(5);
    // They are home: a close asks nothing of them any more.
    const plugs = b.state().ledger.items.filter((i) => i.kind === 'plug');
    expect(plugs.every((i) => i.by.proven === 1)).toBe(true);
  });
});

describe('a unit inside the unit', () => {
  it('keeps its own things, has to be whole to be left whole, and may be left open for later', () => {
    const b = bench({ ...photoPrinter, hazards: [], powerDown: [] });
    b.line('4 x M3x8 PH1 rear cover > cup 3');
    b.tell({ type: 'unit.entered', name: 'paper feeder', goal: 'free the roller' });
    expect(() => b.tell({ type: 'unit.entered', name: 'cutter', goal: '' })).toThrow('leave it first');
    b.line('2 x M2x4 PH0 roller bracket > cup 5');
    const own = b.state().ledger.items.filter((i) => i.within);
    expect(own.map((i) => i.from)).toEqual(['roller bracket']);
    expect(() => b.tell({ type: 'unit.left', as: 'whole' })).toThrow('2 × M2×4 PH0 still in cup 5');
    b.tell({ type: 'unit.left', as: 'open' });
    b.tell({ type: 'unit.entered', name: 'Paper feeder', goal: '' });
    expect(b.state().subUnits).toHaveLength(1);
    expect(b.state().subUnits[0]?.goal).toBe('free the roller');
    b.tell({ type: 'item.returned', item: b.screws('roller bracket'), count: 2, state: 'tight' });
    b.tell({ type: 'unit.left', as: 'whole' });
    expect(() => b.tell({ type: 'unit.left', as: 'whole' })).toThrow('in no unit');
  });
});

describe('proving beside the check', () => {
  const mended = (map: UnitMap) => {
    const b = bench({ ...map, hazards: [], powerDown: [] });
    b.tell({
      type: 'intake.recorded',
      function: map.functions[0]?.id ?? '',
      symptom: 'eats notes',
      pattern: 'now and then',
      unitSays: 'error 14',
      keep: ['cash in the box'],
    });
    b.tell({ type: 'plan.chosen', element: 'S1', remedy: 'set', why: 'switch was off' });
    b.tell({ type: 'remedy.done' });
    return b;
  };
  it('whoever has to allow it is asked before the first try', () => {
    const b = mended(ticketKiosk);
    const proof = () =>
      b.tell({ type: 'proof.recorded', check: 'symptom:notes', outcome: 'ok', source: 'eye' });
    expect(proof).toThrow('cash owner has to allow the test first');
    expect(() => b.tell({ type: 'party.told', party: 'cash', how: ' ' })).toThrow('gave leave');
    b.tell({ type: 'party.told', party: 'cash', how: 'M. Ockley, at the door' });
    expect(partiesLeft(b.state()).map((p) => p.id)).toEqual(['alarm']);
    expect(proof).toThrow('alarm receiver has to be told before the test: the door contact rings there');
    b.tell({ type: 'party.told', party: 'alarm', how: 'by telephone' });
    proof();
  });
  it('the message is looked at again, and what the owner would lose is looked for', () => {
    const b = mended(ticketKiosk);
    b.tell({ type: 'party.told', party: 'cash', how: 'at the door' });
    b.tell({ type: 'party.told', party: 'alarm', how: 'by telephone' });
    expect(provingLines(b.state()).map((l) => l.id)).toEqual(['message', 'keep:cash in the box']);
    b.tell({ type: 'proving.ticked', line: 'message', outcome: 'ok', note: 'READY' });
    expect(() => b.tell({ type: 'proving.ticked', line: 'message', outcome: 'ok', reading: 1 })).toThrow(
      'no reading',
    );
    expect(() => b.tell({ type: 'proving.ticked', line: 'charging', outcome: 'ok' })).toThrow('not among');
    const said = reportOf(b.state(), b.events()).find((s) => s.title === 'Shown beside it');
    expect(said?.lines.map((l) => l.result)).toContain('before error 14; good, READY');
  });
  it('a new pack has to take charge', () => {
    const b = bench({ ...photoPrinter, hazards: [], powerDown: [] });
    b.planned('B1');
    b.line('lift rear cover > shelf');
    b.line('lift shield plate > shelf');
    b.tell({ type: 'part.removed', name: 'old pack' });
    b.tell({ type: 'preparation.ticked', line: 'polarity', note: '+7.4 V' });
    b.tell({ type: 'part.fitted', name: 'new pack' });
    expect(provingLines(b.state()).map((l) => [l.id, l.unit])).toEqual([
      ['charging', 'A'],
      ['activation', undefined],
    ]);
    const charging = () => b.tell({ type: 'proving.ticked', line: 'charging', outcome: 'ok', reading: 0.42 });
    expect(charging).toThrow('arcade staff has to be told before the test');
    b.tell({ type: 'party.told', party: 'arcade', how: 'at the counter' });
    charging();
    expect(b.state().proving[0]).toMatchObject({ reading: 0.42, unit: 'A' });
  });
});
