import { defineConfig } from 'vitest/config';

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
        },
      },
      { extends: true, test: { name: 'dom', environment: 'happy-dom', include: ['web/**/*.test.tsx'] } },
    ],
  },
});
