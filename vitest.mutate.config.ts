import { configDefaults, defineConfig } from 'vitest/config';

/** Only the tests of the core, without the slowest laws: what runs a server, or for seconds, would make a run take days. */
export default defineConfig({
  test: {
    // Each test runs slower with the changes laid into the code.
    testTimeout: 60_000,
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
