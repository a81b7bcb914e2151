import { type BoardFitRequest, boardFit } from '../../board';
import { type BatteryFitRequest, batteryFit, VERDICT_WORDS } from '../../fit';
import { demand } from '../../refusal';
import type { ElementKind } from '../../unit';
import type { JobState } from '../state';
import { kind } from './kind';

const ofKind = (state: JobState, id: string, wanted: ElementKind) =>
  demand(
    state.map.elements.find((e) => e.id === id)?.kind === wanted,
    `${id} is no ${wanted} of this unit`,
    '/element',
  );

/** Old and new battery laid beside each other: the sheets are kept, the verdict follows from them. */
export const batteryCompared = kind<{ element: string; request: BatteryFitRequest; chemistry: number }>({
  apply(state, { element, request, chemistry }, { at, by }) {
    ofKind(state, element, 'battery');
    batteryFit(request);
    return { ...state, batteries: { ...state.batteries, [element]: { request, chemistry, at, by } } };
  },
  says: (p) => `Batteries for ${p.element} compared: ${VERDICT_WORDS[batteryFit(p.request).verdict]}`,
});

/** Old and new board, likewise. */
export const boardCompared = kind<{ element: string; request: BoardFitRequest }>({
  apply(state, { element, request }, { at, by }) {
    ofKind(state, element, 'board');
    boardFit(request);
    return { ...state, boards: { ...state.boards, [element]: { request, at, by } } };
  },
  says: (p) => `Boards for ${p.element} compared: ${VERDICT_WORDS[boardFit(p.request).verdict]}`,
});
