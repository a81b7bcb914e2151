import { demand } from '../../refusal';
import { choice, type Given, input, maybe, output, type Sum, show, tidy, word } from '../sum';
import { stressArea, THREADS } from './threads';

/** Proof stress in MPa. ISO 898-1 up to M16; A2-70 and A4-80 the 0.2 % stress of ISO 3506-1, from memory. */
const PROOF: Record<string, number> = {
  '4.6': 225,
  '4.8': 310,
  '5.6': 280,
  '5.8': 380,
  '6.8': 440,
  '8.8': 580,
  '9.8': 650,
  '10.9': 830,
  '12.9': 970,
  'A2-70': 450,
  'A4-80': 600,
};
const CLASSES = Object.keys(PROOF);
const INTO = ['steel', 'aluminium', 'plastic'] as const;
const SAY =
  'Hand tight, stop at first resistance. A plastic boss has no torque of its own: the maker’s figure counts.';

/** A maker's figure so many times off a screw's own is asked about. Common practice, no source. */
const FAR = 5;

/** What the screw itself takes, dry and into metal. */
function ownTorque(given: Given) {
  const { diameterMm, areaMm2 } = stressArea(String(given.thread ?? ''));
  const name = String(given.propertyClass ?? '8.8');
  const proof = PROOF[name];
  demand(proof, `${name} is none of ${CLASSES.join(', ')}`, '/propertyClass');
  const k = maybe(given, 'K') ?? 0.2;
  demand(k <= 1, 'K lies over 0 and up to 1', '/K');
  const preloadN = tidy(0.75 * proof * areaMm2);
  return { diameterMm, areaMm2, proof, k, preloadN, torqueNm: tidy((k * diameterMm * preloadN) / 1000) };
}

export const torque: Sum = {
  name: 'torque',
  title: 'Tightening torque',
  about: 'How far a screw may be turned before it gives, dry and into metal.',
  also: ['screw', 'bolt', 'preload', 'N·m'],
  inputs: [
    choice('thread', 'Thread', THREADS, { start: 'M3' }),
    choice('propertyClass', 'Strength on the head', CLASSES, { start: '8.8', optional: true }),
    input('K', 'Friction factor K', '', '0.2', { optional: true, hint: '0.20 dry, about 0.15 oiled' }),
    choice('into', 'Into', INTO, { optional: true }),
    input('makerFigure', 'Maker’s figure', 'N·m', '', { optional: true }),
  ],
  outputs: [output('torqueNm', 'Torque', 'N·m'), output('preloadN', 'Preload', 'N')],
  source: 'T = K · d · F, F = 0.75 · proof stress · stress area; ISO 898-1. K = 0.20 dry is common practice',
  compute(given) {
    const into = word(given, 'into', INTO, 'steel');
    const makerFigure = maybe(given, 'makerFigure');
    if (makerFigure !== undefined) {
      const own = into === 'plastic' ? undefined : ownTorque(given)?.torqueNm;
      const times = own ? makerFigure / own : 1;
      const far = times > FAR || times < 1 / FAR;
      return {
        values: { torqueNm: makerFigure, preloadN: null },
        formula: `${show(makerFigure)} N·m, as the maker says`,
        ...(far
          ? {
              say: `Asked: a screw of this size dry into metal takes about ${show(own ?? 0)} N·m, ${show(times > 1 ? times : 1 / times)} times ${times > 1 ? 'less' : 'more'}. Is the figure in N·cm or in lbf·in?`,
              caution: 'Look at the unit of the maker’s figure again before it is turned.',
            }
          : {}),
      };
    }
    if (into === 'plastic')
      return {
        values: { torqueNm: null, preloadN: null },
        formula: 'no figure without the maker’s',
        say: SAY,
      };
    const { torqueNm, preloadN, proof, areaMm2, diameterMm, k } = ownTorque(given);
    return {
      values: { torqueNm, preloadN },
      formula: `F = 0.75 · ${proof} · ${show(areaMm2)} = ${show(preloadN)} N; T = ${show(k)} · ${show(diameterMm)} mm · F = ${show(torqueNm)} N·m`,
      caution:
        into === 'aluminium'
          ? 'The thread in aluminium gives before the screw does: take the maker’s figure, or less.'
          : 'Into steel of at least the same strength. The maker’s figure comes first.',
    };
  },
  example: {
    given: { thread: 'M3', propertyClass: '8.8', K: 0.2 },
    answer: { preloadN: 2188.05, torqueNm: 1.31283 },
  },
};
