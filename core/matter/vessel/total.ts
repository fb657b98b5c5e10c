import { type Figure, given, sumOf } from '#base/figure';
import { itemAt } from '#base/lookup';

/** Sum of figures of one kind; a single one is passed through, zeros are left out of the working. */
export function total(name: string, unit: string, ...parts: readonly Figure[]): Figure {
  const real = parts.filter((part) => part.value !== 0);
  if (real.length === 1) return itemAt(real, 0);
  if (real.length === 0) return parts[0] ?? given({ symbol: '0', name, unit }, 0, 'nothing');
  const inputs = Object.fromEntries(real.map((part, i) => [`${part.symbol}${subscript(i + 1)}`, part]));
  return sumOf({ symbol: unit === 'mol' ? 'n' : 'm', name, unit }, inputs);
}

/** A number as a subscript: n₁₂. */
export function subscript(n: number): string {
  return String(n).replace(/\d/g, (d) => itemAt('₀₁₂₃₄₅₆₇₈₉', Number(d)));
}
