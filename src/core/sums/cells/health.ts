import { input, number, output, type Sum, show, tidy } from '../sum';

/** No battery measures more than this share of its rating, %. Common practice, no source. */
const MOST = 150;

export const health: Sum = {
  name: 'health',
  title: 'Health of a battery',
  about: 'Measured capacity against the rated one.',
  also: ['SoH', 'capacity', 'worn'],
  inputs: [input('measuredAh', 'Measured', 'Ah', '2.1'), input('ratedAh', 'Rated', 'Ah', '3')],
  outputs: [output('percent', 'Health', '%')],
  source: 'measured / rated; under 80 % counts as worn, common practice',
  compute(given) {
    const m = number(given, 'measuredAh');
    const r = number(given, 'ratedAh');
    const percent = tidy((100 * m) / r);
    return {
      values: { percent },
      formula: `${show(m)} / ${show(r)} Ah = ${show(percent)} %`,
      say:
        percent > MOST
          ? `${show(percent)} % of its rating cannot be: is one of the two in mAh?`
          : percent > 110
            ? 'More than rated: the rating is cautious, or it is another battery.'
            : percent < 80
              ? 'Worn: under 80 % it is usually replaced.'
              : 'Not worn by its capacity.',
    };
  },
  example: { given: { measuredAh: 2.1, ratedAh: 3 }, answer: { percent: 70 } },
};
