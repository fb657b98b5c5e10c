import { itemAt, must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { admit } from '#matter/guard';
import { type Reaction, reactionText } from '#matter/reaction';
import { allSubstances, isInsoluble, type Substance, type SubstanceId, substanceOf } from '#matter/substance';
import { solubilityRange } from '#model/dish';
import { ceilingOf } from '#model/dry';
import { addStep, type PutIn, plainWater, type Route, type StepTemplate, stepKinds } from '#run/route';
import type { Control, Recipe, Role } from '#run/technique';
import { crystalOf } from './crystal.ts';
import { sharesOf } from './shares.ts';

/** What a person says of a batch of one's own. */
export interface OwnAsking {
  readonly makes: SubstanceId;
  readonly as: 'solid' | 'solution';
  /** What goes in, in the order it was taken: as the bottles hold it. */
  readonly reagents: readonly SubstanceId[];
  /** Balanced; none where nothing has to react, as in purifying. */
  readonly reactions: readonly Reaction[];
}

/** Losses of a careful hand that has not done this before, %, and g that paper and vessel keep. */
const HANDLING = { lossPct: 5, sdPct: 3, holdG: 0.5 } as const;
/** g of water for 100 g of the first reagent, where no reagent brings its own. */
const WATER = 300;
/** Excess that a reagent besides the first is given to begin with, %. */
const EXCESS = 3;

/** A route of one's own, with the steps that such a batch usually has: a beginning, to be changed. */
export function ownRoute(asking: OwnAsking): Result<Route> {
  const asked = substanceOf(asking.makes);
  const made = asking.as === 'solid' ? crystalOf(asked).solid : asked;
  const species = substanceOf(made.species);
  const allowed = admit({ substanceId: made.id }, 'make');
  if (!allowed.ok) return allowed;
  for (const substanceId of asking.reagents) {
    const taken = admit({ substanceId }, 'take');
    if (!taken.ok) return { ok: false, problem: { ...taken.problem, field: 'bottles' } };
  }
  if (made.id === 'water') return fail('no-route', 'Water needs no batch.', { field: 'makes' });
  if (asking.reagents.length === 0)
    return fail('no-bottle', 'Take what goes in from the shelf: one bottle at least.', { field: 'bottles' });
  const brought = oncePerSpecies(asking.reagents);
  const own = brought.find((each) => each.species === species.id);
  if (asking.reactions.length === 0 && !own) {
    const sentence = `No bottle here holds ${made.name}, and no equation makes it: write what reacts.`;
    return fail('missing-part', sentence, { field: 'equation' });
  }
  const shares =
    asking.reactions.length === 0
      ? ok({ perExtent: new Map([[species.id, 1]]), order: [] })
      : sharesOf(asking.reactions, species.id, new Set(brought.map((each) => each.species)));
  if (!shares.ok) return shares;
  const parts = partsOf(asking, brought, shares.value.perExtent);
  const recipe = {
    makes:
      asking.as === 'solution'
        ? { kind: 'solution' as const, role: itemAt(parts.roles, 0).id, substanceId: species.id }
        : { kind: 'solid' as const, substanceId: made.id, anhydrousId: species.id },
    roles: [...parts.roles, parts.water],
    reactions: shares.value.order,
    controls: parts.controls,
    handling: HANDLING,
    foamShare: shares.value.order.some(givesCarbonDioxide) ? 0.5 : 0,
    drying: asking.as === 'solid' ? dryingOf(made) : null,
  };
  const steps = stepsOf(recipe, { ...asking, makes: made.id }, brought);
  return ok({
    id: 'own',
    title: `${made.name}, my own`,
    summary: shares.value.order.map(reactionText).join('; ') || `${made.name}, made purer`,
    source: 'your own',
    ...recipe,
    controls: [...parts.controls, ...steps.flatMap((each) => each.controls)],
    byProducts: asking.as === 'solid' ? [{ name: 'mother liquor', keep: 'Keep it until the yield is known.' }] : [],
    identity: [],
    storage: '',
    steps: steps.map((each) => each.step),
  });
}

/** Two bottles of one thing, or of two hydrates of it, are one reagent. */
function oncePerSpecies(reagents: readonly SubstanceId[]): readonly Substance[] {
  const by = new Map<SubstanceId, Substance>();
  for (const each of reagents.map(substanceOf))
    if (each.id !== 'water' && !by.has(each.species)) by.set(each.species, each);
  return [...by.values()];
}

const givesCarbonDioxide = ({ products }: Reaction) =>
  products.some(({ substanceId }) => substanceId === 'carbon-dioxide');

function dryingOf(made: Substance): Route['drying'] {
  const ceiling = ceilingOf(made);
  return ceiling ? { ceilingC: ceiling.tempC, short: 'changes above', why: ceiling.why } : null;
}

/** Roles and their controls: by the equation, or so much for each 100 g of the first. */
function partsOf(
  asking: OwnAsking,
  brought: readonly Substance[],
  perExtent: ReadonlyMap<SubstanceId, number>,
): { readonly roles: readonly Role[]; readonly water: Role; readonly controls: readonly Control[] } {
  const counted = brought.filter(({ species }) => perExtent.has(species));
  const aside = brought.filter(({ species }) => !perExtent.has(species));
  const controls: Control[] = [];
  const roles = [
    ...counted.map((each, i) => {
      const id = roleId(each);
      controls.push(excess(id, each, i === 0 ? 0 : EXCESS));
      return role(id, each, {
        by: 'extent',
        perExtent: must(perExtent.get(each.species), 'perExtent'),
        excessControl: `over-${id}`,
      });
    }),
    ...aside.map((each) => {
      const id = roleId(each);
      controls.push(share(id, each, itemAt(counted, 0)));
      return role(id, each, { by: 'per-gram', role: roleId(itemAt(counted, 0)), control: `share-${id}` });
    }),
  ];
  const first = itemAt(roles, 0);
  const hot =
    asking.reactions.length === 0 && asking.as === 'solid'
      ? solubilityRange(substanceOf(itemAt(counted, 0).species))
      : undefined;
  if (hot) {
    controls.push(...hotControls(hot));
    return {
      roles,
      controls,
      water: plainWater({ by: 'to-dissolve', role: first.id, control: 'hot', spare: 'spare' }),
    };
  }
  controls.push(waterControl(itemAt(counted, 0), brought.some(bringsWater) ? 0 : WATER));
  return { roles, controls, water: plainWater({ by: 'per-gram', role: first.id, control: 'water' }) };
}

const bringsWater = ({ form }: Substance) => form === 'dissolved' || form === 'liquid';

/** As long as an id of a role may be, so that those of its controls fit. */
const LONGEST = 30;

/** The id of the role that a substance plays: the same wherever its bottle stands among the others. */
export function roleId({ id }: Pick<Substance, 'id'>): string {
  if (id.length <= LONGEST && /^[a-z][\w-]*$/.test(id)) return id;
  const letters = id
    .replace(/^own:/, '')
    .replace(/[^a-z]+/gi, '-')
    .toLowerCase()
    .slice(0, 20);
  return `r-${letters}-${shortSum(id)}`;
}

/** Four letters that tell long ids apart. */
function shortSum(text: string): string {
  let sum = 7;
  for (const letter of text) sum = (sum * 31 + (letter.codePointAt(0) ?? 0)) % 1_679_616;
  return sum.toString(36).padStart(4, '0');
}

function role(id: string, substance: Substance, dose: Role['dose']): Role {
  const alike = allSubstances
    .filter((each) => each.species === substance.species && each.onShelf)
    .map((each) => each.id);
  return {
    id,
    name: substance.name.slice(0, 80),
    accepts: [...new Set([substance.id, ...alike])],
    refuses: [],
    tolerates: '',
    measure: bringsWater(substance) ? 'volume' : 'mass',
    dose,
  };
}

const excess = (id: string, { name }: Substance, start: number): Control => ({
  id: `over-${id}`.slice(0, 40),
  name: `${name} in excess`.slice(0, 80),
  unit: '%',
  min: 0,
  max: 300,
  step: 1,
  start,
  note: 'What is over does not react: it stays in the liquor, or in the product.',
});

const share = (id: string, { name }: Substance, of: Substance): Control => ({
  id: `share-${id}`.slice(0, 40),
  name: `${name}, g for each 100 g of ${of.name}`.slice(0, 80),
  unit: 'g',
  min: 0,
  max: 2000,
  step: 1,
  start: 10,
  note: 'It stands in no equation: how much of it is yours to say.',
});

const waterControl = ({ name }: Substance, start: number): Control => ({
  id: 'water',
  name: `water, g for each 100 g of ${name}`.slice(0, 80),
  unit: 'g',
  min: 0,
  max: 5000,
  step: 10,
  start,
  note: 'More dissolves and cools better, and has to be boiled off again.',
});

function hotControls([least, most]: readonly [number, number]): readonly Control[] {
  const top = Math.min(95, Math.floor(most));
  const bottom = Math.max(10, Math.ceil(least));
  return [
    {
      id: 'hot',
      name: 'dissolve at',
      unit: '°C',
      min: Math.min(bottom, top),
      max: Math.max(bottom, top),
      step: 1,
      start: Math.min(80, Math.max(bottom, top)),
      note: 'Hotter takes less water and leaves less in the liquor.',
    },
    {
      id: 'spare',
      name: 'water to spare',
      unit: '%',
      min: 0,
      max: 100,
      step: 1,
      start: 10,
      note: 'So that nothing crystallises in the filter.',
    },
  ];
}

/** The steps such a batch usually has: what goes in, what is left behind, and how the product is got out of it. */
function stepsOf(recipe: Recipe, asking: OwnAsking, brought: readonly Substance[]): readonly PutIn[] {
  const put = (kind: string, id = kind): PutIn =>
    must(
      stepKinds.find((each) => each.id === kind),
      'stepKinds',
    ).make(recipe, id, '');
  const only = (step: StepTemplate): PutIn => ({ step, controls: [] });
  const adds = addsOf(recipe, brought).map(({ role: of, reacts }) =>
    only(addStep(recipe, { id: `add-${of}`.slice(0, 60), role: of, reacts })),
  );
  const made = substanceOf(asking.makes);
  const solidLeft = brought.some((each) => isInsoluble(substanceOf(each.species)));
  if (asking.as === 'solution') return [...adds, ...(solidLeft ? [put('filter-off')] : []), put('make-up')];
  if (isInsoluble(substanceOf(made.species)))
    return [...adds, put('precipitate'), put('collect'), put('wash'), put('dry')];
  const purifies = recipe.reactions.length === 0;
  const hot = recipe.controls.some(({ id }) => id === 'hot');
  const known = solubilityRange(substanceOf(made.species)) !== undefined;
  const dissolve: PutIn = hot
    ? only({
        ...put('dissolve').step,
        title: 'Warm to {set.hot} and stir until it is dissolved',
        op: { do: 'dissolve', control: 'hot' },
      })
    : put('dissolve');
  const thick = known ? put('boil-down') : put('evaporate');
  return [
    ...adds,
    ...(purifies ? [dissolve] : []),
    ...(purifies || solidLeft ? [put('filter-off')] : []),
    ...(hot ? [] : [thick]),
    put('crystallise'),
    put('collect'),
    put('dry'),
  ];
}

interface Goes {
  readonly role: string;
  readonly reacts: readonly string[];
}

/** Water first, then what each equation takes, liquids before solids; each equation goes when the last of it is in. */
function addsOf(recipe: Recipe, brought: readonly Substance[]): readonly Goes[] {
  const ids = recipe.roles
    .filter(({ accepts }) => accepts.length > 0)
    .map(({ id, accepts }) => ({ id, of: substanceOf(itemAt(accepts, 0)) }));
  const order: string[] = [];
  const putIn = (id: string) => {
    if (!order.includes(id)) order.push(id);
  };
  const reactsAt = new Map<string, string[]>();
  for (const reaction of recipe.reactions) {
    const takes = ids.filter(({ of }) => reaction.reactants.some(({ substanceId }) => substanceId === of.species));
    const [wet, dry] = [takes.filter(({ of }) => bringsWater(of)), takes.filter(({ of }) => !bringsWater(of))];
    for (const { id } of [...wet, ...dry]) putIn(id);
    const last = order.at(-1);
    const at =
      [...takes]
        .map(({ id }) => id)
        .sort((a, b) => order.indexOf(a) - order.indexOf(b))
        .at(-1) ?? last;
    // What it takes may be made by one that goes later than its own bottles.
    const after = later(
      order,
      at,
      [...reactsAt].find(([, made]) => made.some((id) => feeds(recipe, id, reaction)))?.[0],
    );
    if (after) reactsAt.set(after, [...(reactsAt.get(after) ?? []), reaction.id]);
  }
  for (const { id } of ids) putIn(id);
  const water = recipe.roles.find(({ accepts }) => accepts.length === 0);
  const purifies = recipe.reactions.length === 0 && brought.length > 0;
  const goes = order.map((id) => ({ role: id, reacts: reactsAt.get(id) ?? [] }));
  const waterGoes = water ? [{ role: water.id, reacts: [] }] : [];
  // Water that dissolves what is purified comes to it; else water stands there first.
  return purifies ? [...goes, ...waterGoes] : [...waterGoes, ...goes];
}

function later(order: readonly string[], a: string | undefined, b: string | undefined): string | undefined {
  if (a === undefined) return b;
  if (b === undefined) return a;
  return order.indexOf(b) > order.indexOf(a) ? b : a;
}

function feeds({ reactions }: { readonly reactions: readonly Reaction[] }, id: string, into: Reaction): boolean {
  const maker = reactions.find((each) => each.id === id);
  return (maker?.products ?? []).some((made) =>
    into.reactants.some(({ substanceId }) => substanceId === made.substanceId),
  );
}
