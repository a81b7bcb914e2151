import { describe, expect, it } from 'vitest';
import { HAZARD_KINDS, hazardOfKind } from '.';
import { whileLive } from './while-live';

const kinds = (...of: (typeof HAZARD_KINDS)[number][]) => of.map((k) => hazardOfKind(k, k, ['lid']));

describe('what to mind while a check is done', () => {
  it.each([
    ['measure', ['mains', 'capacitor'], ['One hand, insulated probe.']],
    ['flex', ['dc'], ['One hand, insulated probe.']],
    ['own', ['cell pack'], ['One hand, insulated probe.']],
    // Nothing is probed: the hand stays out.
    ['look', ['mains', 'capacitor'], ['Hands out of it.']],
    ['symptom', ['mains'], ['Hands out of it.']],
    ['listen', ['moving'], ['Hands, sleeves and hair clear of what turns.']],
    [
      'measure',
      ['mains', 'moving', 'optical'],
      [
        'One hand, insulated probe.',
        'Hands, sleeves and hair clear of what turns.',
        'Never look into it, nor at what throws it back.',
      ],
    ],
    ['measure', ['hot'], ['Skin and leads off what is hot.']],
  ] as const)('%s near %j', (how, near, mind) => {
    const read = whileLive(kinds(...near), how);
    expect(read.mind).toEqual(mind);
    expect(read.live.map((h) => h.kind)).toEqual(near);
  });
  it('an edge is sharp with the power off as well, and nothing of it is live', () => {
    expect(whileLive(kinds('sharp', 'static'), 'measure')).toEqual({
      live: [],
      there: kinds('sharp', 'static'),
      mind: [],
    });
  });
  it('every kind is one or the other', () => {
    const { live, there } = whileLive(kinds(...HAZARD_KINDS), 'look');
    expect([...live, ...there].map((h) => h.kind).sort()).toEqual([...HAZARD_KINDS].sort());
  });
});
