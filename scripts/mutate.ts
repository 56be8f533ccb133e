/**
 * Changes the code of one folder of the core in many small ways and counts how many of them a test notices:
 * npm run mutate core/torque, or files of it: npm run mutate 'core/press/*.ts'. Slow, so it is no part of ./check.
 */
import { Stryker } from '@stryker-mutator/core';

const asked = process.argv[2];
if (!asked) {
  console.error('Name a folder under src, such as core/torque.');
  process.exit(2);
}
await new Stryker({
  mutate: [
    asked.endsWith('.ts') ? `src/${asked}` : `src/${asked}/**/*.ts`,
    '!src/**/*.test.ts',
    '!src/**/*.data.ts',
    '!src/**/*.rules.ts',
  ],
  mutator: { excludedMutations: ['StringLiteral'] },
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutate.config.ts' },
  reporters: ['clear-text', 'progress'],
  clearTextReporter: { logTests: false, allowColor: false },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  incremental: true,
  incrementalFile: `.scratch/mutate-${asked.replaceAll(/[^a-z]+/gu, '-')}.json`,
  tempDirName: '.scratch/mutate',
  timeoutMS: 60_000,
  concurrency: 2,
}).runMutationTest();
