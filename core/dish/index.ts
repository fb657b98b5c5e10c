// Dish: what crystallises. Solubility by stable solid phase and temperature from tables, and the crystals a solution
// gives on cooling, with the water a hydrate takes along.
export { type CrystalStep, coldFigure, crystallise } from './crystallise.ts';
export { type SolubilityAnswer, solubilityOf, solubilityRange } from './solubility.ts';
