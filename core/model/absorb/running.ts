import { molarMass } from '#matter/substance';
import { type Absorbed, gasM, heatIntoAlkali, heatIntoWater, intoAlkali } from './taken.ts';

/** A generator, its trap and its absorber, as they are charged. Amounts mol unless said. */
export interface GasSetup {
  readonly gas: Absorbed;
  /** Gas that the source can give, all of it. */
  readonly sourceMol: number;
  /** Reagent that waits in the funnel, mL, its strength and what a mol of gas takes of it; null: all is in, and warmth drives it out. */
  readonly funnel: { readonly ml: number; readonly molPerL: number; readonly perGas: number } | null;
  /** Part of the gas that gets through tube and trap, and mol of acid along with each of it. */
  readonly arrives: number;
  readonly along: number;
  readonly waterG: number;
  /** Hydroxide in the absorber; null: water, which holds so much. */
  readonly lyeMol: number | null;
  readonly holdsMol: number;
  readonly startC: number;
  /** The bath round it, °C, and W that it takes for each K. */
  readonly bathC: number;
  readonly wattsPerK: number;
}

/** How it stands. A plain object: it is kept, sent and restored as it is. */
export interface GasState {
  seconds: number;
  mlPerMin: number;
  drippedMl: number;
  /** Reagent in the generator that has not reacted yet, mol of gas that it will make. */
  toCome: number;
  madeMol: number;
  takenMol: number;
  alongMol: number;
  escapedMol: number;
  absorberC: number;
  generatorC: number;
  /** mol/s of gas, now and at its fastest. */
  pace: number;
  fastest: number;
  /** Times that the absorber climbed into the trap. */
  suckedBack: number;
  /** The tube is out of the absorber: nothing more gets in. */
  lifted: boolean;
}

export const beginGas = ({ startC }: GasSetup, mlPerMin: number): GasState => ({
  seconds: 0,
  mlPerMin,
  drippedMl: 0,
  toCome: 0,
  madeMol: 0,
  takenMol: 0,
  alongMol: 0,
  escapedMol: 0,
  absorberC: startC,
  generatorC: startC,
  pace: 0,
  fastest: 0,
  suckedBack: 0,
  lifted: false,
});

/** Half of the reagent in a generator has reacted after so many s; half of a melt has given its gas. Estimates, grade C. */
const HALF_S = 40;
const MELT_HALF_S = 900;
const STRIDE_S = 2;
/** Gas that slows to this part of its fastest within moments draws the liquid back. */
const SUCKS_BELOW = 0.03;
const LITRE_CP = 4.18;

/** Lets so many s pass. Rough: one half-life for the generator, one watt per kelvin for the bath; mass is kept. */
export function letGas(setup: GasSetup, state: GasState, seconds: number): void {
  let left = Math.min(seconds, 48 * 3600);
  while (left > 0) {
    const dt = Math.min(STRIDE_S, left);
    stride(setup, state, dt);
    left -= dt;
  }
}

function stride(setup: GasSetup, state: GasState, dt: number): void {
  state.seconds += dt;
  drip(setup, state, dt);
  const half = setup.funnel ? HALF_S : MELT_HALF_S;
  const made = Math.min(state.toCome * (1 - 0.5 ** (dt / half)), Math.max(0, setup.sourceMol - state.madeMol));
  state.toCome -= made;
  state.madeMol += made;
  state.pace = made / dt;
  state.fastest = Math.max(state.fastest, state.pace);
  const gone = state.fastest > 0 && state.pace < SUCKS_BELOW * state.fastest && state.mlPerMin === 0;
  // The tube still dips when the gas has ended: once.
  if (gone && !state.lifted && state.suckedBack === 0) state.suckedBack = 1;
  arrive(setup, state, made);
  cool(setup, state, dt);
}

function drip({ funnel, sourceMol }: GasSetup, state: GasState, dt: number): void {
  if (!funnel) {
    if (state.seconds <= dt) state.toCome = sourceMol;
    return;
  }
  const ml = Math.min((state.mlPerMin * dt) / 60, funnel.ml - state.drippedMl);
  if (!(ml > 0)) return;
  state.drippedMl += ml;
  state.toCome += (ml * funnel.molPerL) / 1000 / funnel.perGas;
}

/** What the absorber takes of it, and what passes: all of it once its lye is spent or its tube is lifted. */
function arrive(setup: GasSetup, state: GasState, made: number): void {
  const came = state.lifted ? 0 : made * setup.arrives;
  const room = roomOf(setup, state);
  const taken = Math.min(came, room);
  state.takenMol += taken;
  state.alongMol += taken * setup.along;
  state.escapedMol += came - taken + (state.lifted ? made * setup.arrives : 0);
  const pct = (100 * state.takenMol * gasM(setup.gas)) / (setup.waterG + state.takenMol * gasM(setup.gas));
  const perMol = setup.lyeMol === null ? heatIntoWater(setup.gas, pct) : heatIntoAlkali(setup.gas);
  state.absorberC += (1000 * taken * (perMol ?? 0)) / (LITRE_CP * setup.waterG);
}

function roomOf({ gas, lyeMol, holdsMol, along }: GasSetup, { takenMol }: GasState): number {
  const way = intoAlkali(gas);
  const most = lyeMol === null || !way ? holdsMol : lyeMol / (way.hydroxide + along);
  return Math.max(0, most - takenMol);
}

function cool({ bathC, wattsPerK, waterG, startC }: GasSetup, state: GasState, dt: number): void {
  const tau = (LITRE_CP * waterG) / Math.max(1e-9, wattsPerK);
  state.absorberC = bathC + (state.absorberC - bathC) * Math.exp(-dt / tau);
  const warm = startC + 20 * Math.min(1, state.pace / Math.max(1e-12, state.fastest));
  state.generatorC += (warm - state.generatorC) * (1 - Math.exp(-dt / 120));
}

/** g that the absorber has gained. */
export const gainedBy = ({ gas }: GasSetup, { takenMol, alongMol }: GasState): number =>
  takenMol * gasM(gas) + alongMol * molarMass('HCl');

/** % of its lye that is left; null in water. */
export function lyeLeftPct({ gas, lyeMol }: GasSetup, { takenMol, alongMol }: GasState): number | null {
  const way = intoAlkali(gas);
  if (lyeMol === null || !way || !(lyeMol > 0)) return null;
  return 100 * Math.max(0, 1 - (takenMol * way.hydroxide + alongMol) / lyeMol);
}
