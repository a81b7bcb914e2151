import { specOf, tally, wantsProof } from '../ledger';
import { demand } from '../refusal';
import { demandDry } from './in-use';
import type { JobState } from './state';

/** Boards on pin strips that are in and were not looked at. */
const unseated = (state: JobState) =>
  state.ledger.items.filter(
    (i) => i.joint === 'pin strip' && tally(i).off === 0 && tally(i).back > 0 && wantsProof(i) && !i.proof,
  );

/**
 * What has to be before the power comes on: solvent is dry, boards on pin strips are seen to sit in their
 * place.
 *
 * @param state a job
 * @param path of the field it is said at
 * @throws Refusal naming what is wet, or not looked at
 * @example demandRunnable(state, '/power')
 */
export function demandRunnable(state: JobState, path: string): void {
  demandDry(state, path);
  const [board] = unseated(state);
  demand(
    !board,
    board
      ? `Before power: ${specOf(board)} on its pin strip, pins counted at both ends. Prove it in Close up`
      : '',
    path,
  );
}
