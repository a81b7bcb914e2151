import type { Word } from './piece';

const COLOUR =
  /^(?:red|black|white|yellow|green|blue|brown|orange|grey|gray|purple|violet|pink|(?:yellow|green)\/(?:green|yellow)|clear)$/;

/** Whether a word is the colour of a wire. Common practice, no source. */
export const isColour = (w: Word | undefined): boolean => w !== undefined && !w.found && COLOUR.test(w.text);

/** What ends a name that is told with its colours: "bullets yellow, green and blue". */
const TAIL = new RegExp(`(?:(?:,? (?:and )?|/)${COLOUR.source.slice(1, -1)})+$`);
/** A name without the colours behind it. */
export const withoutColours = (plain: string): string => plain.replace(TAIL, '');
