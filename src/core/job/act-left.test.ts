import { describe, expect, it } from 'vitest';
import type { Hazard } from '../unit';
import { actLeft, coverHeldBy, leadsToPart } from '.';
import { bench, kiosk } from './bench.test.fixture';

const job = () => {
  const b = bench(
    kiosk(
      [
        {
          id: 'B1',
          name: 'deck pack',
          kind: 'battery',
          leads: ['main lead', 'balance lead'],
          under: 'deck plate',
        },
        { id: 'A1', name: 'controller', kind: 'board' },
      ],
      { cover: 'deck plate, shield', hazards: ['cell pack'] },
    ),
  );
  b.takenIn();
  b.line('lift deck plate');
  return b;
};
const packOf = (b: ReturnType<typeof job>) => b.state().map.hazards[0] as Hazard;

describe('what the act of a pack’s gate still wants', () => {
  it('all of it, then the lead that is left, then tape alone', () => {
    const b = job();
    const pack = packOf(b);
    expect(leadsToPart(b.state(), pack)).toEqual(['balance lead', 'main lead']);
    expect(actLeft(b.state(), pack)).toBe(pack.clear.act);
    b.line('unplug balance lead');
    expect(leadsToPart(b.state(), pack)).toEqual(['main lead']);
    expect(actLeft(b.state(), pack)).toBe('Part main lead and tape over the contacts');
    b.line('unplug main lead');
    expect(leadsToPart(b.state(), pack)).toEqual([]);
    expect(actLeft(b.state(), pack)).toBe('Tape over the contacts of balance lead and main lead');
  });
  it('goes by the rule of the first lead that is in force', () => {
    const b = job();
    b.tell({ type: 'lead-rule.chosen', rule: 'battery first' });
    expect(leadsToPart(b.state(), packOf(b))).toEqual(['main lead', 'balance lead']);
  });
  it('whoever is held is told what is left, and not what is done', () => {
    const b = job();
    b.line('unplug balance lead');
    b.line('unplug main lead');
    expect(coverHeldBy(b.state(), { id: 'shield', name: 'shield' })).toMatch(
      /^Held by Lithium pack.*Tape over the contacts of balance lead and main lead, in Make safe$/,
    );
    const [pack] = b.state().map.hazards;
    expect(() =>
      b.tell({ type: 'gate.cleared', hazard: pack?.id ?? '', acted: false, source: 'meter' }),
    ).toThrow('First the act: Tape over the contacts of balance lead and main lead');
  });
  it('of a gate without leads it is its own act', () => {
    const b = bench(kiosk([{ id: 'A1', name: 'board', kind: 'board' }], { hazards: ['mains'] }));
    b.takenIn();
    const mains = b.state().map.hazards[0] as Hazard;
    expect(leadsToPart(b.state(), mains)).toEqual([]);
    expect(actLeft(b.state(), mains)).toBe(mains.clear.act);
  });
});
