import { derive, type Figure, given } from '#base/figure';
import { molarMassFigure } from '#matter/substance';

/**
 * The strength of a reagent that ran out before the solid did: n(solid gone) × ratio moles were in the mass poured.
 * What came of the reagent from elsewhere, mol, is taken off first. `gone` g of solid at `pct` %, ratio moles of reagent for each; `poured` g of reagent. Loss of reagent as mist or by
 * side reactions makes it read low.
 */
export function inferStrength(
  solid: { gone: Figure; w: Figure; formula: string; name: string },
  reagent: { poured: Figure; formula: string; name: string; elsewhere?: Figure | undefined },
  ratio: number,
): Figure {
  const M = molarMassFigure(solid.formula);
  const Mr = molarMassFigure(reagent.formula);
  const n = derive(
    { symbol: 'n', name: `${solid.name} that went into solution`, unit: 'mol' },
    'm × w ÷ (100 × M)',
    { m: solid.gone, w: solid.w, M },
    (x) => (x.m * x.w) / (100 * x.M),
  );
  const r = given(
    { symbol: 'r', name: `${reagent.name} for each ${solid.name}`, unit: 'mol/mol' },
    ratio,
    'the reaction',
  );
  const naming = { symbol: 'w', name: `strength of ${reagent.name}, by what it dissolved`, unit: '%' };
  const { elsewhere } = reagent;
  if (elsewhere)
    return derive(
      naming,
      '100 × max(0; n × r − b) × M ÷ m',
      { n, r, b: elsewhere, M: Mr, m: reagent.poured },
      (x) => (100 * Math.max(0, x.n * x.r - x.b) * x.M) / x.m,
    );
  return derive(
    naming,
    '100 × n × r × M ÷ m',
    { n, r, M: Mr, m: reagent.poured },
    (x) => (100 * x.n * x.r * x.M) / x.m,
  );
}
