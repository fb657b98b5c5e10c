import { derive, type Figure, given } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { at, holding } from '#matter/vessel';
import { chargedSolid } from '../charged-solid.ts';
import { type At, controlFigure, type Facts, reactionOf } from '../facts.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { letReact, solidReactant } from '../reacting.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

type Op = FieldsOf<typeof fields>;

/** How far a melt goes is a guess until what was left is weighed: half-width of it, % (95 %). */
const GUESS_PCT = 20;

export function act(standing: Standing, op: Op, step: At): Result<Outcome> {
  const { facts } = step;
  const place = placeOf(op);
  const doing = begin(standing);
  const id = solidReactant(reactionOf(facts, op.reaction));
  const before = at(doing.vessels, place);
  const there = id && before.solid[id];
  if (!id || !there) {
    letReact(doing, facts, place, op.reaction);
    onTheFire(doing);
    return ok(doing);
  }
  const name = substanceOf(id).name;
  const goes = partThatReacts(standing, op, facts, step, id);
  const part = derive(
    { symbol: 'n', name: `${name} that reacts`, unit: 'mol' },
    'n₀ × set ÷ 100',
    { 'n₀': there, set: goes },
    (x) => (x['n₀'] * x.set) / 100,
  );
  const rest = derive({ symbol: 'n', name: `${name} left`, unit: 'mol' }, 'n₀ − n', { 'n₀': there, n: part }, (x) =>
    Math.max(0, x['n₀'] - x.n),
  );
  doing.vessels = holding(doing.vessels, place, { ...before, solid: { ...before.solid, [id]: part } });
  letReact(doing, facts, place, op.reaction);
  const now = at(doing.vessels, place);
  const over = now.solid[id];
  const left =
    over && over.value > 0
      ? derive({ symbol: 'n', name: `${name} left`, unit: 'mol' }, 'a + b', { a: rest, b: over }, (x) => x.a + x.b)
      : rest;
  doing.vessels = holding(doing.vessels, place, { ...now, solid: { ...now.solid, [id]: left } });
  onTheFire(doing);
  return ok(doing);
}

/** A melt stands over a flame: heats held for what is dissolved say nothing of it. */
function onTheFire(doing: Doing): void {
  doing.heats = [];
  doing.notKnown = doing.notKnown.filter(({ what }) => what !== 'heat');
}

/** % of the solid that goes into the melt: by what was weighed back after leaching, else as it is set. */
function partThatReacts(standing: Standing, op: Op, facts: Facts, { going }: At, id: SubstanceId): Figure {
  const read = going.entriesAt(op.weighedAt).readings.left;
  const left = read && readingValue(read);
  const line = standing.additions.find(({ role }) => facts.contents[role]?.substance.id === id);
  const mass = line && chargedSolid(line, facts);
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
  const set = controlFigure(facts, op.control);
  const effect = Math.min(GUESS_PCT, set.value, 100 - set.value + 5) / 2;
  return { ...set, uncertainty: { 'fuse:part': { name: 'how far the melt went', effect } } };
}
