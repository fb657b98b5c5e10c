// Hazard: what the statements of each substance mean at its strength: on a label, at a step, and in the air above it. What nothing
// is held of is said to be not known, never to be harmless.

export { type Met, type MetGas, metIn } from './met.ts';
export { acidOf, baseOf } from './protons.ts';
export {
  isClassified,
  type LabelElements,
  labelElements,
  type Mixed,
  statementsAt,
} from './statements.ts';
export { type Handled, hazardCautionsAt, rowsFor, saidBy } from './step-cautions.ts';
export { gramsLost, type OpenSurface, vapourFrom, vapourPa } from './vapour.ts';
