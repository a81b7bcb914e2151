import { ulid } from 'ulid';
import { database } from '../../../server/context';
import { endpoint, json, readBytes } from '../../../server/endpoint';
import { readMapFile } from '../../../server/map-file';
import { saveUnit } from '../../../server/save-unit';

export const POST = endpoint(async ({ request, url }) => {
  const bytes = await readBytes(request, 8);
  const called = (url.searchParams.get('name') ?? '').slice(0, 120).trim() || 'Unit from a file';
  const map = readMapFile(bytes, called);
  return json(await saveUnit(await database(), { id: ulid(), version: 0, map }, new Date()), 201);
});
