import { version } from '../../package.json';
import type { TSchema } from '../core/schema/words';
import { ProblemSchema } from '../schemas/problem';
import { checkedDocuments } from './documents';
import type { Endpoint } from './endpoint';
import { ENDPOINTS } from './endpoints';

const answers = (e: Endpoint): TSchema | null => (e.answer === 'file' ? null : e.answer);

/** Documents by name: those that come in, those that leave, and the problem. */
function documents(): Record<string, TSchema> {
  const leaving = [ProblemSchema, ...ENDPOINTS.map(answers)].flatMap((d) =>
    d?.$id ? [[d.$id, d] as const] : [],
  );
  return { ...checkedDocuments(), ...Object.fromEntries(leaving) };
}

/** A schema in which every named document is referred to. */
function referring(schema: unknown, names: ReadonlySet<string>, top = false): unknown {
  if (Array.isArray(schema)) return schema.map((s) => referring(s, names));
  if (!schema || typeof schema !== 'object') return schema;
  const { $id, ...rest } = schema as { $id?: string };
  if (!top && $id && names.has($id)) return { $ref: `#/components/schemas/${$id}` };
  return Object.fromEntries(Object.entries(rest).map(([k, v]) => [k, referring(v, names)]));
}

/** The interface for other programs, written from the endpoints and the schemas that check them. */
export function openapi() {
  const all = documents();
  const names = new Set(Object.keys(all));
  const content = (type: string, schema: TSchema) => ({ [type]: { schema: referring(schema, names) } });
  const paths: Record<string, Record<string, unknown>> = {};
  for (const e of ENDPOINTS) {
    const params = [...e.path.matchAll(/\{(\w+)\}/g)].map((m) => ({
      name: m[1],
      in: 'path',
      required: true,
      schema: { type: 'string' },
    }));
    const answer = answers(e);
    paths[e.path] = {
      ...paths[e.path],
      [e.method]: {
        summary: e.summary,
        ...(params.length ? { parameters: params } : {}),
        ...(e.body ? { requestBody: { required: true, content: content('application/json', e.body) } } : {}),
        responses: {
          [e.status]: {
            description: 'Done',
            ...(answer ? { content: content('application/json', answer) } : {}),
          },
          '4XX': {
            description: 'What is wrong, and where',
            content: content('application/problem+json', ProblemSchema),
          },
        },
      },
    };
  }
  const schemas = Object.fromEntries(Object.entries(all).map(([k, v]) => [k, referring(v, names, true)]));
  return { openapi: '3.1.0', info: { title: 'Mulch', version }, paths, components: { schemas } };
}
