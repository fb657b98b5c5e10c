// Techniques: what the kinds of step do. A technique is a folder: the fields of its op, what it does to the vessels (act), what it
// advises from a view of its step, the figures it gives to sentences, the readings it takes. catalogue.ts has a line for
// each; the Op type, its shape and the checks of routes are derived from it. They lie wholly below plan, sheet and state.

export type { AbsorbAdvice, LyeWindow } from './absorb/index.ts';
export { addUnplanned, type Own } from './add/act.ts';
export type { AddAdvice, Adds } from './add/advice.ts';
export { type Dose, extentOf, extentRoles } from './add/dose.ts';
export { goneIn } from './add/gone-in.ts';
export { massOfReading, weighingSd } from './add/mass.ts';
export { unmet } from './add/unmet.ts';
export { standAsRead } from './at-volume.ts';
export { techniques } from './catalogue.ts';
export type { DissolveAdvice } from './dissolve/advice.ts';
export type { EsterAdvice } from './esterify/index.ts';
export { type EvaporateAnswer, losingWater, losingWaterShape } from './evaporate/losing-water.ts';
export {
  type ActualAddition,
  AS_IT_REALLY_IS,
  type At,
  type Closing,
  controlFigure,
  type Facts,
  FOLLOWS_THE_BENCH,
  type Going,
  type StepEntries,
  settingOf,
  solidMade,
  speciesMade,
  wantedFigure,
} from './facts.ts';
export type { FilterAdvice, Medium } from './filter/advice.ts';
export { riseOf } from './heat.ts';
export { inMoments, liquidMoved, passedOn, solutionMoved, standAsMeasured } from './measured/index.ts';
export {
  type AdviceOf,
  actOf,
  adviceOf,
  coolsTo,
  type Op,
  type OpOf,
  type OwnAdvice,
  opShape,
  referencesOf,
  type TechniqueName,
  takeIn,
  techniqueNames,
} from './op.ts';
export {
  type AdditionLine,
  after,
  type Besides,
  begin,
  type Doing,
  emptyStanding,
  type Heat,
  type NotKnown,
  type Outcome,
  type Progress,
  type Standing,
} from './outcome.ts';
export type { OxidiseAdvice } from './oxidise/index.ts';
export type { Reacts } from './react/advice.ts';
export type { StallAdvice } from './react/stall.ts';
export {
  type Adding,
  addingShape,
  type Control,
  type DoseRule,
  type Makes,
  type Recipe,
  type Role,
  recipeShape,
} from './recipe.ts';
export type { InLayer, SeparateAdvice } from './separate/index.ts';
export type { SublimeAdvice } from './sublime/index.ts';
export type { Followed, References, Technique } from './technique.ts';
export type { StepView, TimedRead } from './view.ts';
export { placeOf } from './where.ts';
