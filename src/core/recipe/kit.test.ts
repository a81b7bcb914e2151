import { describe, expect, it } from 'vitest';
import { bench } from '../job/bench.test.fixture';
import { describeUnit } from '../unit';
import { kitOf } from '.';

const plain = describeUnit({
  name: 'Buoy lamp',
  maker: '',
  model: '',
  does: 'Blinks',
  cover: 'dome',
  coverMinutes: 2,
  hazards: [],
  rows: [
    { id: 'A1', name: 'flasher board', kind: 'board' as const },
    { id: 'B1', name: 'pack', kind: 'battery' as const },
  ],
});
const known = {
  ...plain,
  moves: [
    { id: 'h', text: 'alcohol dome edge', tool: null, sideUp: null, minutes: 2 },
    {
      id: 's',
      text: '4 x M3x8 T20 dome > cup 1',
      tool: 'T20 driver',
      sideUp: null,
      minutes: 1,
      after: ['h'],
    },
    {
      id: 'l',
      text: 'pry dome',
      tool: 'plastic card',
      sideUp: null,
      minutes: 1,
      after: ['s'],
      opens: plain.access[0]?.id ?? '',
    },
  ],
};

describe('the kit', () => {
  it('is nothing where nothing is known, and what somebody adds', () => {
    const b = bench(plain);
    expect(kitOf(b.state())).toEqual({ tools: [], parts: [], consumables: [], own: [] });
    b.tell({ type: 'kit.noted', what: 'torch', along: true });
    b.tell({ type: 'kit.noted', what: 'Torch', along: true });
    b.tell({ type: 'kit.noted', what: 'mirror', along: true });
    expect(kitOf(b.state()).own).toEqual(['Torch', 'mirror']);
    b.tell({ type: 'kit.noted', what: 'torch', along: false });
    expect(kitOf(b.state()).own).toEqual(['mirror']);
    expect(() => b.tell({ type: 'kit.noted', what: 'torch', along: false })).toThrow('not in the kit');
    expect(() => b.tell({ type: 'kit.noted', what: '  ', along: true })).toThrow('say what');
  });
  it('has the tools of the known way in, the parts of every remedy, and what they use up', () => {
    const b = bench(known);
    b.planned('A1');
    b.tell({ type: 'plan.chosen', element: 'B1', remedy: 'replace', why: 'old', also: true });
    const kit = kitOf(b.state());
    expect([...kit.tools].sort()).toEqual(['T20 driver', 'plastic card']);
    expect(kit.parts).toEqual(b.state().plan?.parts.concat(b.state().also[0]?.parts ?? []));
    expect(kit.consumables).toEqual(['alcohol, lint-free swabs', 'bag against static', 'insulating tape']);
  });
  it('has the drives that came off already, each once, where no way in is known', () => {
    const b = bench(plain);
    b.line('4 x M3x8 PH1 dome > cup 1');
    b.line('2 x M3x6 PH1 rim > cup 2');
    b.line('2 screws rim > cup 3');
    expect(kitOf(b.state()).tools).toEqual(['PH1 driver']);
  });
});
