// Readings: a number as it was had at the bench (exact, a band, one-sided, counted, a sight, words), of a quantity that can be read.
export { parseReading } from './parse-reading.ts';
export { type Quantity, quantities, type Readable, readables } from './quantity.ts';
export {
  amountShape,
  exactReading,
  type Reading,
  readingLeast,
  readingShape,
  readingText,
  readingValue,
  type ValueWithSd,
} from './reading.ts';
export { readingProblem } from './reading-problem.ts';
