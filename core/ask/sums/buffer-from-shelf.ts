import { derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { type BufferAsked, type BufferRecipe, bufferRecipe } from '#matter/equilibrium';
import { type Content, contentOf, type ShelfBottle } from '#matter/stock';
import { molarMassFigure, substanceById, substanceOf } from '#matter/substance';

export interface BufferPart {
  readonly name: string;
  readonly mol: number;
  /** g of the pure substance. */
  readonly pureG: Figure;
  /** What that is of a bottle that stands on the shelf; null where none does. */
  readonly bottle: {
    readonly id: string;
    readonly name: string;
    readonly grams: Figure;
    readonly mL: Figure | null;
  } | null;
}

export interface BufferFromShelf {
  readonly recipe: BufferRecipe;
  readonly parts: readonly BufferPart[];
  /** Substances of which no bottle stands there. */
  readonly wanting: readonly string[];
}

interface Shelf {
  readonly bottles: readonly ShelfBottle[];
  readonly day: string;
}

/** A buffer by what stands on the shelf: so many grams (or mL) of which bottle. */
export function bufferFromShelf(
  asked: BufferAsked & { readonly volumeMl: number },
  { bottles, day }: Shelf,
): Result<BufferFromShelf> {
  const { volumeMl, ...of } = asked;
  const recipe = bufferRecipe(of, volumeMl);
  if (!recipe.ok) return recipe;
  const parts = recipe.value.parts
    .filter(({ mol }) => mol > 0)
    .map(({ substanceId, mol }): BufferPart => {
      const substance = substanceById(substanceId);
      const formula = substance?.formula ?? 'H2O';
      const n = given(
        { symbol: 'n', name: `${substance?.name ?? substanceId} wanted`, unit: 'mol' },
        mol,
        'the recipe',
      );
      const pureG = derive(
        { symbol: 'm', name: 'pure', unit: 'g' },
        'n × M',
        { n, M: molarMassFigure(formula) },
        (x) => x.n * x.M,
      );
      const found = substance && richest(substance.species, bottles, { tempC: asked.tempC, day });
      return { name: substance?.name ?? substanceId, mol, pureG, bottle: found ? fromBottle(found, n) : null };
    });
  return ok({ recipe: recipe.value, parts, wanting: parts.flatMap(({ name, bottle }) => (bottle ? [] : [name])) });
}

interface Found {
  readonly bottle: ShelfBottle;
  readonly content: Content;
}

/** The strongest that stands there: least water comes along. */
function richest(
  species: string,
  bottles: readonly ShelfBottle[],
  { tempC, day }: { readonly tempC: number; readonly day: string },
): Found | undefined {
  const found = bottles.flatMap((bottle): Found[] => {
    const substance = substanceById(bottle.card.substanceId);
    if (bottle.archived || substance?.species !== species || bottle.card.others.length > 0) return [];
    const content = contentOf(bottle, tempC, day);
    return content.ok && content.value.w.value > 0 ? [{ bottle, content: content.value }] : [];
  });
  return found.sort((a, b) => b.content.w.value - a.content.w.value)[0];
}

function fromBottle({ bottle, content }: Found, n: Figure): NonNullable<BufferPart['bottle']> {
  const M = molarMassFigure(substanceOf(content.substance.id).formula);
  const grams = derive(
    { symbol: 'm', name: `${bottle.card.name} to take`, unit: 'g' },
    '100 × n × M ÷ w',
    { n, M, w: content.w },
    (x) => (100 * x.n * x.M) / x.w,
  );
  const mL = content.density
    ? derive(
        { symbol: 'V', name: `${bottle.card.name} to take`, unit: 'mL' },
        'm ÷ ρ',
        { m: grams, ρ: content.density },
        (x) => x.m / x.ρ,
      )
    : null;
  return { id: bottle.id, name: bottle.card.name, grams, mL };
}
