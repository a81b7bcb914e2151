import { type BatteryFitRequest, batteryFit, VERDICT_WORDS } from '../../fit';
import { demand } from '../../refusal';
import { kind } from './kind';

/** Old and new battery laid beside each other: the sheets are kept, the verdict follows from them. */
export const batteryCompared = kind<{ element: string; request: BatteryFitRequest; chemistry: number }>({
  apply(state, { element: id, request, chemistry }, { at, by }) {
    const element = state.map.elements.find((e) => e.id === id);
    demand(element?.kind === 'battery', `${id} is no battery of this unit`, '/element');
    batteryFit(request);
    return { ...state, batteries: { ...state.batteries, [id]: { request, chemistry, at, by } } };
  },
  says: (p) => `Batteries for ${p.element} compared: ${VERDICT_WORDS[batteryFit(p.request).verdict]}`,
});
