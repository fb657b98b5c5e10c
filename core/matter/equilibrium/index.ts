// Equilibrium: what stands in water as acids, bases and their salts, and the pH at which its charges balance. From it
// follow titration curves, where an indicator ends them, the strength a curve tells, buffers, and how sharply EDTA ends.
// The solver closes in by brackets: it answers, or says that there is no such state; it does not run away.
export { type Buffer, type BufferAsked, bufferOf } from './buffer.ts';
export { type CurvePoint, curveOf, phAt, type Titration, titreAt } from './curve.ts';
export { conditionalLogK, type EdtaMetal, edtaJump, edtaProtonation } from './edta.ts';
export { derivativeEnd, type EndPoint, granEnd, inOrder, type ProbePoint, slopesOf } from './end-points.ts';
export { type Fitted, type Free, fitCurve } from './fit.ts';
export {
  type Indicator,
  type IndicatorError,
  indicatorsFor,
  isRising,
} from './indicators.ts';
export { type PhAnswer, phOf } from './ph.ts';
export { type BufferRecipe, bufferRecipe, type Part } from './recipe.ts';
export { type Constant, type Dissolved, type Family, type Solution, solutionOf } from './solution.ts';
export { type Activity, capacityAt, type Equilibrium, solve } from './solve.ts';
export { type TitrationAnswer, type TitrationAsked, titrate } from './titrate.ts';
