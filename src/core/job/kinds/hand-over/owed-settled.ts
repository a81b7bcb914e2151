import { demand } from '../../../refusal';
import { Ulid } from '../../../schema/words';
import { kind } from '../kind';

/** What was owed is done. */
export const owedSettled = kind({
  type: 'owed.settled',
  payload: { owed: Ulid },
  admit: 'always',
  apply(state, { owed }, { at, by }) {
    const it = state.owed.find((o) => o.id === owed);
    demand(it, 'nothing like that is owed', '/owed');
    demand(!it.settled, `${it.what}: that is done already`, '/owed');
    return {
      ...state,
      owed: state.owed.map((o) => (o.id === owed ? { ...o, settled: { at, by } } : o)),
    };
  },
  says: ({ owed }, state) => `Done, no longer owed: ${state.owed.find((o) => o.id === owed)?.what ?? owed}`,
  reports: 'nothing',
  whileParked: 'taken',
});
