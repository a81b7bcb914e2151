import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';
import chunks from './scripts/chunks.mjs';
import compress from './scripts/compress.mjs';
import offline from './scripts/offline.mjs';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  integrations: [react(), offline(), compress()],
  devToolbar: { enabled: false },
  build: { inlineStylesheets: 'never' },
  // The middleware checks the origin of every write, JSON included.
  // It also keeps to the names this Mulch is known by; an address is what was asked for.
  security: { checkOrigin: false, allowedDomains: [{ hostname: '**' }] },
  vite: {
    plugins: [tailwindcss(), chunks()],
    build: { assetsInlineLimit: 0 },
    worker: { format: 'es' },
  },
  experimental: {
    csp: {
      algorithm: 'SHA-256',
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self' blob:",
        "manifest-src 'self'",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
      scriptDirective: { resources: ["'self'"] },
    },
  },
});
