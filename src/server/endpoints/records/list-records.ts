import { type RecordRow, rowOf } from '../../../core/record';
import { Type } from '../../../core/schema/words';
import { countFacts, factsPage } from '../../../data/facts';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { Problem } from '../../problem';
import { recordAsked } from '../../record/asked';

const MOST = 500;

/** A whole number of the address, or what holds without it. */
function wholeNumber(url: URL, name: string, otherwise: number, low: number, high: number): number {
  const n = Number(url.searchParams.get(name) ?? otherwise);
  if (!Number.isInteger(n) || n < low || n > high)
    throw new Problem(400, 'Not as described', `${name} is a whole number from ${low} to ${high}`, name);
  return n;
}

/** Jobs of the record that are asked for, the newest first. */
export const listRecords = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/records',
  summary:
    'Jobs, the newest first: ?q= words, ?model= stop= element= remedy= code= person= owner= place= result= from= to=; ?at= from which one on, ?most= how many',
  body: null,
  megabytes: 0,
  answer: Type.Object({
    count: Type.Integer(),
    rows: Type.Array(Type.Unsafe<RecordRow>({ type: 'object' })),
  }),
  status: 200,
  async handle({ url }) {
    const { read } = await database();
    const asked = recordAsked(url);
    const at = wholeNumber(url, 'at', 0, 0, Number.MAX_SAFE_INTEGER);
    const most = wholeNumber(url, 'most', 100, 1, MOST);
    return {
      count: await countFacts(read, asked),
      rows: (await factsPage(read, asked, at, most)).map(rowOf),
    };
  },
});
