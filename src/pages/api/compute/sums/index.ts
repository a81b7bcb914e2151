import { SUMS } from '../../../../core/sums';
import { endpoint, json } from '../../../../server/endpoint';

export const GET = endpoint(async () =>
  json(
    SUMS.map(({ name, title, about, inputs, outputs, source, example }) => ({
      name,
      title,
      about,
      inputs,
      outputs,
      source,
      example,
    })),
  ),
);
