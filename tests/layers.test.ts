import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

/** Holds one made-up file against the rooms, in a folder of its own below this one. */
function refusals(file: string, code: string): string[] {
  mkdirSync('test-results', { recursive: true });
  const root = mkdtempSync(path.join('test-results', 'layers-'));
  try {
    for (const there of [
      'src/server/log.ts',
      'src/data/jobs.ts',
      'src/core/job/index.ts',
      'src/demo/jobs.ts',
    ])
      put(root, there, 'export const there = 1;');
    put(root, 'src/features/job/store.ts', 'export const there = 1;');
    put(root, file, code);
    put(
      root,
      'tsconfig.json',
      '{ "compilerOptions": { "module": "esnext", "moduleResolution": "bundler" } }',
    );
    const { stdout } = spawnSync(
      process.execPath,
      [
        path.resolve('node_modules/dependency-cruiser/bin/dependency-cruise.mjs'),
        'src',
        '--config',
        path.resolve('.dependency-cruiser.mjs'),
        '--output-type',
        'json',
      ],
      { cwd: root, encoding: 'utf8' },
    );
    const { summary } = JSON.parse(stdout) as { summary: { violations: { rule: { name: string } }[] } };
    return summary.violations.map((v) => v.rule.name);
  } finally {
    rmSync(root, { recursive: true, force: true });
  }
}

function put(root: string, file: string, code: string) {
  mkdirSync(path.join(root, path.dirname(file)), { recursive: true });
  writeFileSync(path.join(root, file), code);
}

describe('imports run downward only, and only to what a room may know', () => {
  it.each<[string, string, string[]]>([
    ['src/core/trace/x.ts', "import '../../server/log';", ['core']],
    ['src/core/job/x.ts', "import { ulid } from 'ulid';\nexport const y = ulid;", ['core']],
    ['src/core/job/x.ts', "import { useState } from 'react';\nexport const y = useState;", ['core']],
    ['src/core/schema/x.ts', "import { Type } from '@sinclair/typebox';\nexport const y = Type;", []],
    ['src/core/job/x.ts', "import { Type } from '@sinclair/typebox';\nexport const y = Type;", ['core']],
    ['src/schemas/x.ts', "import '../data/jobs';", ['schemas']],
    ['src/data/x.ts', "import '../server/log';", ['data']],
    ['src/ui/x.ts', "import { there } from '../core/job';\nexport const y = there;", ['ui-knows-no-jobs']],
    [
      'src/features/trace/x.ts',
      "import { readFileSync } from 'node:fs';\nexport const y = readFileSync;",
      ['features'],
    ],
    ['src/features/trace/x.ts', "import '../../data/jobs';", ['features']],
    ['src/workers/x.ts', "import '../features/job/store';", ['workers']],
    ['src/server/x.ts', "import '../features/job/store';", ['server']],
    ['src/server/x.ts', "import '../demo/jobs';", ['server']],
    ['src/server/x.ts', "import '../data/jobs';", []],
    ['src/features/trace/x.ts', "import '../../core/job';", []],
  ])('%s: %s', (file, code, refused) => {
    expect(refusals(file, code)).toEqual(refused);
  });
  it('runs in no circle', () => {
    put('test-results', 'keep', '');
    expect(refusals('src/core/trace/x.ts', "import './x';\nexport const y = 1;")).toEqual(['no-circle']);
  });
});
