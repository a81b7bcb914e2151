import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type BatteryFitRequest,
  type BatterySheet,
  batteryFit,
  coldShare,
  credibility,
  runtimeCurve,
  runtimeHours,
} from '.';

const old: BatterySheet = {
  chemistry: 'li-ion',
  form: 'pouch',
  lengthMm: 62,
  widthMm: 40,
  thicknessMm: 5.5,
  volts: 3.7,
  cellChargeV: 4.2,
  ampHours: 1.5,
  maxAmps: 2,
  contacts: ['+', 'T', '-'],
  plug: 'wafer 3-way 1.25',
  leadMm: 60,
  protection: true,
};
const like: BatterySheet = { ...old, thicknessMm: 5 };
const judged = (more: BatterySheet, r: Partial<BatteryFitRequest> = {}) =>
  batteryFit({ old, new: { ...like, ...more }, bay: { lengthMm: 63, widthMm: 41, thicknessMm: 5.8 }, ...r });
const line = (name: string, more: BatterySheet, r: Partial<BatteryFitRequest> = {}) =>
  judged(more, r).lines.find((l) => l.line === name);

describe('may this battery take the place of that one', () => {
  it('like for like passes', () => {
    expect(judged({}).verdict).toBe('pass');
  });
  it('polarity and charge class fail it whatever else passes', () => {
    expect(judged({ contacts: ['-', 'T', '+'] })).toMatchObject({ verdict: 'fail' });
    expect(line('polarity', { contacts: ['-', 'T', '+'] })?.why).toBe('contact 1 carries − where + was');
    expect(line('polarity', { contacts: ['+', '-'] })?.verdict).toBe('fail');
    expect(judged({ cellChargeV: 4.1 }).verdict).toBe('fail');
    // Another class fails whichever way.
    expect(line('charge voltage', { cellChargeV: 4.35 })?.verdict).toBe('fail');
  });
  it('size leaves room to swell, and a rattle wants padding', () => {
    expect(line('size', { thicknessMm: 5.8 })?.verdict).toBe('warn');
    expect(line('size', { thicknessMm: 6 })?.verdict).toBe('fail');
    expect(line('size', { lengthMm: 64 })?.verdict).toBe('fail');
    expect(line('size', { lengthMm: 40, widthMm: 62 })?.verdict).toBe('pass');
    expect(line('size', { thicknessMm: 3 })).toMatchObject({ verdict: 'fits after work' });
    expect(line('size', { thicknessMm: 5.8, form: 'hard case' })?.verdict).toBe('pass');
  });
  it('an impossible capacity is called that, with what is likely', () => {
    const l = line('capacity', { ampHours: 9 });
    // A claim alone does not keep it out: it is said with what is likely, and the rest decides.
    expect(l?.verdict).toBe('warn');
    expect(l?.why).toMatch(/is not credible: this volume holds \d/);
    expect(judged({ ampHours: 9 }).verdict).toBe('warn');
    expect(line('capacity', { ampHours: 1.5 * 1.18 })?.why).toBe('it runs 118 % as long');
    expect(line('capacity', { ampHours: 1.5 * 1.1 })?.why).toBe('as it was, near enough');
    expect(line('capacity', { ampHours: 9, foundAmpHours: 1.4 })?.new).toBe(
      'printed 9\u00a0Ah, found 1.4\u00a0Ah',
    );
    expect(line('capacity', { ampHours: 1.2 })?.why).toContain('80 %');
    const c = credibility({ ...old, ampHours: 1.5 });
    // By hand: 62 · 40 · 5.5 mm = 13.64 mL; 5.55 Wh / 0.01364 L = 406.9 Wh/L.
    expect(c?.whPerL).toBeCloseTo(406.891, 2);
    expect(c?.verdict).toBe('credible');
  });
  it('plug, lead and protection', () => {
    expect(line('plug', { plug: 'other' })?.work).toHaveLength(1);
    expect(line('lead', { leadMm: 40 })).toMatchObject({
      verdict: 'fits after work',
      why: '20 mm too short',
    });
    expect(line('protection', { protection: false })?.verdict).toBe('fail');
    expect(judged({ leadMm: 40 })).toMatchObject({ verdict: 'fits after work' });
    expect(judged({ leadMm: 40 }).work).toHaveLength(1);
  });
  it('what can only be said in words is compared as said, and asked of the one that lacks it', () => {
    expect(line('outline', {})).toBeUndefined();
    const said = batteryFit({ old: { ...old, outline: 'step at contact 1' }, new: like });
    expect(said.lines.find((l) => l.line === 'outline')).toMatchObject({ verdict: 'not known' });
    const both = (a: string, b: string) =>
      batteryFit({ old: { ...old, plugFacing: a }, new: { ...like, plugFacing: b } }).lines.find(
        (l) => l.line === 'plug facing',
      )?.verdict;
    expect(both('key up', 'Key up ')).toBe('pass');
    expect(both('key up', 'key down')).toBe('warn');
  });
  it('load and charger', () => {
    expect(line('current', {}, { loadAmps: 3 })?.verdict).toBe('fail');
    expect(line('charging', {}, { chargerAmps: 0.5 })?.why).toContain('3.6 h');
    expect(line('charging', {}, { chargerAmps: 2 })?.verdict).toBe('fail');
    expect(line('chemistry', { chemistry: 'LFP' })?.verdict).toBe('fail');
    expect(line('pack voltage', { volts: 7.4 })?.verdict).toBe('fail');
  });
  it('found 2 × 9 Ah where the plate says 14 Ah is said', () => {
    const r = batteryFit({ old: { ampHours: 14, foundAmpHours: 18 }, new: {} });
    expect(r.lines.find((l) => l.line === 'as found')).toMatchObject({
      verdict: 'warn',
      new: 'found 18\u00a0Ah',
    });
    expect(r.verdict).toBe('not known');
  });
  it('whatever is left out, every line has both sides and a reason, and no figure is invented', () => {
    const some = (s: BatterySheet) =>
      fc
        .subarray(Object.keys(s) as (keyof BatterySheet)[])
        .map((keys) => Object.fromEntries(keys.map((k) => [k, s[k]])));
    fc.assert(
      fc.property(some(old), some(like), (a, b) => {
        const r = batteryFit({ old: a, new: b });
        expect(r.lines).toHaveLength(12);
        for (const l of r.lines) {
          expect(l.old && l.new && l.why).toBeTruthy();
          expect(JSON.stringify(l)).not.toMatch(/NaN|Infinity|undefined/);
        }
        if (Object.keys(b).length === 0) expect(r.verdict).toBe('not known');
      }),
    );
  });
  it('refuses a figure that cannot be', () => {
    expect(() => judged({ ampHours: -1 })).toThrow('over 0');
    expect(() => judged({ thicknessMm: Number.NaN })).toThrow('over 0');
  });
});

describe('runtime over load', () => {
  it('lead by Peukert at its rated hour: 20 Ah at 1 A runs 20 h, 80 % of it counted', () => {
    expect(runtimeHours({ chemistry: 'lead-acid', ampHours: 20 }, 1)).toBeCloseTo(16, 9);
    expect(runtimeHours({ chemistry: 'lead-acid', ampHours: 20 }, 4)).toBeCloseTo(
      20 * (20 / 80) ** 1.1 * 0.8,
      9,
    );
    expect(runtimeHours({ ampHours: 20 }, 1)).toBeNull();
  });
  it('falls with the load and in the cold', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 10, noNaN: true }),
        fc.double({ min: -30, max: 45, noNaN: true }),
        (amps, t) => {
          const s: BatterySheet = { chemistry: 'li-ion', ampHours: 2 };
          const here = runtimeHours(s, amps, t) as number;
          expect(runtimeHours(s, amps * 1.1, t)).toBeLessThan(here);
          expect(runtimeHours(s, amps, t - 5)).toBeLessThanOrEqual(here);
        },
      ),
    );
    expect([coldShare(-40), coldShare(0), coldShare(5), coldShare(60)]).toEqual([
      0.5,
      0.8,
      expect.closeTo(0.85, 9),
      1,
    ]);
    const points = runtimeCurve([old, {}], 2, 20);
    expect(points[0]?.amps).toBeCloseTo(0.4, 9);
    expect(points.every((p) => p.new === null)).toBe(true);
  });
});
