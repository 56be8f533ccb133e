import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // One worker fewer than processors is one worker on a small machine.
    maxWorkers: '100%',
    projects: [
      {
        test: {
          name: 'unit',
          // A thread for heavy work takes its time to start where every processor is busy.
          testTimeout: 20_000,
          globalSetup: ['tests/built-worker.ts', 'tests/rules-provoked.ts'],
          setupFiles: ['tests/note-rules.ts'],
          include: ['src/**/*.test.ts', 'tests/server/**/*.test.ts'],
        },
      },
      {
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          globalSetup: ['tests/browser/server.ts'],
          testTimeout: 180_000,
          hookTimeout: 60_000,
          // Each has a shop of its own: see tests/browser/server.ts.
          maxWorkers: 2,
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
