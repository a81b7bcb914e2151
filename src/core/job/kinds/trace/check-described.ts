import { Refusal } from '../../../refusal';
import { Type } from '../../../schema/words';
import { type OwnCheck, type UnitMap, validateMap } from '../../../unit';
import { OwnCheckSchema } from '../../../unit/schema';
import { kind } from '../kind';

/** A check of one's own, added to the map of this job. */
export const checkDescribed = kind({
  type: 'check.described',
  payload: { check: Type.Unsafe<OwnCheck>(OwnCheckSchema) },
  admit: 'always',
  apply(state, { check }) {
    const withCheck = (map: UnitMap): UnitMap => ({ ...map, checks: [...(map.checks ?? []), check] });
    const map = withCheck(state.map);
    try {
      validateMap(map);
    } catch (error) {
      if (error instanceof Refusal)
        throw new Refusal(error.message, error.path.replace(/^\/checks\/\d+/, '/check'));
      throw error;
    }
    return { ...state, map, whole: withCheck(state.whole) };
  },
  says: (p) => `Own check: ${p.check.name}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
