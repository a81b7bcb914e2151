import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';
import sharp from 'sharp';

const ICONS = [192, 512];

/** Writes the worker that keeps Mulch without a network, with the list of what the build consists of, and the icons. */
export default function offline() {
  return {
    name: 'offline',
    hooks: {
      'astro:build:done': async ({ dir }) => {
        const root = fileURLToPath(dir);
        const here = fileURLToPath(new URL('../', import.meta.url));
        for (const size of ICONS)
          await sharp(path.join(root, 'favicon.svg'), { density: 72 * (size / 32) })
            .resize(size, size, { fit: 'contain', background: '#f9f4e9' })
            .flatten({ background: '#f9f4e9' })
            .png()
            .toFile(path.join(root, `icon-${size}.png`));
        // What has a sum in its name never changes; all else goes by its contents.
        const hashed = readdirSync(path.join(root, '_astro'))
          .filter((f) => /\.(js|css|woff2)$/.test(f))
          .sort()
          .map((f) => ({ url: `/_astro/${f}`, revision: null }));
        const plain = ['not-kept.html', 'not-kept.css', 'favicon.svg', 'manifest.webmanifest'].map((f) => ({
          url: `/${f}`,
          revision: createHash('sha256')
            .update(readFileSync(path.join(root, f)))
            .digest('hex')
            .slice(0, 16),
        }));
        await build({
          entryPoints: [path.join(here, 'src/offline/sw.ts')],
          outfile: path.join(root, 'sw.js'),
          bundle: true,
          minify: true,
          format: 'iife',
          target: 'es2022',
          define: {
            'self.__ASSETS': JSON.stringify([...plain, ...hashed]),
            'process.env.NODE_ENV': '"production"',
          },
          logLevel: 'warning',
        });
      },
    },
  };
}
