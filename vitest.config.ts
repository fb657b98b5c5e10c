import { defineConfig } from 'vitest/config';

/** What a test elsewhere teaches the core (a name of one's own) must not reach these. */
const ALONE = ['core/matter/label/products.test.ts'];

/** These take the page's modules apart and put them together again. */
const WORKER_ITSELF = ['web/worker/*.test.tsx', 'web/api/*.test.tsx'];

/** The seed of every property: the same each day, or with PROPERTY=long another one. */
const FIXED_SEED = 20_260_314;
const long = process.env.PROPERTY === 'long';
const seed = Number(process.env.PROPERTY_SEED ?? (long ? Math.trunc(Math.random() * 2 ** 31) : FIXED_SEED));
// This file is read once for each project: they share the first one's seed, and it is said once.
if (process.env.PROPERTY_SAID === undefined)
  console.log(`Properties: seed ${seed}, ${long ? 'every run' : 'few runs each (PROPERTY=long for all of them)'}`);
process.env.PROPERTY_SAID = 'yes';
process.env.PROPERTY_SEED = String(seed);

export default defineConfig({
  test: {
    pool: 'threads',
    maxWorkers: 2,
    // Nothing is tested by its time; this only ends what hangs.
    testTimeout: 600_000,
    hookTimeout: 600_000,
    setupFiles: ['core/testing/setup.ts'],
    env: { PROPERTY_SEED: String(seed) },
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
      {
        extends: true,
        test: {
          name: 'dom',
          environment: 'happy-dom',
          include: ['web/**/*.test.tsx'],
          exclude: WORKER_ITSELF,
          isolate: false,
          setupFiles: ['core/testing/setup.ts', 'web/testing/setup.ts'],
        },
      },
      { extends: true, test: { name: 'worker and outbox', environment: 'happy-dom', include: WORKER_ITSELF } },
    ],
  },
});
