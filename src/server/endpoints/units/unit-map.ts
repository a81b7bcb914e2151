import { file } from '../../answer';
import { endpoint } from '../../endpoint';
import { mapAsJson, mapAsZip } from '../../map-file';
import { unitThere } from '../../unit-there';

/** The map of a unit as JSON; ?as=zip as three tables and the rest. */
export const unitMap = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/units/{id}/map',
  summary: 'The map of a unit as JSON; ?as=zip as three tables and the rest',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params, url }) {
    const { name, map } = await unitThere(params.id);
    const called = `${name.replace(/[^\w.-]+/g, '-').toLowerCase()}.map`;
    return url.searchParams.get('as') === 'zip'
      ? file(mapAsZip(map), 'application/zip', `${called}.zip`)
      : file(mapAsJson(map), 'application/json', `${called}.json`);
  },
});
