// Reckoner: one line for the sums people do on scraps. A small grammar of our own (docs/reckoner.md) turns a line into
// figures with their working; the same line answers in the field, on the command line and over HTTP.
// A refusal names the words it stumbled over.
export { examples } from './examples.ts';
export { type Answer, type Reckoning, type ReckonJson, reckon, reckonJson } from './reckon.ts';
