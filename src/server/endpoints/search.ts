import { closed, oneOf, Type } from '../../core/schema/words';
import { database } from '../context';
import { endpoint } from '../endpoint';
import { Problem } from '../problem';
import { findAnything } from '../search';

const MOST = 50;
const LONGEST = 300;

/** Jobs, units and parts of the store by any words of theirs. */
export const search = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/search',
  summary:
    'Jobs, units and parts of the store by any words of theirs: ?q= words, "exact words", -not, tag:SP-0; ?most= how many',
  body: null,
  megabytes: 0,
  answer: Type.Array(
    closed({
      kind: oneOf(['job', 'unit', 'part'] as const),
      id: Type.String(),
      title: Type.String(),
      about: Type.String(),
      where: Type.String(),
    }),
  ),
  status: 200,
  async handle({ url }) {
    const most = Number(url.searchParams.get('most') ?? 20);
    if (!Number.isInteger(most) || most < 1 || most > MOST)
      throw new Problem(400, 'Not as described', `most is a whole number from 1 to ${MOST}`, 'most');
    const text = (url.searchParams.get('q') ?? '').slice(0, LONGEST);
    return findAnything((await database()).read, text, most);
  },
});
