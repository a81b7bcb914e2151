import { demand } from '../refusal';
import type { ElementKind } from '../unit';
import type { JobState } from './state';

/** @throws Refusal when the unit has no such element, or it is of another kind */
export const demandKind = (state: JobState, id: string, wanted: ElementKind): void =>
  demand(
    state.map.elements.find((e) => e.id === id)?.kind === wanted,
    `${id} is no ${wanted} of this unit`,
    '/element',
  );
