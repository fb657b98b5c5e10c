import { decrease, increase, itemAt, numberAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { molarMass, type Substance } from '#matter/substance';
import { solubilityOf } from './solubility.ts';
import { dryShare, phaseFormula } from './solute.ts';

/** Two cations and two anions in one water: which of their four salts crystallise, and how much. */
export interface SaltPair {
  /** The four salts: AX, AY, BX, BY, in this order. */
  readonly salts: readonly [Substance, Substance, Substance, Substance];
  /** mol of the ions A, B, X, Y; A + B = X + Y. */
  readonly ions: readonly [number, number, number, number];
  readonly waterG: number;
  /** Revision of the solubility table; the newest when it is not said. */
  readonly tables?: number;
}

export interface SaltDown {
  readonly salt: Substance;
  readonly phase: string;
  readonly mol: number;
  readonly grams: number;
}

const INDEX: readonly (readonly [number, number])[] = [
  [0, 2],
  [0, 3],
  [1, 2],
  [1, 3],
];
const ROUNDS = 400;

/**
 * What precipitates of a reciprocal pair of 1:1 salts at a temperature. Each salt is held to the square of its own
 * solubility in water (mol/kg), as if ions did not mind each other: rough. Right about which salt precipitates first, hot and cold;
 * amounts may be off by a third. After Purdon and Slater, Aqueous Solution and the Phase Diagram, for the diagrams it stands for.
 */
export function saltsDown(pair: SaltPair, tempC: number): Result<readonly SaltDown[]> {
  const [a, b, x, y] = pair.ions;
  if (![a, b, x, y, pair.waterG].every((each) => each >= 0) || Math.abs(a + b - x - y) > 1e-6 * (a + b + 1))
    return fail('out-of-range', 'Cations and anions must balance, and amounts be 0 or more.');
  const limits: { s: number; phase: string }[] = [];
  for (const salt of pair.salts) {
    const at = solubilityOf(salt, tempC, pair.tables);
    if (!at.ok) return at;
    const M = molarMass(phaseFormula(at.value.phase)) * dryShare(phaseFormula(at.value.phase));
    limits.push({ s: (10 * at.value.gPer100gWater) / M, phase: phaseFormula(at.value.phase) });
  }
  const kg = Math.max(1e-9, pair.waterG / 1000);
  const dissolved = [a, b, x, y];
  const down = [0, 0, 0, 0];
  // The most oversaturated salt precipitates, or one that is down and no longer saturated goes back, until none moves.
  for (let round = 0; round < ROUNDS; round++) {
    let worst = -1;
    let most = 1e-7;
    for (const [i, [cation, anion]] of INDEX.entries()) {
      const excess = excessOf(numberAt(dissolved, cation), numberAt(dissolved, anion), itemAt(limits, i).s * kg);
      const move = excess > 0 ? excess : Math.max(excess, -numberAt(down, i));
      if (Math.abs(move) > most) {
        most = Math.abs(move);
        worst = i;
      }
    }
    if (worst < 0) break;
    const [cation, anion] = itemAt(INDEX, worst);
    const move = Math.max(
      excessOf(numberAt(dissolved, cation), numberAt(dissolved, anion), itemAt(limits, worst).s * kg),
      -numberAt(down, worst),
    );
    decrease(dissolved, cation, move);
    decrease(dissolved, anion, move);
    increase(down, worst, move);
  }
  return ok(
    pair.salts.map((salt, i) => ({
      salt,
      phase: itemAt(limits, i).phase,
      mol: numberAt(down, i),
      grams: numberAt(down, i) * molarMass(itemAt(limits, i).phase),
    })),
  );
}

/** mol to take out of (m, n) so that (m − d)(n − d) = k²; negative when there is room for more. */
function excessOf(m: number, n: number, k: number): number {
  return (m + n - Math.sqrt((m - n) ** 2 + 4 * k * k)) / 2;
}
