// State: everything that is true of a run now, folded from its plan and its entries; what to do next at a step; what is due;
// attempts side by side. What the bench does in one go (redissolve, use further, take a stall as an assay) are functions here
// that give the entries, posted once.
export { type Advice, advise } from './advise.ts';
export { amountProblem } from './amount-problem.ts';
export { type Drawn, type OnBoard, onBoard } from './board.ts';
export { type CellQuestion, type CellRun, type CellShown, cellEfficiency, cellOf } from './cell-of.ts';
export { checkEntry } from './check-entry.ts';
export { type AboutToAdd, clashOnAdding } from './clash-on-adding.ts';
export { type ClockItem, clockOf } from './clock.ts';
export { type Attempt, type CompareRow, compareRuns } from './compare.ts';
export { farOff } from './far-off.ts';
export type { FinishAdvice } from './finish.ts';
export {
  type Fraction,
  fractionsOf,
  type StillBalance,
  shelveFraction,
  stillBalance,
} from './fractions.ts';
export { insertRefused } from './insert-refused.ts';
export { leftOverIn } from './left-over.ts';
export type { PortionState } from './portion.ts';
export { redissolveEntries, redissolveProblem } from './redissolve.ts';
export type { Remainder } from './remainder.ts';
export { portionProblem } from './sense.ts';
export { joinRuns, type Standing, splitRun } from './split.ts';
export { stallAssay } from './stall-assay.ts';
export { type RunState, runState, type TimerState } from './state.ts';
export type { StepState } from './step-state.ts';
export { type StillCut, type StillRun, stillAt, stillsOf } from './still-of.ts';
export { titleText } from './title.ts';
export { furtherUse, usedFurther } from './used-further.ts';
