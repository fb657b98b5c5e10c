import type { Figure } from '#base/figure';
import { formatNumber } from '#base/units';

/** An amount as it is measured out: “148 mL (152 g)”, “10.0 g”. */
export function amountOf({ mass, volumeMl }: { readonly mass: Figure; readonly volumeMl: number | null }): string {
  const grams = `${formatNumber(mass.value, 3)} g`;
  return volumeMl === null ? grams : `${formatNumber(volumeMl, 3)} mL (${grams})`;
}
