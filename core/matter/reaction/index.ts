// Reactions: true equations between substances, with whole coefficients, checked for atoms and charge.
// From one follow the heat per extent (Hess, from formation enthalpies) and the litres of gas at the bench's temperature and pressure.
export { type Balanced, balance, balancedText } from './balance.ts';
export { complete } from './complete.ts';
export type { Equation, Species } from './equation.ts';
export { gasVolume, molarVolume } from './gas.ts';
export { reactionHeat, solutionHeat } from './heat.ts';
export { imbalance, type Reaction, type ReactionTerm, reactionText } from './reaction.ts';
export { sideReactions } from './side.ts';
