import type { Word } from './piece';

/** How a thing is, or was found: it says nothing that came off. Common practice, no source. */
const IS_SO =
  /^(?:hot|warm|cold|stuck|dirty|wet|broken|cracked|worn|torn|rusty|bent|burnt|burned|swollen|scratched|stripped|glued|seized|captive|loose|tight|intact|wrapped|longer|shorter|different|dangling|needed|required|locked|held|fixed|secured|sealed|loosened|slackened|broke|freed|creased|chafed|frayed|corroded|dented|pinched|kinked|melted|bulging|leaking|faded|discoloured|discolored|oxidised|oxidized|deflated|empty|full|marked|labelled|labeled|numbered|noted|blown|shorted|dead|ok|okay|good|fine|faulty|bad|leaky|bagged|tagged|capped|discarded|binned|scrapped|torqued)$/;

/** How it was set down: "leaned against the wall". */
const LAID =
  /^(?:leaned|leant|leaning|propped|hung|hanging|laid|lying|put|placed|stood|standing|kept|stored)$/;

/** What opens, or what to mind: told beside, and nothing that came off as well. */
const TOLD =
  /^(?:zif|latch|latches|levers?|flaps?|watch|mind|careful|beware|remember|do|don't|not|no|leave|leaving|like|hold|keep|press|push|squeeze|see|locks?|order|dated?|marked|says|reads|rev|serial|value)$/;

/** What a number counts that is no thing of its own: "2 points" of a soldered lead. */
const TIMES = /^(?:points|joints|places|turns|times|sizes|sorts|kinds|types|lengths|o'clock)$/;

/** In which order, or how easily. */
const IN_PASSING = /^(?:first|easily|carefully|gently|slowly|cleanly|straight|together)$/;

/** Where the tail of a thing went, that is no part of its name: "front panel forward", "ribbon both ends". */
const WENT =
  /^(?:forwards?|backwards?|down|up|out|free|away|sideways|both|ends|face|upside|complete|completely|straight)$/;

/** What went wrong: a note, and nothing that came off. */
const DAMAGE = /^(?:broke|cracked|bent|tore|scratched|dropped|snapped|chipped|burnt|burned|stripped)$/;

/** What is found on things, and is none of them. */
const ON_IT =
  /^(?:paste|grease|glue|compound|oil|residue|corrosion|dust|threadlock|lacquer|varnish|rust|flux|soot|paint)$/;

/** What a thing is good for: "fuse out, 2a slow", "3.15 a slow". */
const FIGURE = /^\d+(?:\.\d+)?(?:m?a|m?v|k?w|wh|m?ah|ohms?|[unp]f|k|hz|c)$/;
const UNIT = /^(?:m?a|m?v|k?w|wh|m?ah|ohms?|[unp]f|hz|amps?|volts?|watts?|mohms?|kohms?|kg|nm|psi|bar)$/;

/** That something is so, and that it is not. */
const IS = /^(?:is|was|are|were)$/;
const IS_NOT = /^(?:not|never)$/;

const says = (w: Word | undefined, what: RegExp): boolean => w !== undefined && !w.found && what.test(w.text);

export const saysHowItIs = (w: Word | undefined): boolean => says(w, IS_SO);
export const saysItWasLaid = (w: Word | undefined): boolean => says(w, LAID);
export const saysItIsTold = (w: Word | undefined): boolean => says(w, TOLD);
export const saysHowOften = (w: Word | undefined): boolean => says(w, TIMES);
export const saysWhereItWent = (w: Word | undefined): boolean => says(w, WENT);
export const saysInPassing = (w: Word | undefined): boolean => says(w, IN_PASSING);
export const saysWhatWasOnIt = (w: Word | undefined): boolean => says(w, ON_IT);
export const saysAFigure = ([w, next]: readonly Word[]): boolean =>
  says(w, FIGURE) || (w?.type === 'number' && says(next, UNIT));
/** Whether what is told begins with what went wrong: "broke a tab off the lid". */
export const saysDamage = (words: readonly Word[]): boolean =>
  words.length > 2 && says(words[0], DAMAGE) && says(words[1], /^(?:an?|the|one|two|its|my)$/);
export const saysItIs = (w: Word | undefined): boolean => says(w, IS);
export const saysItIsNot = (w: Word | undefined): boolean => says(w, IS_NOT);
