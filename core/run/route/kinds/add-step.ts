import { substanceOf } from '#matter/substance';
import type { Recipe } from '#run/technique';
import { step } from '../catalogue/step.ts';
import type { StepTemplate } from '../route.ts';

/** A bottle goes in; what reacts as it does. */
export function addStep(
  recipe: Pick<Recipe, 'roles' | 'reactions'>,
  { id, role, reacts }: { readonly id: string; readonly role: string; readonly reacts: readonly string[] },
): StepTemplate {
  const found = recipe.roles.find((each) => each.id === role);
  const amount = found?.measure === 'volume' ? `{${role}.volume}` : `{${role}.mass}`;
  const gases = reacts.flatMap((reaction) => gasesOf(recipe, reaction));
  const pace = reacts.map((reaction) => paceOf(recipe, reaction)).find((each) => each !== null) ?? null;
  return step({
    id,
    title: `Add ${amount} of {${role}.name}`,
    act:
      gases.length > 0
        ? `Measure ${amount} of {${role}.name}; add it in small parts, stirring, and let each calm down.`
        : `Measure ${amount} of {${role}.name}, and add it stirring.`,
    ...(gases.length > 0 ? { until: 'All is in, and the fizzing has ended.' } : {}),
    expect: gases.length > 0 ? 'Gas comes off as it goes in.' : 'As the equation says.',
    why: reacts.length > 0 ? 'It reacts with what is there.' : 'It is there for what follows.',
    op: { do: 'add', role, ...(reacts.length > 0 ? { reacts } : {}) },
    adding: pace,
    where: placeFor(gases),
    cautions: [
      ...(gases.includes('hydrogen') ? (['hydrogen'] as const) : []),
      ...(gases.includes('carbon-dioxide') ? (['foam'] as const) : []),
      ...(gases.includes('ammonia-gas') ? (['ammonia-gas'] as const) : []),
      ...(gases.includes('hydrogen-chloride') ? (['acid-gas'] as const) : []),
    ],
    handsOnMin: gases.length > 0 ? 20 : 5,
  });
}

function gasesOf({ reactions }: Pick<Recipe, 'reactions'>, id: string): readonly string[] {
  const reaction = reactions.find((each) => each.id === id);
  return (reaction?.products ?? [])
    .map(({ substanceId }) => substanceId)
    .filter((each) => substanceOf(each).form === 'gas');
}

/** Half of a metal is through in so many minutes, of a carbonate in so many; by the eye, and no better than a factor of three. */
const METAL_MIN = 20;
const CARBONATE_MIN = 1;

/** How an addition that gives gas goes on; null where none comes. */
export function paceOf(recipe: Pick<Recipe, 'reactions'>, id: string): StepTemplate['adding'] {
  const reaction = recipe.reactions.find((each) => each.id === id);
  if (!reaction || gasesOf(recipe, id).length === 0) return null;
  const metal = reaction.reactants.some(({ substanceId }) => substanceOf(substanceId).form === 'metal');
  return {
    halfLifeMin: metal ? METAL_MIN : CARBONATE_MIN,
    foamPerGas: metal ? 0 : 0.25,
    endpoint: 'no more fizzing',
    overshoot: '',
  };
}

function placeFor(gases: readonly string[]): StepTemplate['where'] {
  if (gases.length === 0) return 'anywhere';
  return gases.some((gas) => gas !== 'carbon-dioxide') ? 'outdoors' : 'ventilated';
}
