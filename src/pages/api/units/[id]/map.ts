import { unitById } from '../../../../data/units';
import { database } from '../../../../server/context';
import { endpoint } from '../../../../server/endpoint';
import { mapAsJson, mapAsZip } from '../../../../server/map-file';
import { Problem } from '../../../../server/problem';

export const GET = endpoint(async ({ params, url }) => {
  const unit = await unitById((await database()).read, params.id ?? '');
  if (!unit) throw new Problem(404, 'No such unit', `there is no unit ${params.id} on this Mulch`);
  const zip = url.searchParams.get('as') === 'zip';
  const name = unit.name.replace(/[^\w.-]+/g, '-').toLowerCase();
  return new Response(zip ? (mapAsZip(unit.map) as Uint8Array<ArrayBuffer>) : mapAsJson(unit.map), {
    headers: {
      'content-type': zip ? 'application/zip' : 'application/json',
      'content-disposition': `attachment; filename="${name}.map.${zip ? 'zip' : 'json'}"`,
      'cache-control': 'no-store',
    },
  });
});
