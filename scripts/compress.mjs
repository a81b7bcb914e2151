import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, gzipSync } from 'node:zlib';

const SMALLEST = 1024;

/** Writes .br and .gz beside every text file of the build, so that serving costs no compression. */
export default function compress() {
  return {
    name: 'compress',
    hooks: {
      'astro:build:done': ({ dir }) => {
        const root = fileURLToPath(dir);
        for (const f of readdirSync(root, { recursive: true })) {
          if (!/\.(js|css|svg|json)$/.test(f)) continue;
          const bytes = readFileSync(path.join(root, f));
          if (bytes.length < SMALLEST) continue;
          writeFileSync(path.join(root, `${f}.br`), brotliCompressSync(bytes));
          writeFileSync(path.join(root, `${f}.gz`), gzipSync(bytes, { level: 9 }));
        }
      },
    },
  };
}
