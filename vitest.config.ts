import { defineConfig } from 'vitest/config';

/** What a test elsewhere teaches the core (a name of one's own) must not reach these. */
const ALONE = ['core/matter/label/products.test.ts'];

export default defineConfig({
  test: {
    pool: 'threads',
    maxWorkers: 2,
    // Property tests take seconds on a busy machine; nothing is tested by its time.
    testTimeout: 60_000,
    projects: [
      {
        extends: true,
        test: {
          name: 'node',
          environment: 'node',
          include: ['{core,contract,server,demo,scripts}/**/*.test.ts', 'web/**/*.test.ts'],
          exclude: ALONE,
          // The core with its tables is read once a thread, not once a file: that halves the time of it all.
          isolate: false,
        },
      },
      { extends: true, test: { name: 'alone', environment: 'node', include: ALONE } },
      { extends: true, test: { name: 'dom', environment: 'happy-dom', include: ['web/**/*.test.tsx'] } },
    ],
  },
});
