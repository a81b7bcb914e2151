// Node built-ins only: this runs before anything is installed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const root = new URL('../', import.meta.url);
const stamp = new URL('node_modules/.lock-hash', root);
const hash = createHash('sha256')
  .update(readFileSync(new URL('package-lock.json', root)))
  .digest('hex');
// The stamp is written last, so a half-finished install is done again.
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== hash) {
  console.log('Installing what is missing (npm ci). This takes a minute or two.');
  const npm = process.env.npm_execpath;
  const args = ['ci', '--include=dev', '--no-audit', '--no-fund'];
  const run = npm
    ? spawnSync(process.execPath, [npm, ...args], { stdio: 'inherit', cwd: root })
    : spawnSync('npm', args, { stdio: 'inherit', cwd: root, shell: process.platform === 'win32' });
  if (run.status !== 0) process.exit(run.status ?? 1);
  writeFileSync(stamp, hash);
}
