import { toldOf } from './verb-forms';

/** Verbs that may stand last as well: "J7 unplug", "J7 unplugged". */
const LAST = [
  'unplug',
  'disconnect',
  'lift',
  'remove',
  'peel',
  'undo',
  'unscrew',
  'unbolt',
  'eject',
  'take',
  'cut',
  'snip',
  'unclip',
  'unhook',
  'unsolder',
  'desolder',
  'release',
  'pull',
];
/** What stands last only as it is told: "thermal compound cleaned". */
const TOLD_ONLY = [
  ...['clean', 'wipe', 'heat', 'warm', 'scrape', 'inspect', 'check', 'measure', 'discharge', 'photograph'],
  ...['bleed', 'test', 'pop', 'pry', 'prise', 'polish', 'slide', 'slip', 'unlatch', 'unlock', 'part'],
  ...[
    'separate',
    'wash',
    'rinse',
    'turn',
    'rotate',
    'push',
    'draw',
    'ease',
    'knock',
    'hinge',
    'fold',
    'swing',
  ],
];
const TOLD_LAST = new Set([...LAST, ...TOLD_ONLY].flatMap(toldOf));
/** Whether a word is a verb as it is told afterwards. */
export const isToldVerb = (word: string): boolean => TOLD_LAST.has(word);
/** Whether a word may be a verb that stands last: "J7 unplug", "J7 unplugged". */
export const mayStandLast = (word: string): boolean => LAST.includes(word) || TOLD_LAST.has(word);
