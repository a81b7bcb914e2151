import { tally } from '../ledger';
import { fixesOf } from './opening';
import type { JobState, Stop } from './state';

/** Something small that is not to be forgotten, asked at its time. */
export interface TickLine {
  id: string;
  text: string;
  /** the picture that answers it was taken, or somebody ticked it */
  done: boolean;
  /** a picture answers it */
  picture: boolean;
}

interface Asked {
  id: string;
  text: string;
  stop: Stop;
  /** it is its time now */
  due(state: JobState): boolean;
  /** a picture that was taken answers it; without it only a tick does */
  shown?(state: JobState): boolean;
}

const unplugged = (state: JobState) => state.ledger.items.some((i) => i.kind === 'plug');
/** What frees what is glued, and how that then comes off: contacts that are only cleaned stay where they are. */
const PRIED = new Set(['pry', 'peel']);
const FREES = new Set(['heat', 'solvent']);
const openings = ['make safe', 'open up', 'swap'];

/** What Mulch asks of itself; common practice, no source. One more is one more entry. */
const ASKED: Asked[] = [
  {
    id: 'picture of the plugs',
    text: 'A picture of every plug in its place, before the first leaves',
    stop: 'open up',
    due: (s) => s.ledger.items.some((i) => i.cover && tally(i).off > 0) && !unplugged(s),
    shown: (s) => s.photos.some((p) => openings.includes(p.stop)),
  },
  {
    id: 'picture before it is covered',
    text: 'A picture of what was mended, before a cover hides it',
    stop: 'close up',
    due: (s) => fixesOf(s).length > 0 && s.ledger.covers.some((c) => c.state !== 'final'),
    shown: (s) => s.photos.some((p) => p.at >= (fixesOf(s)[0]?.at ?? '') && p.stop !== 'take in'),
  },
  {
    id: 'fresh adhesive',
    text: 'Where heat or solvent freed it: old adhesive off, new one on, pressed and left to set',
    stop: 'close up',
    due: (s) =>
      s.ledger.moves.some(
        (m, i) => FREES.has(m.verb) && s.ledger.moves.slice(i + 1).some((n) => PRIED.has(n.verb)),
      ) && s.ledger.covers.some((c) => c.state !== 'final'),
  },
];

/**
 * The ticks of a stop: those that Mulch asks when it is their time, and one's own.
 *
 * @param state a job
 * @param stop a stop of the run
 * @returns ticks in the order in which they came up, done ones of one's own among them
 * @example ticksOf(state, 'open up')[0]?.text // 'A picture of every plug in its place, before the first leaves'
 */
export function ticksOf(state: JobState, stop: Stop): TickLine[] {
  const ticked = new Set(state.ticked.map((t) => t.tick));
  return [
    ...ASKED.filter((a) => a.stop === stop && a.due(state)).map((a) => ({
      id: a.id,
      text: a.text,
      done: ticked.has(a.id) || (a.shown?.(state) ?? false),
      picture: a.shown !== undefined,
    })),
    ...state.ticks
      .filter((t) => t.stop === stop && t.item === undefined)
      .map((t) => ({ id: t.id, text: t.text, done: ticked.has(t.id), picture: false })),
  ];
}

/**
 * One's own ticks that hang on a thing, asked when it goes back.
 *
 * @param state a job
 * @param item id of a thing of the tray
 * @returns ticks, done ones among them
 * @example ticksOfItem(state, 'i4')[0]?.text // 'grease the seal'
 */
export function ticksOfItem(state: JobState, item: string): TickLine[] {
  const ticked = new Set(state.ticked.map((t) => t.tick));
  return state.ticks
    .filter((t) => t.item === item)
    .map((t) => ({ id: t.id, text: t.text, done: ticked.has(t.id), picture: false }));
}

/**
 * What a tick asks, in words.
 *
 * @param state a job
 * @param tick id of a tick
 * @returns its words; undefined where there is no such tick
 * @example tickWords(state, 'picture of the plugs') // 'A picture of every plug …'
 */
export const tickWords = (state: JobState, tick: string): string | undefined =>
  state.ticks.find((t) => t.id === tick)?.text ?? ASKED.find((a) => a.id === tick)?.text;

/**
 * One's own ticks that nobody made.
 *
 * @param state a job
 * @returns id and words of each
 * @example ticksLeft(state) // [{ id: '01M2…', text: 'grease the seal' }]
 */
export const ticksLeft = (state: JobState): { id: string; text: string }[] =>
  state.ticks.filter((t) => !state.ticked.some((d) => d.tick === t.id));
