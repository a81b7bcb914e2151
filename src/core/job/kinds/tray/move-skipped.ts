import { demand } from '../../../refusal';
import { Line, Name, Type } from '../../../schema/words';
import { kind } from '../kind';

/** A move of the known way in is not needed on this unit, or was done otherwise. */
export const moveSkipped = kind({
  type: 'move.skipped',
  payload: { move: Name, why: Type.Optional(Line) },
  admit: 'always',
  apply(state, { move }) {
    demand(
      state.map.moves?.some((m) => m.id === move),
      `${move} is no move of this unit’s way in`,
      '/move',
    );
    demand(!state.followed.includes(move), 'that move is done already', '/move');
    return { ...state, followed: [...state.followed, move] };
  },
  says: (p, state) => `Left out: ${state.map.moves?.find((m) => m.id === p.move)?.text ?? p.move}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
