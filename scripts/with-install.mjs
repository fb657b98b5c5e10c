// Runs a tool of node_modules after making sure that it is there: node scripts/with-install.mjs TOOL ARGS…
import { install } from './lib/install.mjs';
import { run } from './lib/run.mjs';

install();
const [tool, ...args] = process.argv.slice(2);
run(tool, args);
