import { demand } from '../refusal';
import { partiesLeft } from './proving';
import type { JobState } from './state';

/** @throws Refusal when somebody has to allow the test first and was not asked */
export function demandLeave(state: JobState, what: string, path: string): void {
  const held = partiesLeft(state).find((p) => p.must === 'allow');
  demand(!held, held ? `${held.who} has to allow ${what} first` : '', path);
}
