import { choice, input, number, output, type Sum, show, tidy, word } from '../sum';

/** Room for a pouch to swell, as a share of its thickness. Common practice, no source. */
const SWELLING = 0.1;
const FORMS = ['pouch', 'prismatic can', 'cylindrical', 'hard case'] as const;

export const fitThickness: Sum = {
  name: 'fit-thickness',
  title: 'Battery in its bay',
  about: 'Whether a cell of another thickness has room, with its swelling.',
  also: ['fit', 'size', 'pouch'],
  inputs: [
    input('bayMm', 'Depth of the bay', 'mm', '5.5'),
    input('packMm', 'Thickness of the cell', 'mm', '5'),
    choice('form', 'Form', FORMS),
  ],
  outputs: [output('answer', 'Fit'), output('neededMm', 'Room needed', 'mm')],
  source: '10 % of the thickness for a pouch to swell. Common practice, no source',
  compute(given) {
    const bay = number(given, 'bayMm');
    const pack = number(given, 'packMm');
    const form = word(given, 'form', FORMS, 'pouch');
    const neededMm = tidy(form === 'pouch' ? pack * (1 + SWELLING) : pack);
    const answer = pack > bay ? 'fail' : neededMm > bay ? 'warn' : 'pass';
    return {
      values: { answer, neededMm },
      formula:
        form === 'pouch'
          ? `${show(pack)} mm · 1.1 = ${show(neededMm)} mm, bay ${show(bay)} mm`
          : `${show(pack)} mm, bay ${show(bay)} mm`,
      ...(answer === 'warn' ? { say: 'It goes in new, and presses on the cover when it swells.' } : {}),
      caution: 'A cell is never pressed, bent or trimmed to fit.',
    };
  },
  example: { given: { bayMm: 5.5, packMm: 5, form: 'pouch' }, answer: { answer: 'pass', neededMm: 5.5 } },
};
