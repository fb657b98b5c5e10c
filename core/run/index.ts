// Runs: a run is its plan plus its events. sheetOf() turns a plan (with what was really used, where known) into the batch
// sheet; runState() folds plan and events into everything that is true now: steps, sheet, timers, cautions, yield, what is due.
// Both are pure and the same in browser and server, so undo, late readings, corrections and replay need nothing of their own.
export { type ActualCharge, chargeMass, weighingSd } from './actual.ts';
export { type Addition, excessPrice, type Stage } from './adding.ts';
export { checkEntry } from './check-entry.ts';
export { type ClockItem, clockOf } from './clock.ts';
export { type Attempt, type CompareRow, compareRuns } from './compare.ts';
export { type Context, contextOf } from './context.ts';
export type { ValueWithSd, EventBody, Happened, Quantity, Reading, RunEvent } from './event.ts';
export {
  applyCorrections,
  exactReading,
  quantities,
  readingLeast,
  readingText,
  readingValue,
} from './event.ts';
export { farOff } from './far-off.ts';
export { durationText, hoursText } from './gauge.ts';
export { type Plan, type PlanBottle, planTitle, productTitle, startPlan } from './plan.ts';
export type { PortionState } from './portion.ts';
export { parseReading } from './read-reading.ts';
export { portionProblem, readingProblem } from './sense.ts';
export { type ChargeLine, type Gauge, type Sheet, type StepHeat, sheetOf } from './sheet.ts';
export { joinRuns, type Standing, splitRun } from './split.ts';
export { type LogLine, type RunState, runState, type StepState, type StepStatus, type TimerState } from './state.ts';
export { stepsOf } from './steps.ts';
export { type TakenOn, takenOn } from './taken-on.ts';
export { fillTemplate, type TextPart } from './template.ts';
export { toleranceSentence } from './tolerance.ts';
