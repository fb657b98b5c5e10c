import { datum, derive, type Figure, given } from '#base/figure';
import { type Reaction, reactionHeat, reactionText, sideReactions } from '#matter/reaction';
import { heatOfDilution } from '#matter/solution';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import {
  amountOf,
  at,
  type Contents,
  dissolve,
  holding,
  ledOff,
  type Place,
  react,
  slurryVolume,
  speciesAmount,
  total,
} from '#matter/vessel';
import { AS_IT_REALLY_IS, type Facts, reactionOf, speciesMade } from './facts.ts';
import { bookDissolving } from './heat.ts';
import type { Doing } from './outcome.ts';

/** Lets a reaction of the recipe go to its end with what is in a vessel. */
export function letReact(doing: Doing, facts: Facts, place: Place, reactionId: string): void {
  const reaction = reactionOf(facts, reactionId);
  const { begun } = doing.progress;
  if (!begun.includes(reactionId)) doing.progress = { ...doing.progress, begun: [...begun, reactionId] };
  run(doing, facts, place, reaction);
}

/**
 * After something unplanned went in: the recipe's reactions that have begun go on, then whatever acids, bases and salts do. What
 * an equation of the recipe is about waits for its step; all of them wait where a step's reaction goes only as far as it is read.
 */
export function reactOn(doing: Doing, facts: Facts, place: Place, waits = false): void {
  if (!waits) for (const id of doing.progress.begun) run(doing, facts, place, reactionOf(facts, id));
  for (const reaction of sideReactions()) if (!isOfRecipe(facts, reaction)) run(doing, facts, place, reaction);
}

/** What goes in by the plan meets what was left over of an acid or a lye, before it does what the recipe says. */
export function meetLeftOver(doing: Doing, facts: Facts, place: Place, species: SubstanceId): void {
  for (const reaction of leftOverFor(facts, species)) run(doing, facts, place, reaction);
}

/** Reactions of a species with what may be left over in a vessel that no equation of the recipe is about. */
export function leftOverFor(facts: Facts, species: SubstanceId): readonly Reaction[] {
  if (facts.tables < AS_IT_REALLY_IS) return [];
  return sideReactions().filter((side) => namesOf(side).includes(species) && !isOfRecipe(facts, side));
}

const namesOf = ({ reactants }: Reaction) => reactants.map(({ substanceId }) => substanceId);

/** Whether an equation of the recipe takes the same things. */
function isOfRecipe({ recipe }: Facts, side: Reaction): boolean {
  return recipe.reactions.some((own) => namesOf(side).every((id) => id === 'water' || namesOf(own).includes(id)));
}

function run(doing: Doing, facts: Facts, place: Place, reaction: Reaction): void {
  const before = drawnIn(doing, place, reaction);
  const done = react(before, reaction);
  if (!done || done.extent.value <= 0) return;
  doing.vessels = ledOff(holding(doing.vessels, place, done.contents), done.gases);
  const { progress } = doing;
  const limiting = progress.madeBy.get(done.limiting) ?? done.limiting;
  const madeBy = new Map([
    ...progress.madeBy,
    ...reaction.products.map(({ substanceId }) => [substanceId, limiting] as const),
  ]);
  doing.progress = makesProduct(facts, reaction)
    ? { ...progress, madeBy, limiting, extent: inAll(progress.extent, ownExtent(facts, reaction, done.extent)) }
    : { ...progress, madeBy };
  doing.reactMl = Math.max(doing.reactMl, slurryVolume(done.contents, facts.tables));
  doing.gases.push(...done.gases);
  bookHeat(doing, reaction, done.extent, before);
}

const inAll = (before: Figure | undefined, more: Figure): Figure =>
  before ? total('extent of reaction, in all', 'mol', before, more) : more;

/** The extent of a reaction that makes the product, in mol of the recipe’s own equation for it. */
function ownExtent(facts: Facts, reaction: Reaction, extent: Figure): Figure {
  const id = speciesMade(facts);
  const made = ({ products }: Reaction) => products.find(({ substanceId }) => substanceId === id)?.n;
  const own = facts.recipe.reactions.find((each) => made(each) !== undefined);
  const [n, each] = [made(reaction) ?? 1, (own && made(own)) ?? 1];
  if (n === each) return extent;
  const naming = { symbol: 'ξ', name: 'extent, as the recipe counts it', unit: 'mol' };
  return derive(naming, `ξ × ${n} ÷ ${each}`, { ξ: extent }, (x) => (x.ξ * n) / each);
}

/** What takes part dissolves as it is used up, however little of it the water holds at once. Booked only if it reacts. */
function drawnIn(doing: Doing, place: Place, reaction: Reaction): Contents {
  const contents = at(doing.vessels, place);
  const takesPart = new Set(reaction.reactants.map(({ substanceId }) => substanceId));
  const lacking = [...takesPart].some((id) => id !== 'water' && !speciesAmount(contents, id));
  if (lacking) return contents;
  const drawn = dissolve(contents, ({ id }) => (takesPart.has(id) ? undefined : 'stays'));
  if (drawn.dissolved.length > 0) {
    doing.vessels = holding(doing.vessels, place, drawn.contents);
    bookDissolving(doing, drawn.dissolved, drawn.contents);
  }
  return drawn.contents;
}

function makesProduct(facts: Facts, reaction: Reaction): boolean {
  const id = speciesMade(facts);
  return id === undefined || reaction.products.some(({ substanceId }) => substanceId === id);
}

/** Heat of a reaction, with what its acid still had to give on dilution; not known where a formation enthalpy lacks. */
function bookHeat(doing: Doing, reaction: Reaction, extent: Figure, before: Contents): void {
  const dH = reactionHeat(reaction);
  if (dH === undefined) {
    doing.notKnown.push({ what: 'heat', says: `No heat is held for ${reactionText(reaction)}.` });
    return;
  }
  const q = datum(
    { symbol: 'q', name: 'heat of reaction, what is dissolved at infinite dilution', unit: 'kJ/mol' },
    -dH - acidShortfall(reaction, before),
    { source: 'NBS 1982 formation enthalpies and Circular 500 heats of solution, Hess', grade: 'B' },
  );
  doing.heats.push({
    of: reactionText(reaction),
    heat: derive({ symbol: 'Q', name: 'heat of reaction', unit: 'kJ' }, 'ξ × q', { ξ: extent, q }, (x) => x.ξ * x.q),
  });
}

/**
 * kJ per mol that an acid of the reaction at its strength in the vessel lies below infinite dilution; it is set free too as
 * the reaction uses the acid up. Negative of the remaining heat of dilution.
 */
function acidShortfall(reaction: Reaction, contents: Contents): number {
  for (const { substanceId, n } of reaction.reactants) {
    const substance = substanceOf(substanceId);
    const mol = contents.aqueous[substanceId]?.value;
    if (!mol || substance.form !== 'dissolved') continue;
    const soluteG = mol * molarMass(substance.formula);
    const heat = heatOfDilution(substance, (100 * soluteG) / (soluteG + contents.waterG.value), 0);
    if (heat) return -heat.kJPerMol * n;
  }
  return 0;
}

/** The solid among a reaction's reactants: metal, or what does not dissolve. */
export function solidReactant(reaction: Reaction): SubstanceId | undefined {
  return reaction.reactants.map(({ substanceId }) => substanceId).find((id) => substanceOf(id).water === 'insoluble');
}

/** With solid left over, what should have dissolved it was spent, whatever its label says. */
export function spendOther(doing: Doing, place: Place, reaction: Reaction, solidId: SubstanceId): void {
  const spent = reaction.reactants.find(({ substanceId }) => substanceId !== solidId);
  const contents = at(doing.vessels, place);
  if (!spent || !amountOf(contents, spent.substanceId)) return;
  const none = given(
    { symbol: 'n', name: `${substanceOf(spent.substanceId).name} left`, unit: 'mol' },
    0,
    'solid was left: it is spent',
  );
  doing.vessels = holding(doing.vessels, place, {
    ...contents,
    aqueous: { ...contents.aqueous, [spent.substanceId]: none },
  });
  doing.progress = {
    ...doing.progress,
    limiting: spent.substanceId,
    madeBy: new Map([
      ...doing.progress.madeBy,
      ...reaction.products.map(({ substanceId }) => [substanceId, spent.substanceId] as const),
    ]),
  };
}
