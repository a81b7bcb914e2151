import { isColour } from './colours';
import type { Piece, Word } from './piece';
import {
  saysAFigure,
  saysHowItIs,
  saysHowOften,
  saysInPassing,
  saysItIsTold,
  saysWhatWasOnIt,
} from './states';
import { isToldVerb } from './told-verb';
import { TOOL_WORDS } from './tool';
import { verbAt } from './verb-at';

/** To where something is pushed. */
export const SIDE = /^(?:left|right|front|back|rear|side|top|bottom)$/;

/** What the words of a plug say. */
const ofPlug = (w: Word): boolean =>
  /^(?:contacts|wires|minutes)$/.test(w.type) || /^(?:latch|latched|lever|aside)$/.test(w.text);

/** What screws had on them that is neither a washer nor a tool: "with threadlock". */
const isNoPartOf = (words: readonly Word[]): boolean =>
  words.length > 0 &&
  words.length <= 2 &&
  words.every(
    (w) => w.type === 'word' && !w.found && !TOOL_WORDS.test(w.text) && !/^(?:washer|nut)s?$/.test(w.text),
  );

/** What came along with a thing, or what it took. */
const WITH_IT = /^(?:its|their|some|force|care|difficulty|much|little|great|effort)$/;

const ONE = /^(?:one(?: piece)?|(?:two|three|\d) pieces|pieces|parts)$/;
/** Behind "in" or "as": "out in one piece", "out as one". */
export const saysAsOne = (words: readonly Word[]): boolean => ONE.test(words.map((w) => w.text).join(' '));

/** "loosened 2 turns" */
const isTurns = ([many, turns, ...more]: readonly Word[]): boolean =>
  many?.type === 'number' && /^turns?$/.test(turns?.text ?? '') && more.length === 0;

/** "board out with heat sink": what came along is no part of its name, unless it is a tool. */
const isAlong = (all: readonly Word[], at: number): boolean =>
  /^(?:off|out|away)$/.test(all[at - 1]?.text ?? '') &&
  at < all.length - 1 &&
  !all.slice(at + 1).some((w) => TOOL_WORDS.test(w.text) || w.type === 'drive');

/** Of some of the screws something is said: "6 M3, one under tape". */
const SOME = /^(?:one|two|three|some|all|both|\d{1,2})$/;

const OF_SOME =
  /^(?:under|behind|at|in|with|by|near|of|is|are|was|were|has|have|had|left|still|came|each|same|alike|equal|identical|hidden|missing)$/;

/** "lead under cable clip" */
const saysWhereItRuns = (words: readonly Word[]): boolean =>
  words.length > 2 &&
  words.every((w) => w.type === 'word' && !w.found) &&
  words.slice(1, -1).some((w) => /^(?:under|behind|through|inside|beneath|between)$/.test(w.text));

/** Whether words behind a comma say something beside the move: no name, no figure of a plug, no tool. */
function isRemark(words: readonly Word[], screws: boolean): boolean {
  const [first, second] = words;
  if (saysItIsTold(first)) return !words.every((w) => /^(?:latch|latched|lever)$/.test(w.text));
  const some = SOME.test(first?.text ?? '') && OF_SOME.test(second?.text ?? '') && !second?.found;
  if (screws)
    return (
      words.every((w) => w.type !== 'comma') &&
      (words.some(saysHowItIs) ||
        words.some((w) => /^(?:stays?|stayed|remains?)$/.test(w.text)) ||
        (first?.type === 'word' && saysInPassing(words.at(-1))) ||
        some ||
        (first?.type === 'number' && saysHowOften(second)) ||
        words.some((w) => /^(?:came|comes|fell)$/.test(w.text) && !w.found) ||
        saysWhereItRuns(words) ||
        /^(?:it|them)$/.test(words.at(-1)?.text ?? '') ||
        (first?.type === 'word' && words.some(saysWhatWasOnIt)))
    );
  if (first?.type === 'millimetres') return words.length === 1;
  if (first?.type === 'number') return saysHowOften(second) || saysAFigure(words);
  const isWord = first?.type === 'word' && !/^(?:with|using|note:?)$/.test(first.text);
  return isWord && !words.some((w) => w.found) && !words.every(ofPlug);
}

/** "70 C", "80c", "90 degrees" */
const isATemperature = ([hot, unit]: readonly Word[]): boolean =>
  /^\d{2,3}\s?°?c$/.test(hot?.text ?? '') ||
  (hot?.type === 'number' && /^(?:°?c|°|degrees?)$/.test(unit?.text ?? ''));

/** Where, within a piece, it begins to be said which way, how or with what along; one that fits is enough. */
const WAYS: ((w: Word, i: number, all: readonly Word[], screws: boolean) => boolean)[] = [
  // "slide battery out the front", "pulled through the frame"
  (w, i, all) => i > 1 && w.text === 'out' && /^(?:the|through|past|over|at)$/.test(all[i + 1]?.text ?? ''),
  (w, i, all) => w.text === 'through' && all[i + 1] !== undefined,
  (w, _i, all) => w.text === 'between' && all[0]?.found !== undefined,
  // "slid out to the rear"
  (w, i, all) =>
    i > 1 &&
    w.text === 'to' &&
    SIDE.test(all.at(-1)?.text ?? '') &&
    ((verbAt(all, 0)?.verb.takes ?? null) !== null || all.some((v) => isToldVerb(v.text))),
  // "out with its shield", "off with some force", "2 M3x5 with threadlock"
  (w, i, all) => i > 1 && w.text === 'with' && (WITH_IT.test(all[i + 1]?.text ?? '') || isAlong(all, i)),
  (w, i, all, screws) => screws && w.text === 'with' && isNoPartOf(all.slice(i + 1)),
  // "bled with 2k2"
  (w, i, all) => w.text === 'with' && /^\d[\d.]*(?:k\d*|r\d*|ohms?)$/.test(all[i + 1]?.text ?? ''),
  (w, i, all) => w.text === 'without' && i < all.length - 1,
  (w, i, all) => /^(?:in|as)$/.test(w.text) && saysAsOne(all.slice(i + 1)),
  // "ballast out on its plate", "screen warmed 5 min 70 C"
  (w, i, all) =>
    w.text === 'on' &&
    /^(?:its|their|\d+)$/.test(all[i + 1]?.text ?? '') &&
    /^(?:off|out|down|up|open|back)$/.test(all[i - 1]?.text ?? ''),
  (_w, i, all) => i > 1 && all[i - 1]?.type === 'minutes' && isATemperature(all.slice(i)),
  // "8 M4 lid in a cross pattern"
  (w, i, all, screws) => screws && w.text === 'in' && all[i + 1]?.text === 'a',
  (_w, i, all, screws) => screws && isTurns(all.slice(i)),
];

/**
 * What is said behind a comma and is no move of its own: "unplug W2, latch open".
 *
 * @param screws of screws only what says how they were found is a remark: "rear cover, one stripped"
 */
export function readRemark(piece: Piece, screws: boolean): string | undefined {
  const way = piece.at((w, i, all) => i > 0 && WAYS.some((says) => says(w, i, all, screws)));
  const comma = piece.at(
    (w, i, all) =>
      w.type === 'comma' &&
      i > 0 &&
      !(isColour(all[i - 1]) && isColour(all[i + 1])) &&
      isRemark(all.slice(i + 1), screws),
  );
  const first = way < 0 || (comma >= 0 && comma < way);
  const at = first ? comma : way;
  if (at < 0 || at === piece.rest.length - 1) return undefined;
  const words = piece.take(at, piece.rest.length - at, 'note').slice(first ? 1 : 0);
  return piece.typed(words) || undefined;
}
