import { SUMS } from '../core/sums';
import { ANSWERS, CHECKED } from './registry';
import { sumAnswer, sumId, sumRequest } from './sums';

interface Route {
  path: string;
  method: 'get' | 'post' | 'put';
  summary: string;
  /** names of documents among the components */
  body?: string;
  answer?: string;
  params?: string[];
}

type Document = keyof typeof CHECKED | keyof typeof ANSWERS;
type KnownRoute = Route & { body?: Document; answer?: Document };

const SUM_ROUTES: Route[] = SUMS.map((s) => ({
  path: `/api/compute/sums/${s.name}`,
  method: 'post',
  summary: `${s.title}: ${s.about}`,
  body: sumId(s.name),
  answer: `${sumId(s.name)}Answer`,
}));
const SUM_DOCUMENTS = Object.fromEntries(
  SUMS.flatMap((s) => [sumRequest(s), sumAnswer(s)]).map((d) => [d.$id as string, d]),
);

const ROUTES: KnownRoute[] = [
  {
    path: '/api/compute/trace',
    method: 'post',
    summary: 'Suspicion of every element and the next best check',
    body: 'TraceRequest',
    answer: 'TraceAnswer',
  },
  {
    path: '/api/compute/ledger',
    method: 'post',
    summary: 'Items with state and place, and what a final close would refuse',
    body: 'LedgerRequest',
    answer: 'LedgerAnswer',
  },
  {
    path: '/api/compute/tighten',
    method: 'post',
    summary: 'Order and passes for the screws of a lid',
    body: 'TightenRequest',
    answer: 'TightenAnswer',
  },
  {
    path: '/api/compute/prove',
    method: 'post',
    summary: 'Where on the way back a test costs least',
    body: 'ProveRequest',
    answer: 'ProveAnswer',
  },
  {
    path: '/api/compute/order',
    method: 'post',
    summary: 'The quickest order of moves to a goal',
    body: 'OrderRequest',
    answer: 'OrderAnswer',
  },
  {
    path: '/api/compute/schedule',
    method: 'post',
    summary: 'Earliest finish with one pair of hands',
    body: 'ScheduleRequest',
    answer: 'ScheduleAnswer',
  },
  {
    path: '/api/compute/mixups',
    method: 'post',
    summary: 'What could be plugged in wrongly, and the fewest labels',
    body: 'MixupsRequest',
    answer: 'MixupsAnswer',
  },
  {
    path: '/api/compute/fit',
    method: 'post',
    summary: 'Whether one battery may take the place of another, line by line',
    body: 'BatteryFitRequest',
    answer: 'BatteryFitAnswer',
  },
  {
    path: '/api/compute/flat-cable',
    method: 'post',
    summary: 'Whether a flat cable suits its two headers',
    body: 'FlatCableRequest',
    answer: 'FlatCableAnswer',
  },
  {
    path: '/api/compute/jumpers',
    method: 'post',
    summary: 'Positions jumpers must have, against what is set',
    body: 'JumpersRequest',
    answer: 'JumpersAnswer',
  },
  {
    path: '/api/compute/settings-diff',
    method: 'post',
    summary: 'Two dumps of settings, key by key',
    body: 'SettingsDiffRequest',
    answer: 'SettingsDiffAnswer',
  },
  { path: '/api/compute/sums', method: 'get', summary: 'Every bench sum: what it needs and answers' },
  { path: '/api/jobs', method: 'get', summary: 'All jobs, summed up' },
  { path: '/api/jobs', method: 'post', summary: 'Open a job on a unit', body: 'OpenJob' },
  {
    path: '/api/jobs/{id}/events',
    method: 'get',
    summary: 'Events of a job from ?after= on',
    params: ['id'],
  },
  {
    path: '/api/jobs/{id}/events',
    method: 'post',
    summary: 'Record events; sending twice does nothing',
    body: 'PostEvents',
    params: ['id'],
  },
  {
    path: '/api/jobs/{id}/file',
    method: 'get',
    summary: 'The whole job as a file',
    answer: 'JobFile',
    params: ['id'],
  },
  {
    path: '/api/jobs/{id}/labels',
    method: 'get',
    summary: 'Labels for what is off, as a PDF',
    params: ['id'],
  },
  {
    path: '/api/jobs/{id}/history',
    method: 'get',
    summary: 'Every entry in words, as a table',
    params: ['id'],
  },
  { path: '/api/jobs/import', method: 'post', summary: 'Read a job file in again', body: 'JobFile' },
  { path: '/api/photos', method: 'post', summary: 'Keep a picture, sent as the body' },
  { path: '/api/photos/{file}', method: 'get', summary: 'A picture; ?size=small', params: ['file'] },
  { path: '/api/meter', method: 'get', summary: 'Where the bench meter is' },
  { path: '/api/meter', method: 'post', summary: 'Set where the bench meter is', body: 'SetMeter' },
  { path: '/api/meter/read', method: 'post', summary: 'One reading from the bench meter', body: 'ReadMeter' },
  { path: '/api/lessons', method: 'get', summary: 'What closed jobs taught; ?as=csv as a table' },
  {
    path: '/api/lessons/reset',
    method: 'post',
    summary: 'Learn anew from a moment on, or from all closed jobs again',
    body: 'ResetLessons',
  },
  { path: '/api/console', method: 'get', summary: 'Where the unit console is' },
  { path: '/api/console', method: 'post', summary: 'Set where the unit console is', body: 'SetMeter' },
  {
    path: '/api/console/read',
    method: 'post',
    summary: 'All settings of the unit on the console',
    body: 'ReadConsole',
  },
  {
    path: '/api/console/write',
    method: 'post',
    summary: 'Write chosen settings, each read back',
    body: 'WriteConsole',
  },
  {
    path: '/api/catalogue',
    method: 'get',
    summary: 'Parts of the catalogue for a few words, ?q=',
    answer: 'CatalogueAnswer',
  },
  {
    path: '/api/chemistry',
    method: 'get',
    summary: 'Chemistry rows in force, with their version; 0 as shipped',
    answer: 'ChemistryTable',
  },
  {
    path: '/api/chemistry',
    method: 'put',
    summary: 'Change the chemistry rows; a stale version answers 409',
    body: 'ChemistryTable',
    answer: 'ChemistryTable',
  },
  {
    path: '/api/jobs/{id}/replace-by',
    method: 'get',
    summary: 'When the battery fitted in this job is usually replaced, as an iCalendar file',
    params: ['id'],
  },
  { path: '/api/units', method: 'get', summary: 'All units with their maps' },
  {
    path: '/api/units/{id}/map',
    method: 'get',
    summary: 'The map of a unit as JSON; ?as=zip as three tables and the rest',
    params: ['id'],
  },
  {
    path: '/api/units/{id}/labels',
    method: 'get',
    summary: 'Labels for the plugs that need one, as a PDF',
    params: ['id'],
  },
  {
    path: '/api/units/import',
    method: 'post',
    summary: 'A new unit from a map file: JSON or zip as the body',
  },
  { path: '/api/units', method: 'post', summary: 'Keep the map of a unit', body: 'SaveUnit' },
];

const plain = (schema: unknown): unknown => {
  if (Array.isArray(schema)) return schema.map(plain);
  if (!schema || typeof schema !== 'object') return schema;
  const id = (schema as { $id?: string }).$id;
  if (id && (id in CHECKED || id in ANSWERS)) return { $ref: `#/components/schemas/${id}` };
  return Object.fromEntries(Object.entries(schema).map(([k, v]) => [k, plain(v)]));
};

const component = (schema: object) =>
  Object.fromEntries(
    Object.entries(schema)
      .filter(([k]) => k !== '$id')
      .map(([k, v]) => [k, plain(v)]),
  );

const json = (name: string) => ({ 'application/json': { schema: { $ref: `#/components/schemas/${name}` } } });

/** The interface for other programs, written from the same schemas that check it. */
export function openapi() {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const r of [...ROUTES, ...SUM_ROUTES] as Route[]) {
    paths[r.path] = {
      ...paths[r.path],
      [r.method]: {
        summary: r.summary,
        ...(r.params
          ? {
              parameters: r.params.map((name) => ({
                name,
                in: 'path',
                required: true,
                schema: { type: 'string' },
              })),
            }
          : {}),
        ...(r.body ? { requestBody: { required: true, content: json(r.body) } } : {}),
        responses: {
          '2XX': { description: 'Done', ...(r.answer ? { content: json(r.answer) } : {}) },
          '4XX': {
            description: 'What is wrong, and where',
            content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
          },
        },
      },
    };
  }
  const schemas = Object.fromEntries(
    Object.entries({ ...CHECKED, ...ANSWERS, ...SUM_DOCUMENTS }).map(([k, v]) => [k, component(v)]),
  );
  return { openapi: '3.1.0', info: { title: 'Mulch', version: '0.1.0' }, paths, components: { schemas } };
}
