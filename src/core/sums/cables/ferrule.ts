import { demand } from '../../refusal';
import { input, number, output, type Sum, type SumResult, show } from '../sum';
import { gaugeDiameter, gaugeOf } from './conductor';
import { ferruleFor, TWINS } from './ferrules';

const OUTPUTS = [
  output('nominalMm2', 'Ferrule', 'mm²'),
  output('colour', 'Collar'),
  output('stripMm', 'Strip', 'mm'),
  output('sleeveMm', 'Sleeve', 'mm'),
  output('totalMm', 'Over all', 'mm'),
];
const SOURCE =
  'DIN 46228-4, from memory; the smallest nominal not more than 5 % below the conductor, common practice';
const SAY = 'Ferrules on stranded ends: solder creeps under the screw and the joint loosens.';

function result(areaMm2: number, path: string, how: string): SumResult {
  const { nominalMm2, colour, stripMm, sleeveMm, totalMm } = ferruleFor(areaMm2, path);
  return {
    values: { nominalMm2, colour, stripMm, sleeveMm, totalMm },
    formula: `${how}: smallest nominal of at least 0.95 · ${show(areaMm2)} mm² is ${nominalMm2} mm²`,
    say: SAY,
  };
}

export const ferrule: Sum = {
  name: 'ferrule',
  title: 'Ferrule for a stranded end',
  about: 'Size, colour and strip length of the ferrule for a conductor.',
  also: ['crimp', 'sleeve', 'terminal', 'mm²'],
  inputs: [input('areaMm2', 'Conductor', 'mm²', '0.75')],
  outputs: OUTPUTS,
  source: SOURCE,
  compute: (given) => {
    const area = number(given, 'areaMm2');
    return result(area, '/areaMm2', `${show(area)} mm²`);
  },
  example: {
    given: { areaMm2: 0.75 },
    answer: { nominalMm2: 0.75, colour: 'grey', stripMm: 10, sleeveMm: 8, totalMm: 14 },
  },
};

export const ferruleTwin: Sum = {
  name: 'ferrule-twin',
  title: 'Twin ferrule for two ends',
  about: 'Two equal conductors in one ferrule: its own size and colour, and the tube that both fill.',
  also: ['crimp', 'two wires'],
  inputs: [input('areaMm2', 'Each conductor', 'mm²', '0.75')],
  outputs: [...OUTPUTS, output('tubeMm2', 'Tube', 'mm²')],
  source: 'DIN 46228-4, twin ferrules, from memory; the tube by the sum of both',
  compute: (given) => {
    const area = number(given, 'areaMm2');
    const { nominalMm2, colour, stripMm, sleeveMm, totalMm } = ferruleFor(area, '/areaMm2', TWINS);
    const tubeMm2 = 2 * nominalMm2;
    return {
      values: { nominalMm2, colour, stripMm, sleeveMm, totalMm, tubeMm2 },
      formula: `smallest twin of at least 0.95 · ${show(area)} mm² is 2 × ${nominalMm2} mm²; the tube takes ${show(tubeMm2)} mm²`,
      say: `Twin 2 × ${nominalMm2} mm², ${colour}. It goes into a terminal for ${show(tubeMm2)} mm².`,
    };
  },
  example: {
    given: { areaMm2: 0.75 },
    answer: { nominalMm2: 0.75, colour: 'grey', stripMm: 10, sleeveMm: 8, totalMm: 15, tubeMm2: 1.5 },
  },
};

export const ferruleAwg: Sum = {
  name: 'ferrule-awg',
  title: 'Ferrule for a gauge',
  about: 'The ferrule for a conductor given by its AWG number.',
  also: ['crimp', 'gauge'],
  inputs: [input('awg', 'Gauge', 'AWG', '16', { positive: false, alsoText: true })],
  outputs: OUTPUTS,
  source: `ASTM B258; ${SOURCE}`,
  compute: (given) => {
    const awg = gaugeOf(given.awg);
    demand(awg !== undefined, 'give the gauge', '/awg');
    const area = (Math.PI / 4) * gaugeDiameter(awg) ** 2;
    return result(area, '/awg', `${awg} AWG is ${show(area)} mm²`);
  },
  example: {
    given: { awg: 16 },
    answer: { nominalMm2: 1.5, colour: 'black', stripMm: 10, sleeveMm: 8, totalMm: 14 },
  },
};
