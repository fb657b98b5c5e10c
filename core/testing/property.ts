import fc from 'fast-check';

// One place for the seed and the number of runs of every property. In everyday use the seed is fixed and the runs are few, so
// that what is red comes again; with PROPERTY=long the seed is new and every property runs as often as it is written.
// The configuration of the test runner prints the seed; PROPERTY_SEED=n repeats a run that was red.

const long = process.env.PROPERTY === 'long';
/** The few runs of everyday use: this share of them, and never fewer than so many. */
const SHARE = 1 / 8;
const FEWEST = 5;

/** How often a property is tried: so often with PROPERTY=long, an eighth as often else. */
export const times = (runs: number): number =>
  long ? runs : Math.max(Math.min(runs, FEWEST), Math.ceil(runs * SHARE));

/** What is not said at a property itself; read before the tests of each file. */
export function settleProperties(): void {
  const seed = Number(process.env.PROPERTY_SEED);
  if (!Number.isInteger(seed)) throw new Error('PROPERTY_SEED is not set: vitest.config.ts gives it to every test');
  fc.configureGlobal({ seed, numRuns: times(100) });
}
