import { coldFigure, crystallise } from '#core/dish';
import { derive, type Figure } from '#core/figure';
import { ok, type Result } from '#core/problem';
import type { FieldsOf } from '#core/shape';
import { molarMassFigure, type Substance, substanceOf } from '#core/substance';
import {
  at,
  boundWater,
  type Contents,
  entriesOf,
  holding,
  liquidVolume,
  speciesAmount,
  waterWhenDissolved,
} from '#core/vessel';
import { type At, settingOf, solidMade } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl, anhydrousProduct } from '../product.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, { facts }: At): Result<Outcome> {
  const place = placeOf(op);
  const doing = begin(standing);
  const before = at(standing.vessels, place);
  const A = anhydrousProduct(facts, before);
  const made = solidMade(facts);
  if (!A || !made) return ok(doing);
  const { solid, species } = made;
  const cold = coldFigure(settingOf(facts, op.control));
  const water = waterWhenDissolved(before);
  const grown = crystallise(species, solid, { dissolved: A, water }, cold, facts.tables);
  if (!grown.ok) return grown;
  const { crystals, solubility } = grown.value;
  const rested = atRest(before, made, crystals, water);
  doing.vessels = holding(doing.vessels, place, rested);
  doing.figures = {
    'crystals.mass': crystals,
    'crystals.solubility': solubility,
    'liquor.volume': aboutMl('mother liquor', liquidVolume(rested)),
  };
  return ok(doing);
}

/** The vessel once its crystals are there: what is not in them is in the liquor, and so is the water they did not take. */
function atRest(
  before: Contents,
  { solid, species }: { solid: Substance; species: Substance },
  crystals: Figure,
  water: Figure,
): Contents {
  const M = molarMassFigure(solid.formula);
  const n = derive(
    { symbol: 'n', name: `${solid.name} in crystals`, unit: 'mol' },
    'm ÷ M',
    { m: crystals, M },
    (x) => x.m / x.M,
  );
  const all = speciesAmount(before, species.id);
  const left =
    all &&
    derive(
      { symbol: 'n', name: `${species.name} in the liquor`, unit: 'mol' },
      'max(0; n − c)',
      { n: all, c: n },
      (x) => Math.max(0, x.n - x.c),
    );
  const taken = boundWater(n, solid, 'crystal water that left the liquor');
  const waterG =
    taken.value > 0
      ? derive(
          { symbol: 'm(water)', name: 'water left in the liquor', unit: 'g' },
          'max(0; W − c)',
          { W: water, c: taken },
          (x) => Math.max(0, x.W - x.c),
        )
      : water;
  const otherSolids = Object.fromEntries(
    entriesOf(before.solid).filter(([id]) => substanceOf(id).species !== species.id),
  );
  return {
    ...before,
    waterG,
    aqueous: { ...before.aqueous, ...(left ? { [species.id]: left } : {}) },
    solid: n.value > 0 ? { ...otherSolids, [solid.id]: n } : otherSolids,
  };
}
