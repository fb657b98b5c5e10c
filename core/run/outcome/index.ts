// Outcomes: what a run came to. Where all of it went, closed to 100 %; the yield of a chain of batches on any basis; a pilot
// projected to more of it; and what a finished run tells of the bench.

export { type ChainRun, type ChainStepYield, type ChainYield, chainYield } from './chain-yield.ts';
export { batchMarkdown, type Reported } from './markdown.ts';
export { type RecordAnswer, type RecordAsked, recordOf } from './record-of.ts';
export { type ScaleUp, type ScalingBy, scaleUp } from './scale-up.ts';
export { shownByRun } from './shown-by-run.ts';
export { type Went, type WhereItWent, whereItWent } from './where-it-went.ts';
