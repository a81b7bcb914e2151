/** Compiles every checked schema to a standalone validator, so that no code is built at run time. */
import { mkdirSync, writeFileSync } from 'node:fs';
import Ajv from 'ajv';
import standaloneCode from 'ajv/dist/standalone/index.js';
import addFormats from 'ajv-formats';
import { build } from 'esbuild';

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

const FILE = 'src/gen/validators.js';
mkdirSync('src/gen', { recursive: true });
// The documents are read off the endpoints, and those look for the validators: an empty list will do here.
writeFileSync(FILE, 'export const guards = {};\n');
const { checkedDocuments } = await import('../src/server/documents');
const documents = checkedDocuments();
const names = Object.keys(documents);
// A part that is itself a checked document is referred to, so that it is compiled once.
const parts = (schema: unknown, top: boolean): unknown => {
  if (Array.isArray(schema)) return schema.map((s) => parts(s, false));
  if (!schema || typeof schema !== 'object') return schema;
  const id = (schema as { $id?: string }).$id;
  if (!top && id && id in documents) return { $ref: id };
  return Object.fromEntries(Object.entries(schema).map(([k, v]) => [k, parts(v, false)]));
};
for (const name of names) ajv.addSchema(parts(JSON.parse(JSON.stringify(documents[name])), true) as object);
const code = `${standaloneCode(ajv, Object.fromEntries(names.map((n) => [`is${n}`, n])))}
export const guards = {${names.map((n) => `${JSON.stringify(n)}: is${n}`).join(',')}};`;
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
writeFileSync(FILE, js);
writeFileSync(
  'src/gen/validators.d.ts',
  `import type { ErrorObject } from 'ajv';
interface Validator { (data: unknown): data is unknown; errors?: ErrorObject[] | null }
/** Guards of every checked document, by its name. */
export declare const guards: Record<string, Validator>;
`,
);
console.log(`validators: ${names.length}, ${Math.round(js.length / 1024)} kB`);
