import { derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { molarMassFigure, type Substance } from '#matter/substance';
import { crystalMass } from './path.ts';
import { NEWEST_TABLES, SOLUBILITY_SD, solubilityOf } from './solubility.ts';

export interface CrystalStep {
  /** g of crystals, hydrate water counted. */
  readonly crystals: Figure;
  /** g per 100 g of water at the cold end. */
  readonly solubility: Figure;
}

/** The formula that holds: between the ends, all the salt, all the water, or nothing. What is shown is what was done. */
const FORMULA = {
  between: '(A − s × W ÷ 100) ÷ (r − s × (1 − r) ÷ 100)',
  salt: 'A ÷ r',
  water: 'W ÷ (1 − r)',
  none: 'max(0; A − s × W ÷ 100) × 0',
} as const;

/** At which end the balance of salt and water stands. */
function ended({ A, W, s, r }: { A: number; W: number; s: number; r: number }): keyof typeof FORMULA {
  const m = crystalMass(A, W, s, r);
  if (m <= 0) return 'none';
  if (r < 1 && m === W / (1 - r)) return 'water';
  return m === A / r ? 'salt' : 'between';
}

/**
 * Crystals of `solid` (a hydrate or not) from A g of anhydrous substance in W g of water, left to equilibrium at T.
 * A − r·m = s·(W − (1 − r)·m)/100, r being the anhydrous part of the crystal. Other salts and acid in the liquor are
 * left out: they usually lower the solubility by a few percent.
 */
export function crystallise(
  anhydrous: Substance,
  solid: Substance,
  amount: { dissolved: Figure; water: Figure },
  cold: Figure,
  revision = NEWEST_TABLES,
): Result<CrystalStep> {
  const at = solubilityOf(anhydrous, cold.value, revision);
  if (!at.ok) return at;
  const s = solubilityFigure(anhydrous, cold, revision);
  const Ma = molarMassFigure(anhydrous.formula);
  const Mh = molarMassFigure(solid.formula);
  const r = derive(
    { symbol: 'r', name: 'anhydrous part of the crystal', unit: '' },
    'Ma ÷ Mh',
    { Ma, Mh },
    (x) => x.Ma / x.Mh,
  );
  const crystals = derive(
    { symbol: 'm(crystals)', name: `${solid.name} crystallised`, unit: 'g' },
    FORMULA[ended({ A: amount.dissolved.value, W: amount.water.value, s: s.value, r: r.value })],
    { A: amount.dissolved, W: amount.water, s, r },
    (x) => crystalMass(x.A, x.W, x.s, x.r),
  );
  return ok({ crystals, solubility: s });
}

/** The solubility at a temperature as a figure, with the table's uncertainty; not a number where the table ends. */
export function solubilityFigure(substance: Substance, temp: Figure, revision = NEWEST_TABLES): Figure {
  const at = solubilityOf(substance, temp.value, revision);
  const { grade, source } = at.ok ? at.value : { grade: 'C' as const, source: '' };
  const naming = {
    symbol: 's',
    name: `solubility of ${substance.name} at ${temp.value} °C`,
    unit: 'g per 100 g water',
  };
  const read = derive(
    naming,
    's(T)',
    { T: temp },
    (x) => {
      const answer = solubilityOf(substance, x.T, revision);
      return answer.ok ? answer.value.gPer100gWater : Number.NaN;
    },
    { source, grade },
  );
  const own = { name: 'solubility table', effect: read.value * SOLUBILITY_SD[grade] };
  return { ...read, uncertainty: { ...read.uncertainty, [`solubility:${substance.id}`]: own } };
}

/** A person's target for a temperature, as a figure with the uncertainty of a cold place. */
export function coldFigure(tempC: number): Figure {
  const source = { id: 'cold', name: 'how cold it gets' };
  return given(
    { symbol: 'T', name: 'cooled to', unit: '°C' },
    { value: tempC, uncertainty: { [source.id]: { name: source.name, effect: 1 } } },
    'you set it; a fridge or step holds about ± 2 °C',
  );
}
