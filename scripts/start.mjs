// npm start: the person's own notebook, at first empty. -- --share opens it to the home network.
import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { stay } from './lib/run.mjs';

install();
build();
stay(process.execPath, ['dist/server/main.js', ...process.argv.slice(2)]);
