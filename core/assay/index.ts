// Assay: for now the pH of a solution of one substance, by charge balance over its protonation steps.
export { acidBaseOf, type PhAnswer, phOf } from './ph.ts';
