// Dry: a solid to constant mass, under its ceiling, by the method that suits it; a liquid over a salt. constantMass() judges
// weighings, dryingMethods() compares air, oven, desiccator and rinse, hydrateBy() says which hydrate a mass stands for.
// Ceilings and humidity points are published; hours are about.
export { boilLimit, type Ceiling, ceilingOf } from './ceiling.ts';
export { type ConstantMass, constantMass, type Weighing } from './constant-mass.ts';
export {
  agentOver,
  type Desiccant,
  type DesiccantDose,
  desiccantDoses,
  type LiquidClass,
  liquidClassOf,
} from './desiccant.ts';
export { type DryAnswer, drying, dryingShape } from './drying.ts';
export { type HydrateFinding, hydrateBy, hydrateByLoss } from './hydrate.ts';
export { type DryingMethod, dryingMethods } from './methods.ts';
