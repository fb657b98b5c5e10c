// Look-ups of what must be there: they hand it out, or say what is missing. Below everything else; for what may be missing, ask with
// `?.` and `??`, or answer with a problem.
export { decrease, doubleAt, entryOf, increase, itemAt, lastOf, must, NothingThere, numberAt } from './lookup.ts';
