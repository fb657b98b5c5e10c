// Rates: what time does to a bottle. ageingOf() gives its strength from the day it was bought or assayed on, with a band
// that widens, and the day by which it wants a new assay. Published kinetics where there are some, estimates where not.

export { type Course, type Finish, finishOf, type TimedReading } from './finish.ts';
export {
  HALIDE_FACTOR,
  type HalideAnswer,
  type HalideInput,
  type HalidePoint,
  halideCourse,
  halideShape,
} from './halide.ts';
export { type MetalAnswer, type MetalInput, metalInAcid, metalShape } from './metal.ts';
