// Builds when anything that goes into the build is newer than the last one.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../', import.meta.url));
const inputs = [
  'src',
  'public',
  'drizzle',
  'scripts',
  'astro.config.mjs',
  'package-lock.json',
  'tsconfig.json',
];

function* files(at) {
  const full = path.join(root, at);
  if (!existsSync(full)) return;
  if (/\.\w+$/.test(at)) yield at;
  else
    for (const e of readdirSync(full, { withFileTypes: true })) {
      const here = path.join(at, e.name);
      if (e.isDirectory()) yield* files(here);
      else if (!here.startsWith(path.join('src', 'gen'))) yield here;
    }
}

export function ensureBuild() {
  const hash = createHash('sha256');
  for (const f of inputs.flatMap((i) => [...files(i)]).sort())
    hash.update(f).update(readFileSync(path.join(root, f)));
  const now = hash.digest('hex');
  const stamp = path.join(root, 'dist', '.build-hash');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  console.log('Building Mulch.');
  const node = (...args) => {
    const run = spawnSync(process.execPath, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, NODE_ENV: 'production', ASTRO_TELEMETRY_DISABLED: '1' },
    });
    if (run.status !== 0) process.exit(run.status ?? 1);
  };
  node('--import', 'tsx', 'scripts/gen-validators.ts');
  node('node_modules/astro/astro.js', 'build', '--silent');
  node('node_modules/vite/bin/vite.js', 'build', '--config', 'scripts/thread.vite.mjs', '--logLevel', 'warn');
  mkdirSync(path.join(root, 'dist'), { recursive: true });
  writeFileSync(stamp, now);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) ensureBuild();
