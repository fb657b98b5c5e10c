// A recipe as found: amounts in old units, substances by their names, an equation, and what is odd or missing in it.

export { readRecipe } from './read-recipe.ts';
export type { Ingredient, RecipeRead } from './recipe.ts';
export { type RecipeDraft, recipeDraft } from './recipe-draft.ts';
