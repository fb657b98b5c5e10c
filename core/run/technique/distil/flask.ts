import { derive, type Figure, given } from '#base/figure';
import { type Apparatus, USUAL_STILL } from '#matter/gear';
import { molarMass, molarMassFigure, type SubstanceId, substanceOf } from '#matter/substance';
import { amountOf, amountsOf, type Contents } from '#matter/vessel';
import { type Charge, type Mixture, mixtureById, mixtureOf, stayingOf, withWater } from '#model/still';
import type { Facts } from '../facts.ts';

/** g/mol. */
export const WATER_M = molarMass('H2O');

/** What stands in the flask, for the model. */
export interface Flask {
  readonly mixture: Mixture;
  readonly charge: Charge;
  /** The one that the model calls its first, and mol of it. */
  readonly first: SubstanceId;
  readonly n: Figure;
  /** The other, g of it, and its molar mass. */
  readonly second: SubstanceId;
  readonly other: Figure;
  readonly otherM: number;
}

interface Volatiles {
  readonly volatile: SubstanceId;
  readonly besides?: SubstanceId | undefined;
}

/** The flask of a vessel’s contents; undefined where nothing of it is there, or no boiling data are held. */
export function flaskOf(contents: Contents, { volatile, besides }: Volatiles, { bench }: Facts): Flask | undefined {
  if (besides && besides !== 'water') return ofTwo(contents, [volatile, besides], bench.pressureHPa);
  const id = withWater(volatile);
  const n = contents.aqueous[volatile] ?? contents.organic[volatile];
  if (!id || !n || !(n.value > 0)) return undefined;
  return {
    mixture: mixtureById(id, bench.pressureHPa),
    first: volatile,
    n,
    second: 'water',
    other: contents.waterG,
    otherM: WATER_M,
    charge: {
      first: n.value,
      second: Math.max(0, contents.waterG.value) / WATER_M,
      staying: stays(contents, [volatile]),
    },
  };
}

/** Two liquids neither of which is water: the one that boils lower is the model’s first. */
function ofTwo(contents: Contents, two: readonly [SubstanceId, SubstanceId], pressureHPa: number): Flask | undefined {
  const found = mixtureOf(two[0], two[1], pressureHPa);
  if (!found.ok) return undefined;
  const [first, second] = found.value.first.id === two[0] ? two : [two[1], two[0]];
  const none = (id: SubstanceId) =>
    given({ symbol: 'n', name: substanceOf(id).name, unit: 'mol' }, 0, 'none of it is there');
  const [n, m] = [amountOf(contents, first) ?? none(first), amountOf(contents, second) ?? none(second)];
  if (!(n.value + m.value > 0)) return undefined;
  const M = molarMassFigure(substanceOf(second).formula);
  const other = derive(
    { symbol: 'm', name: substanceOf(second).name, unit: 'g' },
    'n × M',
    { n: m, M },
    (x) => x.n * x.M,
  );
  return {
    mixture: found.value,
    first,
    n,
    second,
    other,
    otherM: M.value,
    charge: { first: n.value, second: m.value, staying: stays(contents, two) },
  };
}

/** What boils nothing off: salts, and dirt that weighs and boils nothing differently. */
function stays(contents: Contents, boils: readonly SubstanceId[]): Charge['staying'] {
  const others = amountsOf(contents).filter(([id]) => !boils.includes(id) && substanceOf(id).water !== 'gas');
  const staying = stayingOf(others);
  return { ...staying, grams: staying.grams + Math.max(0, contents.inertG.value) };
}

export function apparatusOf({ bench }: Facts): Apparatus {
  return bench.still ?? USUAL_STILL;
}
