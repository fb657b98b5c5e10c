// Account: what was got of what could be. Yield against the limiting reagent with its uncertainty, and, where it is over 100 %,
// what would explain it, in numbers.

export { literatureYield } from './literature.ts';
export { type CameOf, type Moisture, moistureOf } from './moisture.ts';
export { type RunShows, type ShownValue, shownBy } from './shown.ts';
export { productMass, solutionYield, type YieldAccount, yieldOf } from './yield.ts';
