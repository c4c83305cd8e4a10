import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';
import { build } from 'vite';

const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) };

/** Builds a file of its own beside the application. */
const buildApart = (options) =>
  build({ configFile: false, publicDir: false, logLevel: 'warn', resolve: { alias }, ...options });

/** What the server's threads run, as one file of its own beside the build. */
const judgingWorker = {
  name: 'judging-worker',
  hooks: {
    'astro:build:done': () =>
      buildApart({
        ssr: { noExternal: true },
        build: {
          ssr: 'src/server/judging/worker.ts',
          outDir: 'dist/worker',
          rollupOptions: { output: { entryFileNames: 'judging.mjs' } },
        },
      }),
  },
};

/** The service worker, as one file beside the pages. */
const serviceWorker = {
  name: 'service-worker',
  hooks: {
    'astro:build:done': () =>
      buildApart({
        define: { 'process.env.NODE_ENV': '"production"' },
        build: {
          outDir: 'dist/client',
          emptyOutDir: false,
          lib: { entry: 'src/service-worker/worker.ts', formats: ['iife'], name: 'prompterWorker' },
          rollupOptions: { output: { entryFileNames: 'prompter-worker.js' } },
        },
      }),
  },
};

/** Files of the build never change: each is packed once, here, and not for everybody who asks. */
const packed = {
  name: 'packed',
  hooks: {
    'astro:build:done': ({ dir }) => {
      const folder = fileURLToPath(new URL('_astro', dir));
      for (const name of readdirSync(folder)) {
        if (!/\.(js|css|svg|json|wasm)$/.test(name)) continue;
        writeFileSync(join(folder, `${name}.gz`), gzipSync(readFileSync(join(folder, name)), { level: 9 }));
      }
    },
  },
};

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react(), judgingWorker, serviceWorker, packed],
  devToolbar: { enabled: false },
  security: { allowedDomains: [{ hostname: 'localhost' }, { hostname: '127.0.0.1' }] },
  // Scripts and styles by hash; everything else from here only. API answers get a stricter policy in server.mjs.
  experimental: {
    csp: {
      directives: [
        "default-src 'none'",
        "connect-src 'self'",
        "img-src 'self' data:",
        "font-src 'self'",
        "media-src 'self' blob:",
        "worker-src 'self'",
        "frame-src 'self'",
        "form-action 'self'",
        "base-uri 'none'",
        "frame-ancestors 'none'",
      ],
    },
  },
  vite: {
    plugins: [tailwindcss()],
    resolve: { alias },
    worker: { format: 'es' },
    build: {
      assetsInlineLimit: 0,
      // Small parts travel together: each file is a way to the server and back.
      rollupOptions: {
        output: {
          experimentalMinChunkSize: 4_000,
        },
        // A module of the core does nothing by being there: a page pays for what it asks of a concept, not for all of it.
        treeshake: { moduleSideEffects: (id) => !id.includes('/src/core/') },
      },
    },
  },
});
