import { formedAtEnd } from './equilibrium.ts';
import { constantAt, type EsterPair } from './pairs.ts';
import { type Mixture, paceOf } from './rate.ts';

/** A flask under a condenser. */
export interface RefluxSetup {
  readonly mixture: Mixture;
  readonly pair: EsterPair;
  /** °C at which it boils, J/K of the whole, kJ that a mol of its vapour takes and g/mol of it. */
  readonly boilsC: number;
  readonly heatCapacity: number;
  readonly vapourKJ: number;
  readonly vapourM: number;
  readonly airC: number;
  /** W that the condenser takes with its water running. */
  readonly condenserW: number;
}

/** How it stands. A plain object. */
export interface RefluxState {
  seconds: number;
  watts: number;
  tempC: number;
  /** mol of ester formed. */
  formed: number;
  /** How high the wet ring stands, 1 at the top. */
  ring: number;
  lostG: number;
  /** Boiling stopped and began again without a fresh stone: it bumped. */
  bumps: number;
  boiling: boolean;
  stones: boolean;
}

/** W that a flask of glass loses for each K above the air, about. */
const LOSS_W_PER_K = 0.5;
const STRIDE_S = 10;

export const beginReflux = ({ airC }: RefluxSetup): RefluxState => ({
  seconds: 0,
  watts: 0,
  tempC: airC,
  formed: 0,
  ring: 0,
  lostG: 0,
  bumps: 0,
  boiling: false,
  stones: true,
});

/** Lets so many s pass: warmth, boil, the ring in the condenser, ester by its rate law (a factor of two in hours). */
export function letReflux(setup: RefluxSetup, state: RefluxState, seconds: number): void {
  let rest = Math.min(seconds, 200 * 3600);
  while (rest > 0) {
    const dt = Math.min(STRIDE_S, rest);
    stride(setup, state, dt);
    rest -= dt;
  }
}

function stride(setup: RefluxSetup, state: RefluxState, dt: number): void {
  state.seconds += dt;
  const lost = LOSS_W_PER_K * (state.tempC - setup.airC);
  const spare = state.watts - lost;
  const next = state.tempC + (spare * dt) / setup.heatCapacity;
  const boils = next >= setup.boilsC && spare > 0;
  if (boils && !state.boiling && !state.stones) state.bumps += 1;
  // A stone works once: cooled, it has drunk itself full.
  if (!boils && state.boiling) state.stones = false;
  state.boiling = boils;
  state.tempC = boils ? setup.boilsC : Math.max(setup.airC, next);
  state.ring = boils ? Math.min(1.2, spare / setup.condenserW) : Math.max(0, state.ring - dt / 120);
  if (boils && spare > setup.condenserW)
    state.lostG += (((spare - setup.condenserW) * dt) / 1000 / setup.vapourKJ) * setup.vapourM;
  const K = constantAt(setup.pair, state.tempC);
  const end = formedAtEnd(setup.mixture.charge, K);
  const perHour = paceOf(setup.mixture, { K, tempC: state.tempC });
  if (perHour && end > 0) state.formed = Math.min(end, state.formed + (perHour(state.formed) * dt) / 3600);
}

/** mol that it comes to at its end, as warm as it boils. */
export const refluxEnd = ({ mixture, pair, boilsC }: RefluxSetup): number =>
  formedAtEnd(mixture.charge, constantAt(pair, boilsC));
