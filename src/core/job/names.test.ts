import { describe, expect, it } from 'vitest';
import { namesOf } from '.';
import { bench, kiosk } from './bench.test.fixture';

const clock = (more: Parameters<typeof kiosk>[1] = {}) =>
  kiosk(
    [
      { id: 'A1', name: 'clock board', kind: 'board' },
      { id: 'B1', name: 'clock battery', kind: 'battery', leads: ['thin red one', 'black tail'] },
    ],
    more,
  );

describe('names of a job', () => {
  it('are the leads of a battery too, with a gate and without one, each once', () => {
    for (const map of [clock(), clock({ hazards: ['cell pack'] })]) {
      const plugs = namesOf(bench(map).state()).filter((n) => n.kind === 'plug');
      expect(plugs.map((n) => n.name).sort()).toEqual(['black tail', 'thin red one']);
    }
  });
  it('leads that are told in one line are those leads in the tray', () => {
    const b = bench(clock());
    b.line('unplugged the thin red one and black tail');
    expect(b.state().ledger.items.map((i) => [i.kind, i.name])).toEqual([
      ['plug', 'thin red one'],
      ['plug', 'black tail'],
    ]);
  });
});
