// Esters: how far an acid and an alcohol come, how long it takes and what it costs. ester() answers for weighed amounts;
// formedAtEnd() and courseOf() are the equilibrium and the rate law beneath it. K good to a tenth, hours to a factor of two.
export { type Charge, formedAtEnd } from './equilibrium.ts';
export { type EsterAnswer, type EsterInput, type ExcessChoice, ester, esterShape } from './ester.ts';
export { litresOf } from './litres.ts';
export { asPair, constantAt, type EsterPair, esterById, esterOf, halfInWashH } from './pairs.ts';
export {
  type CoursePoint,
  courseOf,
  formedAfter,
  HOURS_FACTOR,
  hoursTo,
  type Mixture,
  strongOf,
  usualCatalyst,
} from './rate.ts';
export { beginReflux, letReflux, type RefluxSetup, type RefluxState, refluxEnd } from './reflux.ts';
