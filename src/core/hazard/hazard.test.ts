import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { type Hazard, hazardOfKind } from '../unit';
import { arm, clearGate, firstHazards, type HazardState, holding, liveLines, passGate } from '.';

const AT = '2026-11-25T10:00:00.000Z';
const mains = hazardOfKind('mains', 'mains', ['lid']);
const caps = hazardOfKind('capacitor', 'caps', ['lid']);
const pack = { ...hazardOfKind('cell pack', 'pack', ['shield']), armedBy: ['W6'] };
const edge = hazardOfKind('sharp', 'edge', ['lid']);
const still = hazardOfKind('static', 'static', ['lid']);
const all: Hazard[] = [edge, caps, pack, mains, still];
const ids = (list: Hazard[]) => list.map((h) => h.id);
const reason = (f: () => unknown): string => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return `${error.path} ${error.message}`;
    throw error;
  }
  return 'taken';
};
const read = (reading: number, unit = 'V') => ({
  acted: true,
  reading,
  unit,
  source: 'meter' as const,
  at: AT,
});
const withState = (states: HazardState[], change: HazardState) =>
  states.map((s) => (s.id === change.id ? change : s));

describe('first states', () => {
  it('a pack is live from the start, the rest is not known', () => {
    expect(firstHazards(all).map((s) => s.status)).toEqual([
      'unknown',
      'unknown',
      'live',
      'unknown',
      'unknown',
    ]);
  });
});

describe('holding', () => {
  const states = firstHazards(all);
  it('holds the cover that would bare it, the worst first', () => {
    expect(ids(holding(all, states, { open: [], next: 'lid' }))).toEqual(['mains', 'caps', 'edge', 'static']);
    expect(ids(holding(all, states, { open: [], next: 'hatch' }))).toEqual(['static']);
    expect(ids(holding(all, states, { open: [] }))).toEqual([]);
  });
  it('does not let what is cleared inside hold its own cover, but holds the hand once it is off', () => {
    expect(ids(holding(all, states, { open: [], next: 'shield' }))).toEqual(['static']);
    expect(ids(holding(all, states, { open: ['shield'] }))).toEqual(['pack', 'static']);
  });
  it('lets go of what is made safe or passed', () => {
    let s = withState(states, clearGate(mains, 'off', read(0)));
    s = withState(s, passGate(s.find((x) => x.id === 'caps') as HazardState, 'sealed, nothing bare', AT));
    expect(ids(holding(all, s, { open: [], next: 'lid' }))).toEqual(['edge', 'static']);
  });
});

describe('clearing', () => {
  it.each<[string, () => unknown, string]>([
    ['without the act', () => clearGate(mains, 'off', { ...read(0), acted: false }), '/acted First the act'],
    [
      'without the reading',
      () => clearGate(mains, 'off', { acted: true, source: 'meter', at: AT }),
      '/reading Mains is cleared by a reading',
    ],
    [
      'by eye',
      () => clearGate(mains, 'off', { ...read(0), source: 'eye' }),
      '/source a lamp or a look proves nothing',
    ],
    ['in another unit', () => clearGate(mains, 'off', read(0, 'A')), '/unit this gate is read in V'],
    ['too high', () => clearGate(mains, 'off', read(48)), '/reading 48 V at the mains inlet is over 5 V'],
    ['too high the other way round', () => clearGate(caps, 'off', read(-48)), '/reading -48 V'],
    ['not a number', () => clearGate(mains, 'off', read(Number.NaN)), '/reading the reading is not a number'],
    ['while the power is on', () => clearGate(caps, 'on', read(0)), '/hazard Capacitors: the power is on'],
  ])('is refused %s', (_n, f, words) => {
    expect(reason(f).startsWith(words)).toBe(true);
  });
  it('keeps act, reading, source and time as the proof', () => {
    expect(clearGate(caps, 'off', read(3.2))).toEqual({
      id: 'caps',
      status: 'made safe',
      proof: { act: caps.clear.act, reading: 3.2, unit: 'V', source: 'meter', at: AT },
    });
    expect(clearGate(edge, 'on', { acted: true, source: 'eye', at: AT }).status).toBe('made safe');
  });
  it('is passed only with a reason of a few words, and stays as live as it was', () => {
    const live = firstHazards([pack])[0] as HazardState;
    expect(reason(() => passGate(live, 'because', AT))).toMatch(/say why/);
    expect(passGate(live, 'pack is in its pouch', AT)).toMatchObject({
      status: 'live',
      passed: { reason: 'pack is in its pouch' },
    });
  });
});

describe('arming', () => {
  it('makes live again what had been made safe, and drops its proof', () => {
    const cleared = withState(firstHazards(all), clearGate(mains, 'off', read(0)));
    const armed = arm({ hazards: all }, cleared, 'power', AT);
    expect(armed.find((s) => s.id === 'mains')).toEqual({
      id: 'mains',
      status: 'live',
      armed: { by: 'power', at: AT },
    });
    expect(armed.find((s) => s.id === 'caps')).toEqual({ id: 'caps', status: 'live' });
    expect(armed.find((s) => s.id === 'edge')?.status).toBe('unknown');
  });
  it('follows the designator of a plug, whatever its case', () => {
    const cleared = withState(firstHazards(all), clearGate(pack, 'off', read(0)));
    expect(arm({ hazards: all }, cleared, 'w6', AT).find((s) => s.id === 'pack')?.status).toBe('live');
    expect(arm({ hazards: all }, cleared, 'W7', AT)).toEqual(cleared);
  });
  it('drops a gate that had been passed: the reason was for then', () => {
    const passed = withState(
      firstHazards(all),
      passGate({ id: 'mains', status: 'unknown' }, 'sealed, nothing bare', AT),
    );
    expect(arm({ hazards: all }, passed, 'power', AT).find((s) => s.id === 'mains')?.passed).toBeUndefined();
  });
});

describe('the live strip', () => {
  it('names live first, then not known, then made safe, the worst kind first', () => {
    const s = withState(firstHazards(all), clearGate(mains, 'off', read(0)));
    expect(liveLines(all, s, ['shield']).map((l) => `${l.hazard.id} ${l.state.status} ${l.bare}`)).toEqual([
      'pack live true',
      'caps unknown false',
      'edge unknown false',
      'static unknown true',
      'mains made safe false',
    ]);
  });
});
