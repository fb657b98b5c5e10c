// npm run bench: speeds as ratios and medians of one run on this machine.
import { build } from './lib/build.mjs';
import { chromium } from './lib/chromium.mjs';
import { install } from './lib/install.mjs';
import { run } from './lib/run.mjs';

install();
chromium();
build();
for (const name of ['sheet', 'living', 'dish', 'solutions', 'label', 'assay', 'still', 'append', 'first-load'])
  run('tsx', [`bench/${name}.ts`]);
