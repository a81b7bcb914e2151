import { ulid } from 'ulid';
import { closed, Name, Type } from '../../../core/schema/words';
import { readBytes } from '../../body';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { saveUnit } from '../../save-unit';
import { beside } from '../../threads/beside';

const MOST_MEGABYTES = 8;

/** A new unit from a map file: JSON or zip as the body. */
export const importUnit = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/units/import',
  summary: 'A new unit from a map file: JSON or zip as the body',
  body: null,
  megabytes: MOST_MEGABYTES,
  answer: closed({ id: Name, version: Type.Integer() }),
  status: 201,
  async handle({ request, url }) {
    const bytes = await readBytes(request, MOST_MEGABYTES);
    const called = (url.searchParams.get('name') ?? '').slice(0, 120).trim() || 'Unit from a file';
    const map = await beside('readMap')({ bytes, called });
    return saveUnit(await database(), { id: ulid(), version: 0, map }, new Date());
  },
});
