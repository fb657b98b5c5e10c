import { formatNumber } from '#base/units';
import type { AddAdvice } from '#run/technique';

interface Amount {
  readonly value: number;
  readonly unit: 'g' | 'mL';
}

/** Grams of an addition as the hand measures them: by the half millilitre where it is poured. */
export function poured({ gPerMl }: Pick<AddAdvice, 'gPerMl'>, grams: number): Amount {
  if (gPerMl === null) return { value: grams, unit: 'g' };
  const ml = grams / gPerMl;
  // Never more than the portion that was found to be safe, and never none of it.
  return { value: ml < 0.5 ? Number(ml.toPrecision(1)) : Math.floor(2 * ml + 1e-9) / 2, unit: 'mL' };
}

/** The same, written to so many figures. */
export function amountText({ gPerMl }: Pick<AddAdvice, 'gPerMl'>, grams: number, figures = 2): string {
  return gPerMl === null ? `${formatNumber(grams, figures)} g` : `${formatNumber(grams / gPerMl, figures)} mL`;
}
