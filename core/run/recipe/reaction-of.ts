import { complete, type Reaction } from '#matter/reaction';
import { findSubstance, type Substance, type SubstanceId, speciesOf, substanceOf } from '#matter/substance';

/** What most often is left out: tried in this order. */
const OFTEN = [
  'sulfuric-acid',
  'hydrochloric-acid',
  'acetic-acid',
  'sodium-carbonate',
  'sodium-hydroxide',
  'hydrogen-peroxide',
] as const;

/** The equation of a recipe, with what it would take besides; null where none is found. */
export function balancedWith(
  ingredients: readonly Taken[],
  makes: Substance,
): { readonly reaction: Reaction; readonly lacks: Substance | null } | null {
  const plain = reactionOf(ingredients, makes);
  if (plain) return { reaction: plain, lacks: null };
  for (const id of OFTEN) {
    if (ingredients.some(({ substance }) => substance.species === id)) continue;
    const lacks = substanceOf(id);
    const reaction = reactionOf([...ingredients, { substance: lacks }], makes);
    if (reaction) return { reaction, lacks };
  }
  return null;
}

/** Something that goes in, with its mass % where it is known. */
interface Taken {
  readonly substance: Substance;
  readonly pct?: number;
}

/** Mass % of nitric acid from which a metal gives the brown gas, and below which nitric oxide; about, both come of both. */
const BROWN_FROM_PCT = 40;

/** The gas of a metal in nitric acid: nobody writes it into a recipe. */
function gasOf(ingredients: readonly Taken[]): readonly string[] {
  const acid = ingredients.find(({ substance }) => substance.species === 'nitric-acid');
  if (!acid || !ingredients.some(({ substance }) => substance.form === 'metal')) return [];
  return [(acid.pct ?? 100) >= BROWN_FROM_PCT ? 'NO2' : 'NO'];
}

/** The equation from what is taken to what is made; null where none balances. */
function reactionOf(ingredients: readonly Taken[], makes: Substance): Reaction | null {
  const gas = gasOf(ingredients);
  const species = [...new Set(ingredients.map(({ substance }) => substance.species))].map(substanceOf);
  const product = speciesOf(makes);
  // As many of them as can take part: a washing liquid or a solvent does not.
  for (const left of subsets(species)) {
    for (const water of [[], ['H2O']]) {
      const found = complete([...left.map(({ formula }) => formula), ...water], [product.formula, ...gas]);
      if (!found.ok) continue;
      const { equation, coefficients } = found.value;
      const idOf = (formula: string) =>
        [...left, product].find((each) => each.formula === formula)?.id ??
        findSubstance(formula)?.id ??
        idOfHidden(formula);
      const terms = [...equation.left, ...equation.right].map(({ text }, i) => ({
        substanceId: idOf(text),
        n: coefficients[i] ?? 1,
      }));
      if (terms.some(({ substanceId }) => substanceId === undefined)) continue;
      const sure = terms as { substanceId: SubstanceId; n: number }[];
      return {
        id: 'recipe',
        reactants: sure.slice(0, equation.left.length),
        products: sure.slice(equation.left.length),
      };
    }
  }
  return null;
}

const HIDDEN: Readonly<Record<string, SubstanceId>> = {
  CO2: 'carbon-dioxide',
  H2: 'hydrogen',
  O2: 'oxygen',
  H2O: 'water',
  NO2: 'nitrogen-dioxide',
  NO: 'nitric-oxide',
};
const idOfHidden = (formula: string): SubstanceId | undefined => HIDDEN[formula];

/** More than this many are not tried in all their choices. */
const MOST = 6;

/** All of them first, then each with one or two left out. */
function subsets(all: readonly Substance[]): readonly (readonly Substance[])[] {
  const some = all.slice(0, MOST);
  const without = (out: readonly number[]) => some.filter((_, i) => !out.includes(i));
  const sets = [
    some,
    ...some.map((_, i) => without([i])),
    ...some.flatMap((_, i) => some.map((__, j) => without([i, j]))),
  ];
  return sets.filter(({ length }) => length > 0);
}
