// Electrolysis: a cell as it is asked about and watched. What a run would make, warm and wear; and from readings: the charge that
// has passed, how far it is by that and by what is seen, how efficient, why its current changed, what to top up and when.

export type { Future, TopUp } from './ahead.ts';
export type { CellAnswer, CellChange, CellGas } from './answer.ts';
export {
  type CellAsked,
  cell,
  cellShape,
} from './asked.ts';
export type { AtCurrent } from './at-currents.ts';
export { MOST_V } from './at-currents.ts';
export { bookEfficiency } from './book.ts';
export { type CurrentRead, chargeFrom, type Passed } from './charge.ts';
export type { Cause, CauseId, FallAsked } from './falling.ts';
export type { CellInstant } from './instant.ts';
export { type AnodeSaid, anodeSaid } from './materials.ts';
export { type CellWarning, endSignFor } from './outlook.ts';
export type {
  Efficiency,
  Known,
  Progress,
  Seen,
} from './progress.ts';
export type { CellAddition, CellReading } from './replay.ts';
export { type SupplyJudged, suppliesFor } from './supplies.ts';
export {
  BY_EYE,
  efficiencyShown,
  type SideSeen,
  sidesOf,
  type Watch,
  type WatchAsked,
  watchCell,
} from './watch.ts';
