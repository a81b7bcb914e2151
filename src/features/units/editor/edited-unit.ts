import type { UnitMap } from '../../../core/unit';

/** A unit as it is kept, for working on it. */
export interface EditedUnit {
  id: string;
  version: number;
  place: string;
  map: UnitMap;
}
