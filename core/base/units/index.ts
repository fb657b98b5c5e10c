// Units: numbers as people type them, the units they carry, and the uncertainty that goes with them.
// Inside, everything is g, mL, mol and °C (K inside thermodynamics); conversion happens here, at the edge.
// A Measured is a value with its dependence on named independent sources of uncertainty, so correlated uncertainty combine rightly.
export { COVERAGE, formatFigure, formatNumber, formatPlain, roundToUncertainty, shortest } from './format.ts';
export { listed } from './listed.ts';
export {
  add,
  budget,
  combine,
  exact,
  type Measured,
  type Share,
  standardUncertainty,
  type Uncertainty,
  uncertain,
} from './measured.ts';
export { parseNumber } from './number.ts';
export { parseQuantity, type Quantity } from './quantity.ts';
export { type Dimension, findUnit, type Unit } from './unit.ts';
