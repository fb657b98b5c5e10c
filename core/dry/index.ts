// Dry: weighings until the mass stays. constantMass() judges repeated weighings of one product against the balance and the
// half-percent rule of the routes.
export { type ConstantMass, constantMass, type Weighing } from './constant-mass.ts';
