// npm run bench: speeds as ratios and medians of one run on this machine.
import { build } from './lib/build.mjs';
import { chromium } from './lib/chromium.mjs';
import { install } from './lib/install.mjs';
import { run } from './lib/run.mjs';

install();
chromium();
build();
const [asked, ...rest] = process.argv.slice(2);
if (asked === 'size') run('tsx', ['bench/size.ts', ...rest]);
else
  for (const name of [
    'sheet',
    'living',
    'dish',
    'solutions',
    'label',
    'assay',
    'still',
    'cell',
    'care',
    'append',
    'week',
    'first-load',
  ])
    run('tsx', [`bench/${name}.ts`]);
