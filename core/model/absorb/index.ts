// Absorb: a gas led into water or lye. absorb() says how strong and how warm, the ice, the pace, and where to stop; the caps of
// the guard hold. Published heats and solubilities; what passes unabsorbed is not known, and said to be at least so much.
export {
  type AbsorbAnswer,
  type AbsorbInput,
  absorb,
  absorbShape,
  STOP_AT,
  type StopAt,
  takenByHydroxide,
} from './absorb.ts';
export { type Dripped, dripOf } from './drip.ts';
export { beginGas, type GasSetup, type GasState, gainedBy, letGas, lyeLeftPct } from './running.ts';
export { type Absorbed, heatIntoWater, heldByWater } from './taken.ts';
