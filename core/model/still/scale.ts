/** One charge carried to the rest of a bottle. */
export interface Scaled {
  readonly charges: number;
  readonly productG: number;
  readonly hours: number;
  readonly cost: number | null;
}

/** Cooling, emptying and filling between two charges, h. About, grade C. */
const BETWEEN_H = 0.75;

/** `charges` is whole, the last one smaller; `price` is of the bottle’s rest, where it is known. */
export function scaledTo(
  one: { readonly chargeG: number; readonly productG: number; readonly hours: number },
  bottleG: number,
  price: number | null,
): Scaled {
  const exact = one.chargeG > 0 ? bottleG / one.chargeG : 0;
  const charges = Math.max(0, Math.ceil(exact - 1e-9));
  return {
    charges,
    productG: exact * one.productG,
    hours: exact * one.hours + Math.max(0, charges - 1) * BETWEEN_H,
    cost: price,
  };
}
