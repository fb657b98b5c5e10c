import { derive, type Figure } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { type Content, contentOf, type Shelved } from '#matter/stock';
import { molarMassFigure } from '#matter/substance';
import type { Known } from '#model/method';

/** A bottle of known strength as an assay uses it, aged to a day. */
export function knownOf(bottle: Shelved, tempC: number, day: string): Result<Known> {
  const content = contentOf(bottle, tempC, day);
  if (!content.ok) return content;
  return ok({ content: content.value, molPerG: molPerGOf(content.value), molPerMl: molPerMlOf(content.value) });
}

export function molPerGOf({ w, substance }: Content): Figure {
  const M = molarMassFigure(substance.formula);
  return derive(
    { symbol: 'c', name: `${substance.name}, in a gram`, unit: 'mol/g' },
    'w ÷ (100 × M)',
    { w, M },
    (x) => x.w / (100 * x.M),
  );
}

export function molPerMlOf({ w, substance, density }: Content): Figure | undefined {
  if (!density) return undefined;
  const M = molarMassFigure(substance.formula);
  return derive(
    { symbol: 'c', name: `${substance.name}, in a millilitre`, unit: 'mol/mL' },
    'ρ × w ÷ (100 × M)',
    { w, M, ρ: density },
    (x) => (x.ρ * x.w) / (100 * x.M),
  );
}
