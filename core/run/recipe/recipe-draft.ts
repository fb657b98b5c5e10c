import { allSubstances, type Substance, substanceById } from '#matter/substance';
import { type OwnDraft, roleId } from '#run/own';
import { bottlesForRole, type ShelfBottle } from '#run/route';
import type { Ingredient, RecipeRead } from './recipe.ts';

/** A recipe as a batch of one's own: with these bottles, for so much; what no bottle holds is named. */
export interface RecipeDraft extends Pick<OwnDraft, 'text' | 'bottles' | 'equations' | 'controls'> {
  readonly lacking: readonly string[];
}

/** g of product that is asked for where a recipe does not say. */
const USUAL_G = 20;
/** More is not meant, %. */
const MOST_EXCESS = 300;

/** Rescaled to a target and to the bottles of a shelf: proportions stay, strengths are those of the bottles. */
export function recipeDraft(
  read: RecipeRead,
  shelf: readonly ShelfBottle[],
  wantedG: number | null,
): RecipeDraft | null {
  const { makes, reaction, equation, purifies } = read;
  if (!makes || (!reaction && !purifies)) return null;
  const takesPart = new Set(reaction ? reaction.reactants.map(({ substanceId }) => substanceId) : [makes.species]);
  const taken = read.ingredients
    .filter(({ substance }) => substance.id !== 'water')
    // What limits comes first: the others are counted by it.
    .sort((a, b) => Number(b.limits) - Number(a.limits));
  const all: readonly Pick<Ingredient, 'substance' | 'times'>[] = [
    ...taken.filter(({ substance }) => takesPart.has(substance.species)),
    ...(read.lacks ? [{ substance: read.lacks, times: null }] : []),
    ...taken.filter(({ substance }) => !takesPart.has(substance.species)),
  ];
  const found = all.map((each) => ({ ...each, bottle: bottleOf(each.substance, shelf) }));
  const there = found.flatMap(({ bottle, times }) => (bottle ? [{ bottle, times }] : []));
  const controls = there.flatMap(({ bottle, times }, i) => {
    const substance = substanceById(bottle.card.substanceId);
    if (!substance || times === null || i === 0) return [];
    return [[`over-${roleId(substance)}`, Math.min(MOST_EXCESS, Math.max(0, Math.round(100 * (times - 1))))] as const];
  });
  const g = wantedG ?? read.promisedG ?? USUAL_G;
  return {
    text: `${Number(Math.min(g, read.theoryG && !wantedG ? read.theoryG : g).toPrecision(3))} g ${makes.name}`,
    bottles: there.map(({ bottle }) => bottle.id),
    equations: [equation].filter((each) => each !== ''),
    controls: Object.fromEntries(controls),
    lacking: found.flatMap(({ bottle, substance }) => (bottle ? [] : [substance.name])),
  };
}

function bottleOf(substance: Substance, shelf: readonly ShelfBottle[]): ShelfBottle | undefined {
  const alike = allSubstances.filter(({ species }) => species === substance.species).map(({ id }) => id);
  const accepts = [...new Set([substance.id, ...alike])];
  const nothing = { refuses: [], tolerates: '', measure: 'mass', dose: { by: 'extent', perExtent: 1 } } as const;
  return bottlesForRole({ id: 'any', name: substance.name, accepts, ...nothing }, shelf)[0];
}
