import { markKey } from '../../../identity';
import { demand } from '../../../refusal';
import { Line, Type } from '../../../schema/words';
import { kind } from '../kind';

/** Which unit this is: the mark on it, whose it is, and marks that are nearly the same and are not meant. */
export const unitIdentified = kind({
  type: 'unit.identified',
  payload: {
    mark: Type.Optional(Line),
    owner: Type.Optional(Line),
    reach: Type.Optional(Line),
    apart: Type.Optional(Type.Array(Line, { maxItems: 50 })),
  },
  admit: 'always',
  apply(state, { mark, owner, reach, apart = [] }) {
    const said = { mark: mark?.trim(), owner: owner?.trim(), reach: reach?.trim() };
    demand(said.mark || said.owner, 'say the mark on it, or whose it is', '/mark');
    demand(!said.mark || markKey(said.mark) !== '', `nothing can be read in “${said.mark}”`, '/mark');
    return {
      ...state,
      identity: {
        ...(said.mark ? { mark: said.mark } : {}),
        ...(said.owner ? { owner: said.owner } : {}),
        ...(said.reach ? { reach: said.reach } : {}),
        apart: apart.map((a) => a.trim()).filter(Boolean),
      },
    };
  },
  says: ({ mark, owner }) => `This unit: ${[mark, owner && `of ${owner}`].filter(Boolean).join(', ')}`,
  reports: ({ mark, owner, reach }, _state, _meta, { later }) =>
    // What it was said to be last.
    later.length
      ? []
      : [
          ...(mark ? [{ under: 'Taken in' as const, text: 'Serial or asset mark', result: mark }] : []),
          ...(owner
            ? [
                {
                  under: 'Taken in' as const,
                  text: 'Owner',
                  result: [owner, reach].filter(Boolean).join(', '),
                },
              ]
            : []),
        ],
  whileParked: 'taken',
});
