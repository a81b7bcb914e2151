import { demand } from '../../../refusal';
import { Line, Name } from '../../../schema/words';
import type { JobState } from '../../state';
import { kind } from '../kind';

const did = (state: JobState, party: string, words: { told: string; allow: string }) => {
  const known = state.map.parties?.find((x) => x.id === party);
  return `${known?.who ?? party} ${words[known?.must ?? 'told']}`;
};

/** Somebody who has to know was told, or has given leave. */
export const partyTold = kind({
  type: 'party.told',
  payload: { party: Name, how: Line },
  admit: 'always',
  apply(state, { party, how }, { at, by }) {
    const known = state.map.parties?.find((p) => p.id === party);
    demand(known, `${party} is nobody this unit names`, '/party');
    demand(
      how.trim() !== '',
      known.must === 'allow' ? 'say who gave leave, and how' : 'say whom you told, and how',
      '/how',
    );
    const rest = state.told.filter((t) => t.party !== party);
    return { ...state, told: [...rest, { party, how: how.trim(), at, by }] };
  },
  says: (p, state) => `${did(state, p.party, { told: 'told', allow: 'allows it' })}: ${p.how}`,
  reports: ({ party, how }, state, { at }, { later }) =>
    later.some((l) => l.party === party)
      ? []
      : [
          {
            under: 'Shown beside it',
            at,
            text: did(state, party, { told: 'was told', allow: 'allowed it' }),
            result: how.trim(),
          },
        ],
  whileParked: 'wakes',
});
