import { describe, expect, it } from 'vitest';
import { coverHeldBy } from '.';
import { bench, kiosk } from './bench.test.fixture';

const rows = [{ id: 'A1', name: 'ticket board', kind: 'board' as const }];
const safe = {
  type: 'gate.cleared',
  hazard: 'mains',
  acted: true,
  source: 'meter',
  reading: 0,
  unit: 'V',
} as const;

describe('what holds a cover', () => {
  it('is what would refuse it: powering down first, then whoever has to know, then a gate', () => {
    const map = {
      ...kiosk(rows, { cover: 'roof plate, inner pan', hazards: ['mains'] }),
      powerDown: [{ id: 'menu', text: 'Menu, Stop' }],
      parties: [{ id: 'office', who: 'harbour office', must: 'allow' as const }],
    };
    const b = bench(map);
    const held = () => coverHeldBy(b.state(), { id: 'cover', name: 'roof plate' });
    const refused = () => {
      try {
        b.line('lift roof plate');
        return null;
      } catch (error) {
        return (error as Error).message;
      }
    };
    const told: string[] = [];
    for (const next of [
      () => b.tell({ type: 'power-down.done', step: 'menu' }),
      () => b.tell({ type: 'party.told', party: 'office', how: 'by phone' }),
      () => b.tell(safe),
    ]) {
      const why = held();
      expect(refused()).toBe(why);
      told.push(why?.split(':')[0]?.slice(0, 24) ?? '');
      next();
    }
    expect(told).toEqual([
      'First power it down the ',
      'harbour office has to al',
      'Held by Mains, supply vo',
    ]);
    expect(held()).toBeNull();
    expect(refused()).toBeNull();
  });
});
