import type { Word } from './piece';

/** How a thing is, or was found: it says nothing that came off. Common practice, no source. */
const IS_SO =
  /^(?:hot|warm|cold|stuck|dirty|wet|broken|cracked|worn|torn|rusty|bent|burnt|burned|swollen|scratched|stripped|glued|seized|captive|loose|tight|intact|wrapped)$/;

/** How it was set down: "leaned against the wall". */
const LAID =
  /^(?:leaned|leant|leaning|propped|hung|hanging|laid|lying|put|placed|stood|standing|kept|stored)$/;

/** In which order, or how easily. */
const IN_PASSING = /^(?:first|easily|carefully)$/;

const says = (w: Word | undefined, what: RegExp): boolean => w !== undefined && !w.found && what.test(w.text);

export const saysHowItIs = (w: Word | undefined): boolean => says(w, IS_SO);
export const saysItWasLaid = (w: Word | undefined): boolean => says(w, LAID);
export const saysInPassing = (w: Word | undefined): boolean => says(w, IN_PASSING);
