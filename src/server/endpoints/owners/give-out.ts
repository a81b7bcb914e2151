import { file, fileName } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { ownersData } from '../../owners/owner-data';
import { photoStore } from '../../photo-store';

/** Everything that is kept of an owner. */
export const giveOwnersData = endpoint({
  method: 'get',
  who: 'lead',
  path: '/api/owners/data',
  summary: 'Everything that is kept of an owner as one zip: ?owner= as it is written at Take in',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ url }) {
    const owner = (url.searchParams.get('owner') ?? '').slice(0, 400);
    const zip = await ownersData(await database(), photoStore(), owner, new Date());
    return file(zip, 'application/zip', `${fileName(owner)}.zip`);
  },
});
