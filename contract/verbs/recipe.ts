import { ok, type Result } from '#base/problem';
import { fields, note, nullable, number } from '#base/shape';
import { shelfShape } from '#matter/stock';
import { type RecipeDraft, type RecipeRead, readRecipe, recipeDraft } from '#run/recipe';
import { verb } from '../verb.ts';

/** A recipe as found: what it takes and gives, what is odd and missing in it, and the same as a batch of one's own from this shelf. */
export const recipe = verb({
  name: 'recipe',
  input: fields({ text: note(10_000), wantedG: nullable(number({ moreThan: 0, max: 20_000 })), shelf: shelfShape }),
  run: ({ text, wantedG, shelf }): Result<{ readonly read: RecipeRead; readonly draft: RecipeDraft | null }> => {
    const read = readRecipe(text);
    return read.ok ? ok({ read: read.value, draft: recipeDraft(read.value, shelf, wantedG) }) : read;
  },
  example: {
    text: 'Basic copper carbonate. Dissolve 50 g of copper sulfate in a cup of hot water; add 3 tablespoons of washing soda in half a pint of water. Filter, wash, dry in air. Gives 14 g of copper carbonate.',
    wantedG: null,
    shelf: [],
  },
});
