// Dish: what crystallises. Solubility by stable solid phase and temperature from tables, the path of a dish through hot,
// evaporated and cold with the water its hydrates take along, and the methods of crystallising side by side.
// Reciprocal salt pairs and evaporation are rough, and say so.
export { solubilityInEthanol } from './antisolvent.ts';
export { type CrystalStep, coldFigure, crystallise, solubilityFigure } from './crystallise.ts';
export { dissolveMinutes } from './dissolve.ts';
export {
  boilHours,
  dishCm2For,
  dishEvaporation,
  dishHours,
  type OpenDish,
  openDishHours,
  vapourPressure,
} from './evaporate.ts';
export { type Method, methods, type Pass, recrystallisations } from './methods.ts';
export { type DishPath, type DishStage, type DishState, dishAt, dishPath, leastWater } from './path.ts';
export { saltInAcidAt } from './salt-in-acid.ts';
export { type SaltDown, type SaltPair, saltsDown } from './salt-pair.ts';
export { type SaltOutAnswer, saltedOut, saltedOutShape } from './salted-out.ts';
export { type DrivesOut, type SaltedOut, saltBeside, saltOut } from './salting-out.ts';
export { NEWEST_TABLES, SOLUBILITY_SD, type SolubilityAnswer, solubilityOf, solubilityRange } from './solubility.ts';
export { dryShare } from './solute.ts';
export { type DishAnswer, type DishInput, dishShape, wholeDish } from './whole-dish.ts';
