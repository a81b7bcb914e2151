/** Kinds of things that a line takes off. */
export const THING_KINDS = ['fastener', 'plug', 'part', 'tie', 'tape', 'media', 'change'] as const;
export type ThingKind = (typeof THING_KINDS)[number];

/** One verb of the entry line. */
export interface LineVerb {
  /** the word it goes by everywhere */
  does: string;
  /** what people write for it */
  words: string[];
  /** what it takes off; null = it takes nothing off */
  takes: ThingKind | null;
  /** words after which it is no verb: a heat sink is not heated */
  unless?: RegExp;
  /** what is moved so hangs on still */
  aside?: true;
  /** a cover that is moved so is open; anything else hangs on still */
  hinges?: true;
  /** kinds that the words after it may make of it */
  or?: ThingKind[];
}

/**
 * Verbs of the entry line. A further one is a further entry. Those that take nothing off are moves, not
 * things on the shelf. Common practice, no source.
 */
export const VERBS: LineVerb[] = [
  {
    does: 'undo',
    words: ['undo', 'unscrew', 'unbolt', 'loosen', 'screw out', 'drill out'],
    takes: 'fastener',
  },
  { does: 'unplug', words: ['unplug', 'disconnect', 'pull plug'], takes: 'plug' },
  { does: 'unsolder', words: ['unsolder', 'desolder'], takes: 'plug' },
  {
    does: 'lift',
    words: [
      'lift',
      'lift up',
      'lift off',
      'lift out',
      'take off',
      'take out',
      'come off',
      'come out',
      'come away',
      'come free',
      'come along',
      'fall off',
      'fall out',
      'lift away',
      'push out',
      'press out',
      'squeeze out',
      'knock out',
      'twist off',
      'pull down',
      'open',
      'open up',
      'ease',
      'ease off',
      'ease out',
      'tease out',
      'wiggle out',
      'draw out',
    ],
    takes: 'part',
  },
  {
    does: 'lift',
    words: ['slip', 'slip off', 'slip out'],
    takes: 'part',
    unless: /^(?:rings?|clutch|joints?)$/,
  },
  {
    does: 'lift',
    words: [
      'pull back',
      'push back',
      'prop',
      'prop up',
      'swing aside',
      'swing down',
      'fold down',
      'fold forward',
      'hinge down',
      'tilt',
      'tilt forward',
      'swing',
      'tip',
      'tip forward',
      'tip back',
      'swing away',
    ],
    takes: 'part',
    aside: true,
    unless: /^(?:locked|locks?|motors?|belts?|arms?|axis|sensors?|screws?)$/,
  },
  {
    does: 'lift',
    words: [
      'swing open',
      'swing out',
      'swing up',
      'fold back',
      'fold open',
      'hinge open',
      'hinge up',
      'tilt up',
    ],
    takes: 'part',
    hinges: true,
  },
  {
    does: 'lift',
    words: [
      'pull',
      'pop',
      'take',
      'pull out',
      'pull up',
      'pull off',
      'pull away',
      'pull free',
      'pop off',
      'pop out',
    ],
    takes: 'part',
    or: ['plug'],
  },
  { does: 'lift', words: ['part', 'separate'], takes: 'part', or: ['plug'], unless: /^(?:of|no|number)$/ },
  { does: 'lift', words: ['move'], takes: 'part' },
  { does: 'remove', words: ['remove'], takes: 'part' },
  { does: 'slide', words: ['slide', 'slide out', 'slide off'], takes: 'part' },
  {
    does: 'pry',
    words: [
      'pry',
      'pry off',
      'pry out',
      'pry up',
      'prise',
      'prise off',
      'prise up',
      'lever off',
      'lever out',
      'lever up',
    ],
    takes: 'part',
  },
  { does: 'unclip', words: ['unclip', 'unhook', 'release'], takes: 'part' },
  {
    does: 'peel',
    words: ['peel', 'peel off', 'peel back', 'scrape', 'scrape off'],
    takes: 'tape',
    or: ['part', 'plug'],
  },
  { does: 'cut', words: ['cut', 'snip'], takes: 'tie' },
  { does: 'eject', words: ['eject'], takes: 'media' },
  { does: 'flip', words: ['flip', 'flip over'], takes: null },
  { does: 'turn', words: ['turn', 'rotate'], takes: null },
  { does: 'set', words: ['set', 'switch'], takes: null, unless: /^(?:screws?|nuts?|boards?|cover)$/ },
  {
    does: 'unlatch',
    words: [
      'unlatch',
      'unlock',
      'open latch',
      'open the latch',
      'lift latch',
      'lift the latch',
      'pull tab',
      'pull the tab',
    ],
    takes: null,
  },
  {
    does: 'heat',
    words: ['heat', 'warm', 'heat gun', 'heat gun on'],
    takes: null,
    unless: /^(?:sinks?|spreaders?|pipes?|shrink|paste|gun)$/,
  },
  { does: 'solvent', words: ['solvent', 'alcohol', 'isopropanol', 'ipa'], takes: null },
  {
    does: 'clean',
    words: [
      'clean',
      'clean off',
      'brush',
      'brush off',
      'wipe',
      'wipe off',
      'wash',
      'rinse',
      'polish',
      'blow out',
      'vacuum',
    ],
    takes: null,
  },
  {
    does: 'look',
    words: ['look', 'look at', 'inspect', 'check'],
    takes: null,
    unless: /^(?:valves?|rails?|plates?)$/,
  },
  {
    does: 'measure',
    words: ['measure', 'reading', 'probe', 'test'],
    takes: null,
    unless: /^(?:leads?|tips?|heads?|lamps?|points?|pads?|pins?|sockets?|buttons?|jacks?)$/,
  },
  {
    does: 'discharge',
    words: ['discharge', 'bleed'],
    takes: null,
    unless: /^(?:lamps?|leads?|tubes?|resistors?)$/,
  },
  {
    does: 'photograph',
    words: [
      'photograph',
      'take a photo',
      'take photo',
      'take a picture',
      'take photos',
      'take pictures',
      'photo of',
      'photos of',
      'picture of',
      'pictures of',
    ],
    takes: null,
  },
  { does: 'mark', words: ['mark', 'label', 'dot', 'marked the', 'labelled', 'labeled'], takes: null },
  {
    does: 'tape',
    words: ['tape', 'tape over', 'insulate', 'taped the', 'taped over', 'taped up'],
    takes: null,
  },
  { does: 'tape', words: ['tape off'], takes: null, unless: /^(?:at|from|by|of|)$/ },
  { does: 'solder', words: ['solder'], takes: null },
  { does: 'lamp', words: ['lamp on'], takes: null },
  { does: 'wait', words: ['wait', 'waited', 'rest', 'let it cool', 'let cool', 'cool down'], takes: null },
];

/** A verb of the entry line by the word it goes by. */
export const verbOf = (does: string): LineVerb => VERBS.find((v) => v.does === does) as LineVerb;

/**
 * Whether a verb takes something off.
 *
 * @param does a verb by its word
 * @returns false for heat, solvent, cleaning, looking, marking, turning, soldering; true for any other
 * @example takesOff('heat') // false
 */
export const takesOff = (does: string): boolean => VERBS.find((v) => v.does === does)?.takes !== null;
