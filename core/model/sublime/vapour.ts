import { type SublimationRow, sublimations } from '#matter/data';

const R = 8.314;
const KELVIN = 273.15;

export const sublimationOf = (substanceId: string): SublimationRow | undefined =>
  sublimations.find((row) => row.substance === substanceId);

/** Pa over the solid; null outside the temperatures that are held. */
export function vapourOver({ A, B, tempC: [low, high] }: SublimationRow, tempC: number): number | null {
  return tempC < low || tempC > high ? null : 10 ** (A - B / (tempC + KELVIN));
}

/** The line carried on to colder places: a cover may be colder than what was measured, and holds next to nothing there. */
export function vapourCold({ A, B }: SublimationRow, tempC: number): number {
  return 10 ** (A - B / (tempC + KELVIN));
}

/** g of vapour in a mL of air at a pressure of it. */
export const gPerMlAt = (pascal: number, M: number, tempC: number): number =>
  (pascal * M) / (R * (tempC + KELVIN)) / 1e6;
