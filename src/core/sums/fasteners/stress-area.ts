import { choice, output, type Sum, show } from '../sum';
import { stressArea, THREADS } from './threads';

export const stressAreaSum: Sum = {
  name: 'stress-area',
  title: 'Stress area of a screw',
  about: 'The section of the thread that carries the load.',
  also: ['thread', 'bolt'],
  inputs: [choice('thread', 'Thread', THREADS, { start: 'M3' })],
  outputs: [output('areaMm2', 'Stress area', 'mm²')],
  source: 'ISO 898-1 table of stress areas, thread by ISO 724',
  compute(given) {
    const { diameterMm, pitchMm, areaMm2 } = stressArea(String(given.thread ?? ''));
    return {
      values: { areaMm2 },
      formula: `π/4 · (${show(diameterMm)} − 0.9382 · ${show(pitchMm)})² = ${show(areaMm2)} mm²`,
    };
  },
  example: { given: { thread: 'M4' }, answer: { areaMm2: 8.78 } },
};
