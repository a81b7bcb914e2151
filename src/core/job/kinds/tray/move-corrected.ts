import { demand } from '../../../refusal';
import { Name } from '../../../schema/words';
import { kind } from '../kind';
import { MOVE } from './move-recorded';

/**
 * A move was written down wrongly: it reads otherwise from the time on when it was made. What it changes
 * is told where the events are folded; here it is only seen to be one of the moves.
 */
export const moveCorrected = kind({
  type: 'move.corrected',
  payload: { ...MOVE, move: Name },
  admit: 'always',
  apply(state, { move }) {
    demand(
      state.ledger.moves.some((m) => m.id === move),
      'there is no such move to correct',
      '/move',
    );
    return state;
  },
  says: (p) => `Corrected: ${p.text}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
