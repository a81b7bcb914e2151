import { owed } from '../ledger';
import { inUseWords } from './in-use';
import { isDone } from './opening';
import { symptomProof } from './proofs';
import type { HandOver, JobState } from './state';

/**
 * What still holds a job at Hand over: things off, covers not closed, the repair not proven.
 *
 * @param state a job
 * @param result how it is to be handed over
 * @returns reasons in words, empty when nothing holds it
 * @example handOverHeldBy(state, 'works') // ['the lid is not closed']
 */
export function handOverHeldBy(state: JobState, result: HandOver['result']): string[] {
  const held: string[] = [];
  // What is kept for its parts is not put together again.
  if (result === 'kept for parts') return state.inUse.map(inUseWords);
  for (const cover of state.ledger.covers)
    if (cover.state !== 'final') held.push(`the ${cover.name} is not closed`);
  for (const item of state.ledger.items) {
    const reason = owed(item);
    if (reason) held.push(reason);
  }
  for (const u of state.inUse) held.push(inUseWords(u));
  if (result === 'works') {
    if (!state.fix && state.fixes.length) held.push(`“${state.plan?.name}” is planned and not done`);
    else if (!isDone(state)) held.push('no remedy has been recorded');
    else if (symptomProof(state)?.outcome !== 'ok')
      held.push('the failing check has not been repeated with a good result');
  }
  if (result === 'referred' && state.plan?.kind !== 'refer') held.push('it has not been referred in Plan');
  return held;
}
