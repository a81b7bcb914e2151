import type { UnitMap } from '../unit';
import type { JobEvent } from './event';

/** Entries that are looked for by their words: what was complained of, read, noted, fitted, whose it is. */
const SEARCHED: ReadonlySet<JobEvent['type']> = new Set<JobEvent['type']>([
  'intake.recorded',
  'unit.identified',
  'note.added',
  'photo.added',
  'plan.chosen',
  'job.referred',
  'part.removed',
  'part.fitted',
  'remedy.done',
  'check.recorded',
  'tick.noted',
  'kit.noted',
  'job.parked',
  'job.handed-over',
]);
/** Parts of an entry that are no words of anybody. */
const NO_WORDS: ReadonlySet<string> = new Set([
  'id',
  'at',
  'by',
  'type',
  'file',
  'source',
  'function',
  'alsoFails',
  'aim',
  'pattern',
  'check',
  'must',
]);
/** Answers that nearly every job has. */
const EVERYWHERE: ReadonlySet<string> = new Set(['ok', 'bad']);

function wordsIn(value: unknown): string[] {
  if (typeof value === 'string') return EVERYWHERE.has(value) ? [] : [value];
  if (Array.isArray(value)) return value.flatMap(wordsIn);
  if (value && typeof value === 'object')
    return Object.entries(value).flatMap(([k, v]) => (NO_WORDS.has(k) ? [] : wordsIn(v)));
  return [];
}

/**
 * The words by which a map is found: its name and maker, its elements and parts.
 *
 * @param map of a unit
 * @returns words, in one text
 * @example mapWords(map) // 'Bell Orrin B-2 S1 push …'
 */
export const mapWords = (map: UnitMap): string =>
  [
    map.name,
    map.maker,
    map.model,
    ...map.elements.flatMap((e) => [e.id, e.name, ...e.remedies.flatMap((r) => r.parts ?? [])]),
    ...map.functions.map((f) => f.name),
  ]
    .filter(Boolean)
    .join(' · ');

/**
 * The words by which an entry is found later.
 *
 * @param event an entry of a job
 * @returns its words in one text; empty where it is not looked for
 * @example searchText({ type: 'note.added', text: 'fan is loud', … }) // 'fan is loud'
 */
export function searchText(event: JobEvent): string {
  if (event.type === 'job.opened')
    return event.practice
      ? ''
      : [event.tag, event.map.name, event.map.maker, event.map.model, event.place]
          .filter(Boolean)
          .join(' · ');
  return SEARCHED.has(event.type) ? wordsIn(event).join(' · ') : '';
}
