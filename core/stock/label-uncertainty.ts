/**
 * Half-width of what a label's strength can be trusted to, in the label's own unit. Half its last digit, or 3 % of the
 * value where that is more: shop products are filled to a nominal strength, not to a certificate. A strength near
 * 100 % cannot exceed it. An estimate (grade C) until the bottle is assayed.
 */
export function labelUncertainty(value: number, decimals: number, isPercent: boolean): number {
  const lastDigit = 0.5 * 10 ** -decimals;
  const nominal = 0.03 * Math.abs(value);
  const room = isPercent && value > 90 ? Math.max(100 - value, 0) : Number.POSITIVE_INFINITY;
  return Math.max(Math.min(nominal, room), Math.min(lastDigit, room === 0 ? lastDigit : room));
}

/** Half-width, in %, for a solid whose label gives no strength and is taken as pure. */
export const UNSTATED_PURITY_BAND = 2;
