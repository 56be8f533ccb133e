/**
 * Changes the code of one folder of the core in many small ways and counts how many of them a test notices:
 * npm run mutate core/torque. Slow, so it is no part of ./check.
 */
import { Stryker } from '@stryker-mutator/core';

const folder = process.argv[2];
if (!folder) {
  console.error('Name a folder under src, such as core/torque.');
  process.exit(2);
}
await new Stryker({
  mutate: [`src/${folder}/**/*.ts`, '!src/**/*.test.ts', '!src/**/*.data.ts', '!src/**/*.rules.ts'],
  mutator: { excludedMutations: ['StringLiteral'] },
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutate.config.ts' },
  reporters: ['clear-text', 'progress'],
  clearTextReporter: { logTests: false, allowColor: false },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  incremental: true,
  incrementalFile: `.scratch/mutate-${folder.replaceAll('/', '-')}.json`,
  tempDirName: '.scratch/mutate',
  timeoutMS: 60_000,
  concurrency: 2,
}).runMutationTest();
