import { derive, type Figure } from '#base/figure';
import { molarMassFigure } from '#matter/substance';
import { type Contents, speciesAmount } from '#matter/vessel';
import { type Facts, solidMade } from './facts.ts';

/** g of the anhydrous product there is in a vessel, dissolved or not; undefined where the recipe makes no solid. */
export function anhydrousProduct(facts: Facts, contents: Contents): Figure | undefined {
  const made = solidMade(facts);
  const n = made && speciesAmount(contents, made.species.id);
  if (!made || !n) return undefined;
  const M = molarMassFigure(made.species.formula);
  return derive(
    { symbol: 'A', name: `${made.species.name} dissolved`, unit: 'g' },
    'n × M',
    { n, M },
    (x) => x.n * x.M,
  );
}

export function productName(facts: Facts): string {
  return solidMade(facts)?.solid.name ?? 'solution';
}

/** A volume of a mixture as a figure: about, within 4 %. */
export function aboutMl(name: string, value: number): Figure {
  const uncertainty = { volume: { name: 'volumes of mixtures', effect: value * 0.03 } };
  return {
    kind: 'figure',
    symbol: 'V',
    name,
    unit: 'mL',
    value,
    uncertainty,
    origin: { by: 'given', how: 'water plus what its solutes add; about, within 4 %' },
  };
}
