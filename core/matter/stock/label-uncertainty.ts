import type { StrengthUnit } from '#matter/solution';

/** How a strength is written. */
interface Written {
  readonly decimals: number;
  readonly unit: StrengthUnit;
}
/**
 * Half-width of what a label's strength can be trusted to, in the label's own unit. Half its last digit, or 3 % of the
 * value where that is more: shop products are filled to a nominal strength, not to a certificate. A strength near
 * 100 % cannot exceed it. An estimate (grade C) until the bottle is assayed.
 */
export function labelUncertainty(value: number, { decimals, unit }: Written): number {
  const isPercent = unit === 'w/w';
  const isMolar = unit === 'mol/L';
  // “0.1 mol/L” was made up to be 0.100: a twentieth of it is the most that it strays.
  const digit = 0.5 * 10 ** -decimals;
  const lastDigit = isMolar ? Math.min(digit, MOLAR_CAP * Math.abs(value)) : digit;
  const nominal = 0.03 * Math.abs(value);
  const room = isPercent && value > 90 ? Math.max(100 - value, 0) : Number.POSITIVE_INFINITY;
  return Math.max(Math.min(nominal, room), Math.min(lastDigit, room === 0 ? lastDigit : room));
}

const MOLAR_CAP = 0.05;

/** Half-width, in %, for a solid whose label gives no strength and is taken as pure. */
export const UNSTATED_PURITY_BAND = 2;
