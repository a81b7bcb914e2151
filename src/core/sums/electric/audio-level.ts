import { demand } from '../../refusal';
import { input, maybe, output, type Sum, show, tidy } from '../sum';

/** 0 dBu: 1 mW into 600 Ω. */
const DBU = Math.sqrt(0.6);

export const audioLevel: Sum = {
  name: 'audio-level',
  title: 'Audio level',
  about: 'Volts, dBu and dBV of one level, or the gain between two points.',
  also: ['dBu', 'dBV', 'gain', 'decibel'],
  inputs: [
    input('volts', 'Level', 'V', '0.775', { optional: true, hint: 'one of these' }),
    input('dBu', 'Level', 'dBu', '', { optional: true, positive: false }),
    input('dBV', 'Level', 'dBV', '', { optional: true, positive: false }),
    input('voltsIn', 'or from', 'V', '', { optional: true }),
    input('voltsOut', 'to', 'V', '', { optional: true }),
  ],
  outputs: [
    output('volts', 'Volts r.m.s.', 'V'),
    output('dBu', 'Level', 'dBu'),
    output('dBV', 'Level', 'dBV'),
    output('gainDb', 'Gain', 'dB'),
  ],
  source: '0 dBu = 0.7746 V, 0 dBV = 1 V; IEC 60268, from memory',
  compute(given) {
    const from = maybe(given, 'voltsIn');
    const to = maybe(given, 'voltsOut');
    const levels = [maybe(given, 'volts'), maybe(given, 'dBu', false), maybe(given, 'dBV', false)];
    const said = levels.filter((x) => x !== undefined).length;
    if (from !== undefined || to !== undefined) {
      demand(said === 0, 'give one level, or two points, not both', '/volts');
      demand(from !== undefined, 'voltsIn is missing', '/voltsIn');
      demand(to !== undefined, 'voltsOut is missing', '/voltsOut');
      const gainDb = tidy(20 * Math.log10(to / from));
      return {
        values: { gainDb },
        formula: `20 · log10(${show(to)} / ${show(from)}) = ${show(gainDb)} dB`,
      };
    }
    demand(said === 1, 'give one of volts, dBu and dBV', '/volts');
    const [v, u, d] = levels;
    demand(u === undefined || Math.abs(u) <= 200, 'the level is out of all bounds', '/dBu');
    demand(d === undefined || Math.abs(d) <= 200, 'the level is out of all bounds', '/dBV');
    const volts = tidy(v ?? (u === undefined ? 10 ** ((d as number) / 20) : DBU * 10 ** (u / 20)));
    const dBu = tidy(u ?? 20 * Math.log10(volts / DBU));
    const dBV = tidy(d ?? 20 * Math.log10(volts));
    return {
      values: { volts, dBu, dBV },
      formula: `20 · log10(${show(volts)} / 0.7746) = ${show(dBu)} dBu; 20 · log10(${show(volts)}) = ${show(dBV)} dBV`,
    };
  },
  example: { given: { dBu: 4 }, answer: { volts: 1.22765298798, dBV: 1.78151250384 } },
};
