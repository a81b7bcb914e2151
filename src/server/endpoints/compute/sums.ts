import { Type } from '../../../core/schema/words';
import { answerSum, SUMS, sumsOver } from '../../../core/sums';
import { sumAnswer, sumRequest } from '../../../schemas/sums';
import { chemistryOf } from '../../chemistry';
import { database } from '../../context';
import { type Endpoint, endpoint } from '../../endpoint';

/** Every bench sum, each with its own documents. */
export const computeSums: Endpoint[] = SUMS.map((sum) =>
  endpoint({
    method: 'post',
    who: 'looker',
    path: `/api/compute/sums/${sum.name}`,
    summary: `${sum.title}: ${sum.about}`,
    body: sumRequest(sum),
    megabytes: 1,
    answer: sumAnswer(sum),
    status: 200,
    // Over the chemistry rows in force, where somebody changed them.
    async handle({ body }) {
      const { version, rows } = await chemistryOf((await database()).read);
      const now = version ? sumsOver(rows).find((s) => s.name === sum.name) : sum;
      return answerSum(now ?? sum, body as Parameters<typeof answerSum>[1]);
    },
  }),
);

/** What the sums are called, and what each takes and gives. */
export const listSums = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/compute/sums',
  summary: 'All sums with their inputs, outputs, sources and an example',
  body: null,
  megabytes: 0,
  answer: Type.Array(Type.Unsafe<object>({ type: 'object' })),
  status: 200,
  handle: () =>
    SUMS.map(({ name, title, about, inputs, outputs, source, example }) => ({
      name,
      title,
      about,
      inputs,
      outputs,
      source,
      example,
    })),
});
