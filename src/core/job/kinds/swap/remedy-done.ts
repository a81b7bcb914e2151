import { demand } from '../../../refusal';
import { Line, Type } from '../../../schema/words';
import { fixLines } from '../../fix-lines';
import { handsIn } from '../../hands-in';
import { mayUse, using } from '../../in-use';
import { nextRemedy } from '../../opening';
import { planned, reached } from '../../planned';
import { demandAgreed } from '../../quote-held';
import { kind } from '../kind';

/** A remedy that replaces nothing is done: set, reseated, cleaned. */
export const remedyDone = kind({
  type: 'remedy.done',
  payload: {
    note: Type.Optional(Line),
    /** solvent was used on it: it is wet until it is said dry */
    solvent: Type.Optional(Type.Boolean()),
  },
  admit(state, { solvent }) {
    demandAgreed(state);
    if (solvent) mayUse(state, 'solvent', planned(state).element.name);
    if (planned(state).element.needs?.length) handsIn(state, {});
  },
  apply(state, { note, solvent }, { id, at }) {
    const { plan, element, remedy } = planned(state);
    demand(plan.remedyKind !== 'replace', 'a replacement is recorded by what came out and what went in');
    demand(!state.fix, 'this remedy is done already');
    reached(state, element.needs);
    const used = solvent ? using(state, { verb: 'solvent', text: '', on: element.id }, { id, at }) : state;
    return nextRemedy({
      ...used,
      stop: 'close up',
      fix: {
        element: element.id,
        remedy,
        at,
        proofsBefore: state.proofs.length,
        name: plan.name,
        ...(note?.trim() ? { seen: note.trim() } : {}),
      },
    });
  },
  says: (_p, state) => `Done: ${state.plan?.name ?? 'remedy'}`,
  reports: (_p, state, { at }) => fixLines(state, at),
  whileParked: 'wakes',
});
