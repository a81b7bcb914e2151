import { demand } from '../refusal';
import { type Party, TELL_BEFORES } from '../unit';
import { partiesLeft } from './proving';
import type { JobState } from './state';

type Before = (typeof TELL_BEFORES)[number];

/** What is about to be done, in words. */
const WORDS: Record<Before, string> = {
  opening: 'the opening',
  test: 'the test',
  'hand over': 'the hand over',
};

/** Before what somebody has to know, where the map does not say: before the first cover. */
const beforeOf = (p: Party): Before => p.before ?? 'opening';

/**
 * Makes sure that everybody who has to know or to allow was asked before this.
 *
 * @param state a job
 * @param act what is about to be done
 * @param path of the field it is said at
 * @throws Refusal naming who was not told, or has not allowed it
 * @example demandLeave(state, 'opening', '/item')
 */
export function demandLeave(state: JobState, act: Before, path: string): void {
  const due = TELL_BEFORES.indexOf(act);
  const held = partiesLeft(state).find((p) => TELL_BEFORES.indexOf(beforeOf(p)) <= due);
  if (!held) return;
  const why = held.why ? `: ${held.why}` : '';
  demand(
    false,
    held.must === 'allow'
      ? `${held.who} has to allow ${WORDS[act]} first${why}`
      : `${held.who} has to be told before ${WORDS[act]}${why}. Who has to know, in Make safe`,
    path,
  );
}
