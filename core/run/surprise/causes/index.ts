import type { Cause } from '../cause.ts';
import { foamAndHeat } from './foam-and-heat.ts';
import { gasAndFume } from './gas-and-fume.ts';
import { odds } from './odds.ts';
import { smells } from './smells.ts';
import { solids } from './solids.ts';
import { stalls } from './stalls.ts';
import { tints } from './tints.ts';

// Pairs of observation and cause. Reactions: Vogel, Qualitative Inorganic Analysis, 5th ed.; hazards: Bretherick’s Handbook, 7th
// ed., and NIOSH Pocket Guide; practice of filtering and crystallising: Vogel, Practical Organic Chemistry, ch. 2.
export const causes: readonly Cause[] = [
  ...gasAndFume,
  ...foamAndHeat,
  ...tints,
  ...solids,
  ...stalls,
  ...smells,
  ...odds,
];
