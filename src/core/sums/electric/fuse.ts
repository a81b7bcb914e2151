import { input, maybe, output, type Sum, show } from '../sum';

/** Rated currents of miniature fuse-links, A: the R10 series. IEC 60127-2, from memory. */
export const FUSE_STEPS = [
  0.032, 0.04, 0.05, 0.063, 0.08, 0.1, 0.125, 0.16, 0.2, 0.25, 0.315, 0.4, 0.5, 0.63, 0.8, 1, 1.25, 1.6, 2,
  2.5, 3.15, 4, 5, 6.3, 8, 10,
];

export const fuse: Sum = {
  name: 'fuse',
  title: 'Fuse steps',
  about: 'The rated currents miniature fuses come in, and the steps around a current.',
  also: ['5x20', 'miniature fuse', 'T F'],
  inputs: [input('amps', 'Steady current', 'A', '1.1', { optional: true })],
  outputs: [
    output('above', 'Next step up', 'A'),
    output('below', 'Next step down', 'A'),
    output('steps', 'Steps, in A'),
  ],
  source: 'IEC 60127-2, from memory',
  compute(given) {
    const amps = maybe(given, 'amps');
    const above = amps === undefined ? undefined : FUSE_STEPS.find((s) => s >= amps);
    const below = amps === undefined ? undefined : FUSE_STEPS.filter((s) => s < amps).at(-1);
    return {
      values: {
        steps: FUSE_STEPS,
        ...(above === undefined ? {} : { above }),
        ...(below === undefined ? {} : { below }),
      },
      formula:
        amps === undefined
          ? `${FUSE_STEPS.length} steps from 32 mA to 10 A`
          : `${show(amps)} A lies between ${below === undefined ? 'none' : show(below)} and ${above === undefined ? 'none' : show(above)} A`,
      caution:
        'The same rating, speed and breaking capacity as printed beside the holder. Never a larger one to keep it going.',
    };
  },
  example: { given: { amps: 1.1 }, answer: { above: 1.25, below: 1 } },
};
