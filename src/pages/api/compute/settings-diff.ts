import { settingsDiff } from '../../../core/settings';
import { isSettingsDiffRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) =>
  json(settingsDiff(await readBody(request, isSettingsDiffRequest, 4))),
);
