import { substanceOf } from '#core/substance';
import { derive, type Figure, given } from '#core/figure';
import type { Op } from '#core/route';
import { isInsoluble } from '#core/vessel';
import { controlFigure } from './context.ts';
import { readingValue } from './event.ts';
import { reactStep } from './walk-react.ts';
import type { Walker } from './walker.ts';

type Fuse = Extract<Op, { do: 'fuse' }>;

/** How far a melt goes is a guess until what was left is weighed: half-width of it, % (95 %). */
const GUESS_PCT = 20;

/** Melts solids together: the part of the sand that reacts goes by the control, or by what was weighed back after leaching. */
export function fuseStep(walker: Walker, key: string, op: Fuse): void {
  const { context, so } = walker;
  const reaction = context.route.reactions.find((each) => each.id === op.reaction)!;
  const solid = reaction.reactants
    .map(({ substanceId }) => substanceOf(substanceId))
    .find(({ id }) => isInsoluble(id));
  const charged = solid && so.contents.amounts[solid.id];
  if (!solid || !charged) {
    reactStep(walker, key, op.reaction);
    return;
  }
  const goes = conversion(walker, op, solid.id);
  const naming = { symbol: 'n', name: `${solid.name} that reacts`, unit: 'mol' };
  const part = derive(naming, 'n₀ × set ÷ 100', { 'n₀': charged, set: goes }, (x) => (x['n₀'] * x.set) / 100);
  const rest = derive({ ...naming, name: `${solid.name} left` }, 'n₀ − n', { 'n₀': charged, n: part }, (x) =>
    Math.max(0, x['n₀'] - x.n),
  );
  so.contents = { ...so.contents, amounts: { ...so.contents.amounts, [solid.id]: part } };
  reactStep(walker, key, op.reaction);
  const over = so.contents.amounts[solid.id];
  const left =
    over && over.value > 0
      ? derive({ ...naming, name: `${solid.name} left` }, 'a + b', { a: rest, b: over }, (x) => x.a + x.b)
      : rest;
  so.contents = { ...so.contents, amounts: { ...so.contents.amounts, [solid.id]: left } };
}

function conversion({ context, actuals, so }: Walker, op: Fuse, solidId: string): Figure {
  const read = actuals.left.get(op.weighedAt);
  const left = read && readingValue(read);
  const line = so.charges.find(({ role }) => context.contents[role]?.substance.id === solidId);
  const mass = line && (line.actual ?? line.dose.mass);
  if (left && left.value >= 0 && mass && mass.value > 0) {
    const uncertainty = { 'left:weighed': { name: 'weighing what was left', effect: left.sd } };
    const m = given(
      { symbol: 'm(left)', name: 'left after leaching', unit: 'g' },
      { value: left.value, uncertainty },
      'weighed at the bench',
    );
    return derive(
      { symbol: 'set', name: 'part that reacted', unit: '%' },
      '100 × max(0; 1 − m ÷ m₀)',
      { m, 'm₀': mass },
      (x) => 100 * Math.max(0, 1 - x.m / x['m₀']),
    );
  }
  const set = controlFigure(context, op.control);
  const effect = Math.min(GUESS_PCT, set.value, 100 - set.value + 5) / 2;
  return { ...set, uncertainty: { 'fuse:part': { name: 'how far the melt went', effect } } };
}
