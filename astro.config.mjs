import { defineConfig } from 'astro/config';
import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';

/** The interface is built as an entry beside the pages, so that both are one program: one store, one queue of writes. */
const door = {
  name: 'door',
  hooks: {
    'astro:build:setup': ({ target, updateConfig }) => {
      if (target === 'server')
        updateConfig({ build: { rollupOptions: { input: ['src/serve/door.ts'] } } });
    },
  },
};

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react(), door],
  devToolbar: { enabled: false },
  // Our own check in middleware is stricter: Astro's lets cross-site JSON through.
  security: { checkOrigin: false },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
    },
  },
  vite: {
    plugins: [tailwindcss()],
    build: {
      rollupOptions: {
        treeshake: {
          // A schema that no page asks for is left out of its scripts, and with it what makes schemas.
          manualPureFunctions: [
            'Type',
            'closed',
            'oneOf',
            'eachOf',
            'Maybe',
            'Text',
            'Mm',
            'ruleTable',
          ],
          // No property here does anything when it is read.
          propertyReadSideEffects: false,
        },
      },
    },
  },
});
