import { demand } from '../../../refusal';
import { Type } from '../../../schema/words';
import { type UnitMap, validateMap } from '../../../unit';
import { UnitMapSchema } from '../../../unit/schema';
import { missedBy, withMap } from '../../map-taken';
import { kind } from '../kind';

/** The map of the unit was changed beside the job, and the job works with it from here on. */
export const mapTaken = kind({
  type: 'map.taken',
  payload: { map: Type.Unsafe<UnitMap>(UnitMapSchema), version: Type.Integer({ minimum: 1 }) },
  admit: 'always',
  apply(state, { map, version }) {
    validateMap(map);
    const missed = missedBy(state, map);
    demand(missed.length === 0, `that map does not have ${missed.join(', nor ')}`, '/map');
    const { unit } = state;
    return { ...withMap(state, map), ...(unit ? { unit: { ...unit, version } } : {}) };
  },
  says: (p) => `The map of the unit taken over, version ${p.version}`,
  reports: 'nothing',
  whileParked: 'taken',
});
