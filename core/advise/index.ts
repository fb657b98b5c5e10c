// Advise: what the readings and portions of a step say at a moment, and what to do next. It reads runs and never changes
// them: the next portion and its stop band, how far a reaction has come by every witness, when it will be done, and what
// a stall tells of a bottle; at a filter, through what, how long, and what stays behind.
export type { AddAdvice } from './add.ts';
export { type Advice, advise } from './advise.ts';
export type { DissolveAdvice } from './dissolve.ts';
export type { FilterAdvice, Medium } from './filter.ts';
export type { FinishAdvice } from './finish.ts';
export type { StallAdvice } from './stall.ts';
