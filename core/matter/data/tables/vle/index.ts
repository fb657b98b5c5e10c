import type { VleTable } from './row.ts';
import { acidsAndAmmonia } from './acids-and-ammonia.ts';
import { solvents } from './solvents.ts';

/** Vapour over boiling mixtures at 1013.25 hPa: mole fraction of the first in the liquid, in its vapour, °C. */
export const vle: readonly VleTable[] = [...solvents, ...acidsAndAmmonia];
