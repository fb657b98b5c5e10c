import { type Figure, sdOf } from '#base/figure';
import { budget, formatNumber, listed } from '#base/units';

/**
 * Whether a result is known well enough for a wanted tolerance (± % of it, 95 %), and if not, what to measure next and how
 * well: the largest source is reduced first, then the next, until the rest fits.
 */
export function toleranceSentence(figure: Figure, tolerancePct: number): string {
  const band = figure.value === 0 ? 0 : (200 * sdOf(figure)) / Math.abs(figure.value);
  const wanted = formatNumber(tolerancePct, 2);
  if (band <= tolerancePct) return `Good enough: ± ${formatNumber(band, 2)} % is within ± ${wanted} %.`;
  const toMeasure: string[] = [];
  let rest = band ** 2;
  for (const { name, share } of budget(figure)) {
    const without = Math.max(0, rest - share * band ** 2);
    if (without <= tolerancePct ** 2) {
      const allowed = Math.sqrt(tolerancePct ** 2 - without);
      const first = toMeasure.length === 0 ? '' : `${listed(toMeasure)} first, and `;
      return `Not yet: ± ${formatNumber(band, 2)} %. Measure ${first}${name} so well that it adds at most ± ${formatNumber(allowed, 2)} %, and it will do.`;
    }
    toMeasure.push(name);
    rest = without;
  }
  return `Not yet: ± ${formatNumber(band, 2)} %, and no single measurement brings it within ± ${wanted} %.`;
}
