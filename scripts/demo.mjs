// npm run demo: everything a fresh clone needs, then the demo notebook in a home of its own.
import { join } from 'node:path';
import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { root, run, stay } from './lib/run.mjs';

install();
build();
const home = process.env.EARNEST_HOME ?? join(root, '.earnest', 'demo');
run(process.execPath, ['dist/server/seed.js'], { EARNEST_HOME: home });
stay(process.execPath, ['dist/server/main.js'], { EARNEST_HOME: home });
