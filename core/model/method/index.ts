// Method: the ways to find a strength by measuring, a folder each. A titration says what reacts with what, what is done and seen; a
// method that measures says what is read and what strength follows. Each says how far it can be trusted and what misleads it.
export { acidsToEnd, basesToEnd } from './acid-base/acids-and-bases.ts';
export { dryGasMol, waterVapourHPa } from './gas/gas-volume.ts';
export {
  type Entry,
  type Known,
  type MeasuredMethod,
  type Method,
  type Pair,
  type Sight,
  type TitrationMethod,
  weighingSd,
} from './method.ts';
export { methodById, methods } from './methods.ts';
export { isStandard, standardOf } from './standards.ts';
