// Bench: all that stands on it and waits for it, as one person has it: steps of runs on their way into a week, what to make safe before
// leaving and look at first on coming back, when something that is not begun would be done. Above the state of a single run.
export { benchWeek, type OnBench } from './bench-week.ts';
export { type BackAt, type Leaving, leavingFrom, lookFirst } from './leaving.ts';
export type { Paces } from './pace.ts';
export { type BenchTask, tasksOf } from './tasks-of.ts';
export { type WhenAnswer, whenAsked } from './when-asked.ts';
