import { demand } from '../../refusal';
import { input, number, output, type Sum, show, tidy } from '../sum';

export const runtimePeukert: Sum = {
  name: 'runtime-peukert',
  title: 'Runtime of a lead battery',
  about: 'Hours at a current, by Peukert: the faster it is emptied, the less it gives.',
  also: ['lead-acid', 'AGM', 'hours'],
  inputs: [
    input('ampHours', 'Capacity', 'Ah', '17'),
    input('ratedHours', 'Rated over', 'h', '20'),
    input('amps', 'Load', 'A', '4'),
    input('k', 'Peukert exponent', '', '1.1', { hint: '1.05 to 1.15 AGM, 1.2 to 1.3 flooded' }),
  ],
  outputs: [output('hours', 'Runs for', 'h')],
  source: 't = H · (C / (I · H))^k; below the rated current C / I; Peukert 1897. Exponents from memory',
  compute(given) {
    const c = number(given, 'ampHours');
    const h = number(given, 'ratedHours');
    const i = number(given, 'amps');
    const k = number(given, 'k');
    demand(k >= 1 && k <= 2, 'the exponent lies from 1 to 2', '/k');
    // Below its rated current it gives what it has, and no more.
    const slow = i * h <= c;
    const hours = tidy(slow ? c / i : h * (c / (i * h)) ** k);
    return {
      values: { hours },
      formula: slow
        ? `${show(c)} Ah / ${show(i)} A = ${show(hours)} h, at or below the rated current`
        : `${show(h)} h · (${show(c)} / (${show(i)} · ${show(h)}))^${show(k)} = ${show(hours)} h`,
      say: 'New, at 20 to 25 °C, to the end. Plan on four fifths of it.',
    };
  },
  example: { given: { ampHours: 100, ratedHours: 20, amps: 10, k: 1.2 }, answer: { hours: 8.70550563296 } },
};

export const runtimeEnergy: Sum = {
  name: 'runtime-energy',
  title: 'Runtime from energy',
  about: 'Hours at a power, from the energy, how far it is emptied, and what the converter takes.',
  also: ['Wh', 'hours', 'inverter'],
  inputs: [
    input('wattHours', 'Energy', 'Wh', '200'),
    input('depth', 'Emptied to a share of', '', '0.8', { hint: '0.8 = 80 %' }),
    input('efficiency', 'Efficiency', '', '0.9'),
    input('watts', 'Load', 'W', '40'),
  ],
  outputs: [output('hours', 'Runs for', 'h')],
  source: 't = E · depth · η / P',
  compute(given) {
    const e = number(given, 'wattHours');
    const depth = number(given, 'depth');
    const eta = number(given, 'efficiency');
    const p = number(given, 'watts');
    demand(depth <= 1, 'depth is a share, over 0 and up to 1', '/depth');
    demand(eta <= 1, 'efficiency is a share, over 0 and up to 1', '/efficiency');
    const hours = tidy((e * depth * eta) / p);
    return {
      values: { hours },
      formula: `${show(e)} Wh · ${show(depth)} · ${show(eta)} / ${show(p)} W = ${show(hours)} h`,
    };
  },
  example: { given: { wattHours: 200, depth: 0.8, efficiency: 0.9, watts: 40 }, answer: { hours: 3.6 } },
};
