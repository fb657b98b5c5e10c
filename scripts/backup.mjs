// npm run backup: the person's own notebook, or the one that EARNEST_HOME names.
import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { run } from './lib/run.mjs';

install();
build();
run(process.execPath, ['dist/server/backup.js', ...process.argv.slice(2)]);
