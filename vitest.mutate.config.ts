import { configDefaults, defineConfig } from 'vitest/config';

/** Only the tests of the core, without the slowest laws: what runs a server, or for seconds, would make a run take days. */
export default defineConfig({
  test: {
    include: ['src/core/**/*.test.ts'],
    exclude: [
      ...configDefaults.exclude,
      '**/brute-force.test.ts',
      '**/order.test.ts',
      '**/open.test.ts',
      '**/figures.test.ts',
      '**/practice.test.ts',
    ],
  },
});
