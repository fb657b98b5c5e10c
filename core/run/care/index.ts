// Care: what to do beside the work itself, computed from what is in the vessels and what stands on the shelf. It defers to local
// codes and to those who are trained for it, and calls nothing safe or legal.
export { type AccidentCard, type AccidentSetting, accidentCard, type Near } from './accident.ts';
export { type Call, callsOf } from './calls.ts';
export { type Demand, demandOf } from './demand.ts';
export { type BottleLabel, bottleLabel } from './label.ts';
export type { Pour } from './neutraliser.ts';
export { careOfRun, type RunCare } from './of-run.ts';
export {
  type Neighbours,
  type Places,
  placesOf,
  type StorageGroup,
  type Stored,
  storageGroupOf,
  storageGroups,
} from './places.ts';
export type { Preparation } from './preparations.ts';
export { type Jar, type WasteItem, type WastePlan, wastePlan } from './waste.ts';
