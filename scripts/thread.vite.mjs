// What is worked out in threads of the server, as one file that a thread can begin with.
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const root = fileURLToPath(new URL('../', import.meta.url));

export default defineConfig({
  root,
  publicDir: false,
  build: {
    ssr: 'src/server/threads/thread.ts',
    outDir: 'dist/thread',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: { output: { entryFileNames: 'thread.mjs' } },
  },
  // What is not plain code stays a package.
  ssr: { noExternal: true, external: ['@libsql/client', 'libsql', 'sharp'] },
});
