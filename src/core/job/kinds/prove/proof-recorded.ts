import { demand } from '../../../refusal';
import { ANSWER, answered, answerLine, verdictOf } from '../../answer';
import { demandRunnable } from '../../before-power';
import { demandLeave } from '../../leave';
import { isDone } from '../../opening';
import { withPower } from '../../power';
import { proofHeldBy } from '../../proof-held';
import { repeated } from '../../repeated';
import type { ProofRecord } from '../../state';
import { kind } from '../kind';

/** A check made after the remedy, to show that it works. */
export const proofRecorded = kind({
  type: 'proof.recorded',
  payload: ANSWER,
  admit(state, a) {
    if (answered(state, a).trace.power !== 'off') demandRunnable(state, '/check');
    demandLeave(state, 'test', '/check');
    const held = proofHeldBy(state);
    demand(!held, held ? `${held}: what is seen now proves nothing` : '', '/check');
  },
  apply(state, a, { id, at, by }) {
    demand(isDone(state), 'nothing has been mended yet: do the remedy first', '/check');
    const check = answered(state, a);
    const proof: ProofRecord = {
      id,
      at,
      by,
      check: a.check,
      outcome: verdictOf(check, a),
      source: a.source,
      open: state.ledger.covers.filter((c) => c.state !== 'final').map((c) => c.name),
      ...(a.reading !== undefined && check.tap?.expect
        ? { reading: a.reading, unit: check.tap.expect.unit }
        : {}),
      ...(a.note ? { note: a.note } : {}),
    };
    return {
      ...withPower(state, check.trace.power, at),
      stop: 'prove',
      proofs: [...state.proofs, proof],
    };
  },
  says: (p, state) => `Proof. ${answerLine(state, p)}`,
  reports: (_p, state, { id }) => repeated(state, id),
  whileParked: 'wakes',
});
