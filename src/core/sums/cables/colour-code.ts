import { demand } from '../../refusal';
import { output, type Sum } from '../sum';

export interface WireColour {
  letters: string;
  colour: string;
  /** place in the sequence of ten, for numbered channels */
  digit: number | null;
}

/** IEC 60757 letters, and the digits of IEC 60062. */
export const WIRE_COLOURS: WireColour[] = [
  { letters: 'BK', colour: 'black', digit: 0 },
  { letters: 'BN', colour: 'brown', digit: 1 },
  { letters: 'RD', colour: 'red', digit: 2 },
  { letters: 'OG', colour: 'orange', digit: 3 },
  { letters: 'YE', colour: 'yellow', digit: 4 },
  { letters: 'GN', colour: 'green', digit: 5 },
  { letters: 'BU', colour: 'blue', digit: 6 },
  { letters: 'VT', colour: 'violet', digit: 7 },
  { letters: 'GY', colour: 'grey', digit: 8 },
  { letters: 'WH', colour: 'white', digit: 9 },
  { letters: 'PK', colour: 'pink', digit: null },
  { letters: 'TQ', colour: 'turquoise', digit: null },
  { letters: 'GD', colour: 'gold', digit: null },
  { letters: 'SR', colour: 'silver', digit: null },
  { letters: 'GNYE', colour: 'green and yellow', digit: null },
];
/** Letters that are seen though the standard has others. */
const ALSO: Record<string, string> = {
  OR: 'OG',
  PU: 'VT',
  BR: 'BN',
  GR: 'GY',
  'GN/YE': 'GNYE',
  YEGN: 'GNYE',
};

export const colourCode: Sum = {
  name: 'colour-code',
  title: 'Wire colours',
  about: 'What the letters beside a wire mean, and its number in a run of ten.',
  also: ['letters', 'IEC 60757', 'core'],
  inputs: [
    { name: 'letters', label: 'Letters', kind: 'text', start: 'BN', hint: 'BK BN RD OG YE GN BU VT GY WH' },
  ],
  outputs: [output('colour', 'Colour'), output('digit', 'Number')],
  source: 'IEC 60757 letters; IEC 60062 digits (brown 1, red 2, orange 3, yellow 4)',
  compute(given) {
    const typed = String(given.letters ?? '')
      .trim()
      .toUpperCase();
    demand(typed, 'letters is missing', '/letters');
    const letters = ALSO[typed] ?? typed;
    const found = WIRE_COLOURS.find((c) => c.letters === letters || c.colour.toUpperCase() === letters);
    demand(found, `${typed} is no wire colour of IEC 60757`, '/letters');
    return {
      values: { colour: found.colour, digit: found.digit },
      formula: `${found.letters} is ${found.colour}${found.digit === null ? '' : `, number ${found.digit}`}`,
      ...(found.letters === 'GNYE'
        ? { caution: 'Green and yellow is the protective conductor and nothing else.' }
        : {}),
    };
  },
  example: { given: { letters: 'OG' }, answer: { colour: 'orange', digit: 3 } },
};
