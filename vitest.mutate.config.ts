import { defineConfig } from 'vitest/config';

/** Only the tests of the core: what runs a server would make a mutation run take days. */
export default defineConfig({ test: { include: ['src/core/**/*.test.ts'] } });
