// Dry: weighings until the mass stays. constantMass() judges repeated weighings of one product against the balance and the
// half-percent rule of the routes; hydrateBy() says which hydrate a mass stands for; desiccantDoses() dries liquids.
export { type ConstantMass, constantMass, type Weighing } from './constant-mass.ts';
export { type Desiccant, type DesiccantDose, desiccantDoses, type LiquidKind } from './desiccant.ts';
export { type HydrateFinding, hydrateBy } from './hydrate.ts';
