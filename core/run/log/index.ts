// Log: what was entered at the bench. A *reading* is a number as it was had (exact, a band, one-sided, counted, a sight, words)
// of a *quantity*; an *entry* is one thing that happened, of one of the *kinds*, with when it happened and when it was written.
// liveOf() folds corrections in, once; logOf() reads the entries out.

export type { EntryKind, LogNames } from './entry-kind.ts';
export {
  type BodyOf,
  bodyText,
  type CorrectedBody,
  EVENT_VERSION,
  type EventBody,
  type EventKind,
  eventBodyShape,
  type Happened,
  newEventShape,
  type PlainBody,
  type RunEvent,
  runEventShape,
} from './event.ts';
export { entryKinds } from './kinds/index.ts';

export { mishaps } from './kinds/went-wrong.ts';
export { type LogLine, logOf } from './lines.ts';
export { type Live, type LiveEvent, liveOf } from './live.ts';
export { netReading } from './net-reading.ts';
