import { reaches } from '../../../core/people';
import { closed, Line, Name, Type, Ulid } from '../../../core/schema/words';
import type { UnitMap } from '../../../core/unit';
import { UnitMapSchema } from '../../../core/unit/schema';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { Problem } from '../../problem';
import { saveUnit } from '../../save-unit';

const SaveUnitSchema = closed(
  {
    id: Ulid,
    place: Type.Optional(Line),
    version: Type.Integer({ minimum: 0 }),
    map: Type.Unsafe<UnitMap>(UnitMapSchema),
  },
  { $id: 'SaveUnit', title: 'Keep the map of a unit; version 0 for a new one' },
);

/** Keep the map of a unit. */
export const saveAUnit = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/units',
  summary: 'Keep the map of a unit',
  body: SaveUnitSchema,
  megabytes: 2,
  answer: closed({ id: Name, version: Type.Integer() }),
  status: 201,
  async handle({ body, person }) {
    // Describing what stands in front of one is bench work; a map that is there is kept by a lead.
    if (body.version > 0 && person && !reaches(person.role, 'lead'))
      throw new Problem(403, 'Not for this role', `${person.name} describes new units; a lead changes a map`);
    return saveUnit(await database(), body, new Date());
  },
});
