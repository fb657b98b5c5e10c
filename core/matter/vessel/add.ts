import { derive, type Figure } from '#base/figure';
import { must } from '#base/lookup';
import { molarMassFigure, type Substance, substanceOf } from '#matter/substance';
import { boundWater, type Contents, phaseOf, withAmount } from './contents.ts';
import { total } from './total.ts';

/** A product that goes in: its substance, mass % of it, and what the rest is. */
export interface Product {
  readonly substance: Substance;
  readonly w: Figure;
  readonly dissolved: boolean;
  /** A solid of which the rest is water. */
  readonly wet?: boolean;
  /** What else is in it, mass %. */
  readonly others?: readonly { readonly substance: Substance; readonly w: Figure }[];
  readonly name: string;
}

export interface Added {
  readonly contents: Contents;
  /** mol of the (anhydrous) substance that came in. */
  readonly amount: Figure;
  /** g of water that came in with it: in a solution, in a wet solid, in its crystals. */
  readonly waterBrought: Figure;
}

/** Puts `mass` g of a product into a vessel. A solid lies there as it is until it dissolves; see dissolve(). */
export function add(contents: Contents, product: Product, mass: Figure): Added {
  const { substance, w, dissolved, wet = false, others = [], name } = product;
  if (substance.id === 'water') {
    return {
      contents: { ...contents, waterG: total('water', 'g', contents.waterG, mass) },
      amount: mass,
      waterBrought: mass,
    };
  }
  const species = substanceOf(substance.species);
  const M = molarMassFigure(substance.formula);
  const amount = derive(
    { symbol: 'n', name: `${species.name} from ${name}`, unit: 'mol' },
    'm × w ÷ (100 × M)',
    { m: mass, w, M },
    (x) => (x.m * x.w) / (100 * x.M),
  );
  const rest = restOf(
    mass,
    [w, ...others.map((each) => each.w)],
    dissolved || wet
      ? { symbol: 'm(water)', name: `water brought by ${name}`, unit: 'g' }
      : { symbol: 'm(inert)', name: `other matter in ${name}`, unit: 'g' },
  );
  const inSolution = dissolved && phaseOf(species, true) !== 'solid';
  const bound = boundWater(amount, substance, `water brought by ${name}`);
  const brought = dissolved || wet ? [rest] : [];
  // A label may give a solution's strength as its hydrate: the crystal water is water there.
  const loose = inSolution && bound.value > 0 ? [...brought, bound] : brought;
  const waterG = loose.length > 0 ? total('water', 'g', contents.waterG, ...loose) : contents.waterG;
  const inertG = dissolved || wet ? contents.inertG : total('inert matter', 'g', contents.inertG, rest);
  const phase = inSolution ? phaseOf(species, true) : solidPhase(substance);
  return {
    amount,
    waterBrought: loose.length === 1 && inSolution ? rest : total(`water brought by ${name}`, 'g', ...brought, bound),
    contents: withOthers(
      withAmount({ ...contents, waterG, inertG }, phase, phase === 'solid' ? substance.id : species.id, amount),
      product,
      mass,
    ),
  };
}

/** What comes along with the substance: dissolved in a solution and in a wet solid, else as it lies. */
function withOthers(contents: Contents, { others = [], dissolved, wet, name }: Product, mass: Figure): Contents {
  return others.reduce((now, { substance, w }) => {
    const n = derive(
      { symbol: 'n', name: `${substance.name} that came with ${name}`, unit: 'mol' },
      'm × w ÷ (100 × M)',
      { m: mass, w, M: molarMassFigure(substance.formula) },
      (x) => (x.m * x.w) / (100 * x.M),
    );
    const species = substanceOf(substance.species);
    const phase = dissolved || wet ? phaseOf(species, true) : solidPhase(substance);
    return withAmount(now, phase, phase === 'solid' ? substance.id : species.id, n);
  }, contents);
}

/** A solid lies there; a neat liquid mixes or makes its layer. */
function solidPhase(substance: Substance) {
  return substance.form === 'solid' || substance.form === 'metal' ? 'solid' : phaseOf(substance, true);
}

/** What is left of 100 % by all that is named: never less than nothing. */
function restOf(mass: Figure, [first, ...others]: readonly Figure[], naming: Parameters<typeof derive>[0]): Figure {
  const w = must(first, 'share');
  if (others.length === 0)
    return derive(naming, 'm × (100 − w) ÷ 100', { m: mass, w }, (x) => (x.m * (100 - x.w)) / 100);
  const o = total('all else that is named', '%', ...others);
  return derive(
    naming,
    'm × max(0; 100 − w − o) ÷ 100',
    { m: mass, w, o },
    (x) => (x.m * Math.max(0, 100 - x.w - x.o)) / 100,
  );
}
