import { acids } from './acids.ts';
import { ammonium } from './ammonium.ts';
import { copper } from './copper.ts';
import { earths } from './earths.ts';
import { gases } from './gases.ts';
import { ironAndOthers } from './iron-and-others.ts';
import { metals } from './metals.ts';
import { organics } from './organics.ts';
import { oxidisers } from './oxidisers.ts';
import { potassium } from './potassium.ts';
import { sodium } from './sodium.ts';
import { zinc } from './zinc.ts';

// Names follow IUPAC practice first; the others are trade, kitchen and old names found on product labels.
export const substances = {
  ...acids,
  ...gases,
  ...metals,
  ...oxidisers,
  ...organics,
  ...copper,
  ...zinc,
  ...ironAndOthers,
  ...earths,
  ...ammonium,
  ...potassium,
  ...sodium,
} as const;

/** Every substance by its id: a slip in one is found when it is compiled. */
export type SubstanceId = keyof typeof substances;
