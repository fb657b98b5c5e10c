// Adding: portions, endpoints and how far a reaction has come. Everything here is arithmetic on readings and on what the
// vessel holds; where the numbers come from is the run's business.
// Foam, cooling and half-lives are estimates that readings of this very run replace.
export { nextPortion, type PortionAdvice, type PortionFacts } from './portion.ts';
export { inferStrength } from './stall.ts';
export { type StopBand, stopBand } from './stop-band.ts';
export {
  combineExtents,
  type ExtentEstimate,
  type ExtentReport,
  extentByCurrent,
  extentByDose,
  extentByGas,
  extentByHeat,
  extentByMass,
  extentBySight,
} from './tracker.ts';
export { type Portion, unreacted } from './unreacted.ts';
