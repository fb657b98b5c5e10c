import { substanceOf } from '#core/substance';
import { derive, type Figure, given } from '#core/figure';
import { type Reaction, sideReactions } from '#core/reaction';
import type { Route } from '#core/route';
import { isInsoluble, liquidVolume, react, total } from '#core/vessel';
import { readingValue } from './event.ts';
import { heatOfReaction } from './walk-heat.ts';
import type { Walker } from './walker.ts';

/** Lets a reaction of the route go to its end with what is in the vessel. */
export function reactStep(walker: Walker, step: string, reactionId: string): void {
  const reaction = walker.context.route.reactions.find((each) => each.id === reactionId)!;
  if (!walker.so.happened.includes(reactionId)) walker.so.happened = [...walker.so.happened, reactionId];
  const stuck = walker.actuals.finished.has(step) ? stuckSolid(walker, step, reaction) : undefined;
  if (stuck) walker.so.contents = stuck.without;
  run(walker, step, reaction);
  if (stuck) leaveStuck(walker, reaction, stuck.solid);
}

/** Solid that was weighed back when the step was done: it took no part, and goes out with the filter. */
function stuckSolid({ context, actuals, so }: Walker, step: string, reaction: Reaction) {
  const read = actuals.left.get(step);
  const left = read && readingValue(read);
  const solid = reaction.reactants
    .map(({ substanceId }) => substanceOf(substanceId))
    .find(({ id, form }) => form === 'metal' || isInsoluble(id));
  const charged = solid && so.contents.amounts[solid.id];
  if (!left || !(left.value > 0) || !solid || !charged) return undefined;
  const line = so.charges.find(({ role }) => context.contents[role]?.substance.id === solid.id);
  const mass = line && (line.actual ?? line.dose.mass);
  if (!mass || !(mass.value > 0)) return undefined;
  const uncertainty = { 'left:weighed': { name: 'weighing what was left', effect: left.sd } };
  const m = given(
    { symbol: 'm(left)', name: `${solid.name} left`, unit: 'g' },
    { value: left.value, uncertainty },
    'weighed at the bench',
  );
  const n = derive(
    { symbol: 'n', name: `${solid.name} that dissolved`, unit: 'mol' },
    'n₀ × max(0; 1 − m ÷ m₀)',
    { 'n₀': charged, m, 'm₀': mass },
    (x) => x['n₀'] * Math.max(0, 1 - x.m / x['m₀']),
  );
  return { solid: solid.id, without: { ...so.contents, amounts: { ...so.contents.amounts, [solid.id]: n } } };
}

/** With solid left over, what should have dissolved it was spent, whatever its label says. */
function leaveStuck({ so }: Walker, reaction: Reaction, solidId: string): void {
  const spent = reaction.reactants.find(({ substanceId }) => substanceId !== solidId);
  if (!spent || !so.contents.amounts[spent.substanceId]) return;
  const none = given(
    { symbol: 'n', name: `${substanceOf(spent.substanceId).name} left`, unit: 'mol' },
    0,
    'solid was left: it is spent',
  );
  so.contents = { ...so.contents, amounts: { ...so.contents.amounts, [spent.substanceId]: none } };
  so.limiting = spent.substanceId;
  so.madeBy = new Map([
    ...so.madeBy,
    ...reaction.products.map(({ substanceId }) => [substanceId, spent.substanceId] as const),
  ]);
}

/** After something unplanned went in: the route's reactions that have begun go on, then whatever acids, bases and salts do. */
export function reactAgain(walker: Walker, step: string): void {
  const { route } = walker.context;
  for (const id of walker.so.happened) run(walker, step, route.reactions.find((each) => each.id === id)!);
  for (const reaction of sideReactions) run(walker, step, reaction);
}

function run(walker: Walker, step: string, reaction: Reaction): void {
  const { context, so } = walker;
  const before = so.contents;
  const done = react(before, reaction);
  if (!done || done.extent.value <= 0) return;
  so.contents = done.contents;
  const limiting = so.madeBy.get(done.limiting) ?? done.limiting;
  so.madeBy = new Map([...so.madeBy, ...reaction.products.map(({ substanceId }) => [substanceId, limiting] as const)]);
  if (makesProduct(context.route, reaction)) {
    so.extent = so.extent ? total('extent of reaction, in all', 'mol', so.extent, done.extent) : done.extent;
    so.limiting = limiting;
  }
  so.reactMl = Math.max(so.reactMl, liquidVolume(done.contents));
  for (const [id, amount] of Object.entries(done.gases)) so.gases = [...so.gases, { step, id, amount }];
  const heat = heatOfReaction(context, step, reaction, done.extent, before, done.contents);
  if (heat) so.heats = [...so.heats, heat];
}

function makesProduct(route: Route, reaction: Reaction): boolean {
  const { makes } = route;
  const id = makes.kind === 'crystals' ? makes.anhydrousId : makes.substanceId;
  return id === undefined || reaction.products.some(({ substanceId }) => substanceId === id);
}

/** mol of each gas in all, largest first. */
export function gasTotals(gases: readonly { id: string; amount: Figure }[]): readonly { id: string; amount: Figure }[] {
  const ids = [...new Set(gases.map(({ id }) => id))];
  return ids
    .map((id) => ({
      id,
      amount: total(id, 'mol', ...gases.filter((each) => each.id === id).map(({ amount }) => amount)),
    }))
    .sort((a, b) => b.amount.value - a.amount.value);
}
