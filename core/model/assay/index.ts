// Assay: how strong a bottle is, found by measuring. Methods (a folder each) say what is done and read, and reduce readings to a
// strength with its uncertainty and where that comes from. A plan is chosen and designed for a bottle and a tolerance; its entries
// fold into replicates, their mean, and what to do next. Colours of photos are compared under a grey card.

export type { Advice } from './advice.ts';
export { type Applied, appliedOf } from './applied.ts';
export { type Asked, type Choice, methodsFor } from './design/choose.ts';
export type { Design } from './design/design.ts';
export { type Foretold, foretoldCurve } from './foretold.ts';
export { colourDifference, hexOf, labOf, type Rgb, rgbOf, underGreyCard } from './grey-card.ts';
export type { ProbeState } from './probe.ts';
export { entryCheck } from './record/check.ts';
export { type AssayBody, type AssayEntry, newAssayEntryShape } from './record/entries.ts';
export { ASSAY_VERSION, type AssayPlan, assayPlanShape } from './record/plan.ts';
export { type Statistics, statisticsOf } from './reduce/statistics.ts';
export { type SimulatedReading, simulatedPh } from './simulate.ts';
export type { AssayResult, ReplicateState } from './standing.ts';
export { type AssayState, assayState, type Link } from './state.ts';
export { type TestsFor, testsFor } from './tests-for.ts';
export {
  type Portion,
  portionShape,
  strengthFromTitres,
  strengthOfPortion,
  type TitreAnswer,
  type TitreSum,
  titreSumShape,
} from './titre-sum.ts';
