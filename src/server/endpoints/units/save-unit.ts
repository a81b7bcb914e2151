import { closed, Line, Name, Type, Ulid } from '../../../core/schema/words';
import type { UnitMap } from '../../../core/unit';
import { UnitMapSchema } from '../../../core/unit/schema';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
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
  path: '/api/units',
  summary: 'Keep the map of a unit',
  body: SaveUnitSchema,
  megabytes: 2,
  answer: closed({ id: Name, version: Type.Integer() }),
  status: 201,
  handle: async ({ body }) => saveUnit(await database(), body, new Date()),
});
