import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

/** Lints one made-up file under the project's rules, in a folder of its own. */
function lint(file: string, code: string): string {
  const root = mkdtempSync(path.join(tmpdir(), 'mulch-layers-'));
  try {
    cpSync('biome.json', path.join(root, 'biome.json'));
    mkdirSync(path.join(root, path.dirname(file)), { recursive: true });
    writeFileSync(path.join(root, file), code);
    const { stdout, stderr } = spawnSync(path.resolve('node_modules/.bin/biome'), ['lint', file], {
      cwd: root,
      encoding: 'utf8',
    });
    return stdout + stderr;
  } finally {
    rmSync(root, { recursive: true, force: true });
  }
}

describe('imports run downward only', () => {
  it.each([
    ['src/core/trace/x.ts', "import '../../server/log';", true],
    ['src/core/job/x.ts', "import { useState } from 'react';\nexport const y = useState;", true],
    ['src/schemas/x.ts', "import '../data/jobs';", true],
    ['src/data/x.ts', "import '../server/problem';", true],
    ['src/ui/x.ts', "import { fold } from '../core/job';\nexport const y = fold;", true],
    ['src/features/trace/x.ts', "import '../../data/jobs';", true],
    ['src/server/x.ts', "import '../features/job/store';", true],
    ['src/server/x.ts', "import '../data/jobs';", false],
    ['src/features/trace/x.ts', "import '../../core/job';", false],
  ])('%s: %s', (file, code, refused) => {
    expect(/noRestrictedImports/.test(lint(file, code))).toBe(refused);
  });
});
