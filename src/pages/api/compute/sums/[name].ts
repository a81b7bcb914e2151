import { answerSum, SUMS } from '../../../../core/sums';
import { sumGuards } from '../../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../../server/endpoint';
import { Problem } from '../../../../server/problem';

export const POST = endpoint(async ({ params, request }) => {
  const sum = SUMS.find((s) => s.name === params.name);
  const guard = sum && sumGuards[sum.name];
  if (!sum || !guard)
    throw new Problem(404, 'No such sum', `there is no sum “${params.name}”. /api/compute/sums lists them`);
  return json(answerSum(sum, await readBody(request, guard)));
});
