// npm run test:quick: types, lint, and the unit tests that what was changed since the last commit reaches.
import { install } from './lib/install.mjs';
import { run } from './lib/run.mjs';

install();
run('tsc', ['--noEmit']);
run('biome', ['check', '--changed', '--since=HEAD', '--no-errors-on-unmatched', '.']);
run('vitest', ['run', '--changed', '--passWithNoTests', ...process.argv.slice(2)]);
