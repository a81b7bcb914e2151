import { input, output, type Sum, show, tidy } from '../sum';
import { conductor } from './conductor';

export const WIRE_INPUTS = [
  input('awg', 'Gauge', 'AWG', '16', {
    optional: true,
    positive: false,
    alsoText: true,
    hint: 'the gauge or the area',
  }),
  input('areaMm2', 'Area', 'mm²', '', { optional: true }),
  input('celsius', 'Copper at', '°C', '20', { optional: true, positive: false }),
];

export const wire: Sum = {
  name: 'wire',
  title: 'Wire',
  about: 'Diameter, area and resistance of a copper conductor by gauge or area.',
  also: ['awg', 'gauge', 'cross section', 'mm²'],
  inputs: WIRE_INPUTS,
  outputs: [
    output('diameterMm', 'Diameter, solid', 'mm'),
    output('areaMm2', 'Area', 'mm²'),
    output('ohmPerKm', 'Resistance', 'Ω/km'),
  ],
  source: 'ASTM B258 (d = 0.127 · 92^((36 − n)/39)), IEC 60028 copper (0.017241 Ω·mm²/m, 0.00393 per K)',
  compute(given) {
    const { diameterMm, areaMm2, ohmPerKm, celsius } = conductor(given);
    return {
      values: { diameterMm: tidy(diameterMm), areaMm2: tidy(areaMm2), ohmPerKm: tidy(ohmPerKm) },
      formula: `A = π/4 · ${show(diameterMm)}² = ${show(areaMm2)} mm²; 17.241 · (1 + 0.00393 · ${show(celsius - 20)}) / A = ${show(ohmPerKm)} Ω/km`,
      say: 'A stranded conductor of the same area is thicker.',
    };
  },
  example: {
    given: { awg: 16 },
    answer: { diameterMm: 1.29084590583, areaMm2: 1.30869572776, ohmPerKm: 13.1741852857 },
  },
};
