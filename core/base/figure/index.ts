// Figures: a computed number is never bare. A Figure holds its symbol, name, unit, uncertainty and how it came about:
// given by a person or a label, read from a table with its source, or worked out by a formula from other figures.
// workingOf() lays that out as lines; pack()/unpack() carry figures through JSON without repeating shared ones.
export {
  datum,
  derive,
  type Figure,
  type Grade,
  given,
  isAbout,
  type Origin,
  relabel,
  sdOf,
  sumOf,
} from './figure.ts';
export { type Spread, spreadOf } from './monte-carlo.ts';
export { type Packed, pack, unpack } from './pack.ts';
export { normal, seeded } from './random.ts';
export { type WorkingLine, workingOf, workingText } from './working.ts';
