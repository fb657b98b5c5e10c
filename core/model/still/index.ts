// Still: binary mixtures at the boil and the batch still they run in. mixtureOf() gives boiling point and vapour at a pressure,
// distil() a run from the first drop to dry, planCut() when to switch, fitStill() what the readings say of the charge, letRun() a
// still worked by hand. Tables are published; a solute’s and an ideal mixture’s part is rough, heat losses are estimates.
export { condenserW, waterOutC } from './apparatus.ts';
export {
  type BoilAnswer,
  boil,
  boilShape,
  type FitAnswer,
  fit,
  fitShape,
  fitting,
  pointsOf,
  type StillAnswer,
  type StillAsked,
  type StillPoint,
  setupFor,
  still,
  stillShape,
} from './asked.ts';
export { type Azeotrope, azeotropeOf } from './azeotrope.ts';
export { type Charge, chargeMl, chargeOf } from './charge.ts';
export { type Cut, type CutPlan, planCut, type Wanted } from './cuts.ts';
export { firstDrop, readingsFrom } from './feed.ts';
export { type Estimate, fitStill, mlAfter, mlOfGrams, type StillFit, type StillReading } from './fit.ts';
export { caughtBy, deviates, type Instant, type Live, letRun, setUp, shown, switchReceiver } from './live.ts';
export {
  distillable,
  type Mixture,
  massPct,
  mixtureById,
  mixtureIds,
  mixtureOf,
  moleFraction,
  SEA_LEVEL_HPA,
  withWater,
} from './mixture.ts';
export {
  type Between,
  between,
  type Charged,
  chargedOf,
  mlAtGrams,
  mlAtMinutes,
  type Outlook,
  outlook,
  pointAt,
} from './outlook.ts';
export { topOf } from './plates.ts';
export { positionBy } from './position.ts';
export { admitCharge } from './refused.ts';
export { type Review, reviewOf } from './review.ts';
export { atMl, type Caught, caughtBetween, distil, mlAt, type Run, type Until } from './run.ts';
export { type Scaled, scaledTo } from './scale.ts';
export { NOTHING_STAYS, type Staying } from './solutes.ts';
export { stayingOf } from './staying.ts';
export { holdsCold, type Setup } from './still.ts';
export type { Warning } from './warnings.ts';
