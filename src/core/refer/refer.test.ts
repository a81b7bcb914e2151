import { describe, expect, it } from 'vitest';
import { type ReferRequest, weighReferral } from '.';

const own: ReferRequest = {
  minutes: 60,
  currency: 'EUR',
  ratePerHour: 6000,
  parts: 1500,
  competence: 'own work',
  warranty: false,
  makerPrice: 12_000,
};

describe('repair or refer', () => {
  it('takes the cheaper way', () => {
    expect(weighReferral(own)).toMatchObject({ advice: 'repair', repairCost: 7500, referCost: 12_000 });
    expect(weighReferral({ ...own, makerPrice: 7000 }).advice).toBe('refer');
  });
  it('counts the days without the unit on both sides', () => {
    const r = { ...own, makerPrice: 7000, makerDays: 10, ownDays: 1, dayCost: 500 };
    expect(weighReferral(r)).toMatchObject({ advice: 'repair', repairCost: 8000, referCost: 12_000 });
  });
  it('licence, field and warranty decide by themselves', () => {
    expect(weighReferral({ ...own, competence: 'licensed work' }).reasons[0]).toContain('local codes');
    expect(weighReferral({ ...own, competence: 'not my field' }).advice).toBe('refer');
    expect(weighReferral({ ...own, warranty: true })).toMatchObject({ advice: 'refer', referCost: 0 });
  });
  it('an unknown price is said and decides nothing', () => {
    const { makerPrice: _, ...unknown } = own;
    const a = weighReferral(unknown);
    expect(a.referCost).toBeNull();
    expect(a.advice).toBe('repair');
    expect(a.reasons.at(-1)).toContain('not known');
  });
  it('refuses a figure under 0', () => {
    expect(() => weighReferral({ ...own, parts: -1 })).toThrow('0 or more');
    expect(() => weighReferral({ ...own, minutes: Number.NaN })).toThrow('0 or more');
    expect(() => weighReferral({ ...own, currency: 'euro' })).toThrow('three letters');
  });
});
