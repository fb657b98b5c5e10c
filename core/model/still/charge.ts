import { type Mixture, massPct } from './mixture.ts';
import { NOTHING_STAYS, type Staying } from './solutes.ts';

/** What is in the flask at first, mol of either volatile and what stays. */
export interface Charge {
  readonly first: number;
  readonly second: number;
  readonly staying: Staying;
}

/** So many g of a plain mixture, by mass %. */
export function chargeOf({ first, second }: Mixture, grams: number, pct: number): Charge {
  return {
    first: (grams * pct) / 100 / first.M,
    second: (grams * (100 - pct)) / 100 / second.M,
    staying: NOTHING_STAYS,
  };
}

/** g of the two volatiles. */
export function gramsOf(mixture: Mixture, n1: number, n2: number): number {
  return n1 * mixture.first.M + n2 * mixture.second.M;
}

/** mL at 20 °C of the two volatiles, mixed. */
export function mlOf(mixture: Mixture, n1: number, n2: number): number {
  return n1 + n2 > 0 ? gramsOf(mixture, n1, n2) / mixture.gPerMl(n1 / (n1 + n2)) : 0;
}

/** mL that a g of what stays takes. */
const STAYING_ML_PER_G = 0.5;

/** mL in the flask, about. */
export function chargeMl(mixture: Mixture, { first, second, staying }: Charge): number {
  return mlOf(mixture, first, second) + STAYING_ML_PER_G * staying.grams;
}

/** Mass % of the first in the two volatiles. */
export function pctOf(mixture: Mixture, n1: number, n2: number): number {
  return n1 + n2 > 0 ? massPct(mixture, n1 / (n1 + n2)) : 0;
}
