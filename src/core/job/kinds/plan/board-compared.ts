import { type BoardFitRequest, boardFit } from '../../../board';
import { BoardFitRequestSchema } from '../../../board/schema';
import { VERDICT_WORDS } from '../../../fit';
import { Name, Type } from '../../../schema/words';
import { demandKind } from '../../of-kind';
import { kind } from '../kind';

/** Old and new board laid beside each other, likewise. */
export const boardCompared = kind({
  type: 'board.compared',
  payload: { element: Name, request: Type.Unsafe<BoardFitRequest>(BoardFitRequestSchema) },
  admit: 'always',
  apply(state, { element, request }, { at, by }) {
    demandKind(state, element, 'board');
    boardFit(request);
    return { ...state, boards: { ...state.boards, [element]: { request, at, by } } };
  },
  says: (p) => `Boards for ${p.element} compared: ${VERDICT_WORDS[boardFit(p.request).verdict]}`,
  reports: ({ element, request }, { fix }, { at }, { later }) =>
    fix?.element !== element || later.some((l) => l.element === element)
      ? []
      : [
          {
            under: 'Done',
            at,
            text: 'Old and new board compared',
            result: VERDICT_WORDS[boardFit(request).verdict],
          },
        ],
  whileParked: 'wakes',
});
