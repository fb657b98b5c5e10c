import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    pool: 'threads',
    maxWorkers: 2,
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
