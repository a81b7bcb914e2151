import { Type } from '../../../core/schema/words';
import { answerSum, SUMS } from '../../../core/sums';
import { sumAnswer, sumRequest } from '../../../schemas/sums';
import { type Endpoint, endpoint } from '../../endpoint';

/** Every bench sum, each with its own documents. */
export const computeSums: Endpoint[] = SUMS.map((sum) =>
  endpoint({
    method: 'post',
    path: `/api/compute/sums/${sum.name}`,
    summary: `${sum.title}: ${sum.about}`,
    body: sumRequest(sum),
    megabytes: 1,
    answer: sumAnswer(sum),
    status: 200,
    handle: ({ body }) => answerSum(sum, body as Parameters<typeof answerSum>[1]),
  }),
);

/** What the sums are called, and what each takes and gives. */
export const listSums = endpoint({
  method: 'get',
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
