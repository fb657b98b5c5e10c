import type { Reaction } from '#matter/reaction';
import type { Substance } from '#matter/substance';

/** Something that a recipe takes. */
export interface Ingredient {
  readonly substance: Substance;
  /** Words of the recipe, and what was made of them. */
  readonly typed: string;
  readonly says: string;
  /** g of the product as it is taken; null where the recipe does not say how much. */
  readonly grams: number | null;
  /** Half-width, as a share. */
  readonly band: number;
  readonly pct: number;
  /** True where nothing said how strong it is. */
  readonly taken: boolean;
  /** mol of the substance itself. */
  readonly mol: number | null;
  /** How many times of what the limiting one can use; null where it stands in no equation. */
  readonly times: number | null;
  readonly limits: boolean;
}

export interface RecipeStep {
  readonly text: string;
  /** Kinds of step that its words speak of, in order. */
  readonly kinds: readonly string[];
  readonly tempsC: readonly number[];
}

export interface RecipeRead {
  readonly makes: Substance | null;
  /** g that the recipe promises. */
  readonly promisedG: number | null;
  readonly ingredients: readonly Ingredient[];
  /** g of water, that of solutions besides. */
  readonly waterG: number;
  readonly reaction: Reaction | null;
  readonly equation: string;
  /** Nothing reacts: what is taken is made purer. */
  readonly purifies: boolean;
  /** What the equation wants besides what the recipe takes. */
  readonly lacks: Substance | null;
  /** g of product that the limiting reagent can give. */
  readonly theoryG: number | null;
  readonly steps: readonly RecipeStep[];
  /** What does not fit, one sentence each. */
  readonly odd: readonly string[];
  /** What it leaves out. */
  readonly missing: readonly string[];
}
