/** Compiles every checked schema to a standalone validator, so that no code is built at run time. */
import { mkdirSync, writeFileSync } from 'node:fs';
import Ajv from 'ajv';
import standaloneCode from 'ajv/dist/standalone/index.js';
import addFormats from 'ajv-formats';
import { build } from 'esbuild';
import { CHECKED } from '../src/schemas/registry';
import { SUM_REQUESTS } from '../src/schemas/sums';

const ajv = new Ajv({
  allErrors: false,
  strict: true,
  strictTypes: false,
  strictRequired: false,
  discriminator: true,
  inlineRefs: false,
  code: { source: true, esm: true },
});
addFormats(ajv);
const names = Object.keys(CHECKED) as (keyof typeof CHECKED)[];
// A part that is itself a checked document is referred to, so that it is compiled once.
const parts = (schema: unknown, top: boolean): unknown => {
  if (Array.isArray(schema)) return schema.map((s) => parts(s, false));
  if (!schema || typeof schema !== 'object') return schema;
  const id = (schema as { $id?: string }).$id;
  if (!top && id && id in CHECKED) return { $ref: id };
  return Object.fromEntries(Object.entries(schema).map(([k, v]) => [k, parts(v, false)]));
};
for (const name of names) ajv.addSchema(parts(JSON.parse(JSON.stringify(CHECKED[name])), true) as object);
const sums = Object.entries(SUM_REQUESTS).map(([name, schema]) => ({
  name,
  id: schema.$id as string,
  schema,
}));
for (const { id, schema } of sums) ajv.addSchema(JSON.parse(JSON.stringify(schema)) as object, id);
const code = `${standaloneCode(
  ajv,
  Object.fromEntries([...names, ...sums.map((s) => s.id)].map((n) => [`is${n}`, n])),
)}
export const sumGuards = {${sums.map((s) => `${JSON.stringify(s.name)}: is${s.id}`).join(',')}};`;
const out = await build({
  stdin: { contents: code, resolveDir: process.cwd(), loader: 'js' },
  bundle: true,
  format: 'esm',
  platform: 'neutral',
  mainFields: ['module', 'main'],
  write: false,
  minify: true,
  target: 'es2022',
});
const js = out.outputFiles[0]?.text ?? '';
if (/\bnew Function\b|\beval\(/.test(js)) throw new Error('a validator would build code at run time');
mkdirSync('src/gen', { recursive: true });
writeFileSync('src/gen/validators.js', js);
writeFileSync(
  'src/gen/validators.d.ts',
  `import type { ErrorObject } from 'ajv';
import type { Static } from '@sinclair/typebox';
import type { CHECKED } from '../schemas/registry';
import type { Value } from '../core/sums';
interface Validator<T> { (data: unknown): data is T; errors?: ErrorObject[] | null }
${names.map((n) => `export declare const is${n}: Validator<Static<(typeof CHECKED)['${n}']>>;`).join('\n')}
/** Guards of the bench sums, by name. */
export declare const sumGuards: Record<string, Validator<Record<string, Value>>>;
`,
);
console.log(`validators: ${names.length}, ${Math.round(js.length / 1024)} kB`);
