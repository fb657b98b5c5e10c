// Assay: for now the pH of a solution of one substance, by charge balance over its protonation steps.
export { type PhAnswer, phOf } from './ph.ts';
