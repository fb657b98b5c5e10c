import { datum, derive, type Figure, given } from '#base/figure';
import { must } from '#base/lookup';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { molarMassFigure, substanceOf } from '#matter/substance';
import { amountOf, at, emptyContents, entriesOf, holding, poured, withAmount } from '#matter/vessel';
import { type SublimeAnswer, sublime } from '#model/sublime';
import { weighingSd } from '../add/mass.ts';
import type { At } from '../facts.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import { inputOf } from './asked.ts';
import type { fields } from './op.ts';

const SOURCE = {
  source: 'vapour pressure as published; diffusion by Fuller, convection by Hollands',
  grade: 'C',
} as const;

/** What sublimes goes over, less what passes the rim; all else stays in the dish. */
export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const doing = begin(standing);
  const place = placeOf(op);
  const n = amountOf(at(standing.vessels, place), op.substanceId);
  if (!n || !(n.value > 0)) return ok(doing);
  const M = molarMassFigure(substanceOf(op.substanceId).formula);
  const grams = n.value * M.value;
  const found = sublime(inputOf(op, step.facts, { grams, readings: step.entries.readings }));
  // Over the cap, or so warm that it melted: of what has happened all the same, nothing is computed.
  if (!found.ok) {
    doing.notKnown.push({ what: 'vapour', says: found.problem.message, most: true });
    return ok(doing);
  }
  doing.figures = paceOf(found.value);
  if (isUnderWay(step)) return ok(doing);
  goOver(doing, { n, M, place }, { op, step });
  return ok(doing);
}

function paceOf({ hours, lost, iceGPerHour }: SublimeAnswer): Record<string, Figure> {
  const figure = (naming: { symbol: string; name: string; unit: string }, value: number, share: number) =>
    datum(
      naming,
      { value, uncertainty: { [naming.symbol]: { name: 'the way through the air', effect: share * value } } },
      SOURCE,
    );
  return {
    'sublimed.hours': figure({ symbol: 't', name: 'until it has gone over', unit: 'h' }, hours[1], 1 / 3),
    'sublimed.lost': figure({ symbol: 'm(lost)', name: 'lost past the rim', unit: 'g' }, lost[1], 1 / 2),
    'sublimed.ice': figure({ symbol: 'm(ice)', name: 'ice for the cover', unit: 'g' }, iceGPerHour * hours[1], 1 / 3),
  };
}

interface Going {
  readonly n: Figure;
  readonly M: Figure;
  readonly place: ReturnType<typeof placeOf>;
}

function goOver(doing: Doing, { n, M, place }: Going, { op, step }: { op: FieldsOf<typeof fields>; step: At }): void {
  const naming = (name: string) => ({ symbol: 'n', name: `${substanceOf(op.substanceId).name} ${name}`, unit: 'mol' });
  const left = leftIn(step, n.value * M.value);
  const stays = derive(naming('left in the dish'), 'min(n₀; l ÷ M)', { 'n₀': n, l: left, M }, (x) =>
    Math.min(x['n₀'], x.l / x.M),
  );
  const lost = must(doing.figures['sublimed.lost'], 'sublimed.lost');
  const away = derive(naming('lost as vapour'), 'min(n₀ − n; m ÷ M)', { 'n₀': n, n: stays, m: lost, M }, (x) =>
    Math.max(0, Math.min(x['n₀'] - x.n, x.m / x.M)),
  );
  const over = derive(naming('on the cover'), 'n₀ − n − a', { 'n₀': n, n: stays, a: away }, (x) => x['n₀'] - x.n - x.a);
  const { [op.substanceId]: _own, ...restSolid } = at(doing.vessels, place).solid;
  const before = at(doing.vessels, place);
  const { [op.substanceId]: _dissolved, ...restAqueous } = before.aqueous;
  // A damp charge dries as it warms: what was dissolved in its water lies in the dish.
  let dish = { ...before, solid: restSolid, aqueous: {}, waterG: emptyContents.waterG };
  for (const [id, amount] of entriesOf(restAqueous)) dish = withAmount(dish, 'solid', id, amount);
  dish = withAmount(dish, 'solid', op.substanceId, stays);
  doing.vessels = holding(doing.vessels, place, withAmount(emptyContents, 'solid', op.substanceId, over));
  doing.vessels = poured(doing.vessels, 'dish', dish);
  const air = { ...withAmount(emptyContents, 'gas', op.substanceId, away), waterG: before.waterG };
  doing.vessels = poured(doing.vessels, 'air', air);
  doing.figures = {
    ...doing.figures,
    'product.mass': derive(
      { symbol: 'm(product)', name: `${substanceOf(op.substanceId).name} on the cover`, unit: 'g' },
      'n × M',
      { n: over, M },
      (x) => x.n * x.M,
    ),
  };
}

/** A hundredth stays when one stops at the sight of it; what was weighed back stands in its place. */
const STAYS = 0.01;

function leftIn({ entries, facts }: At, grams: number): Figure {
  const read = entries.readings.left && readingValue(entries.readings.left);
  const naming = { symbol: 'm(left)', name: 'left in the dish', unit: 'g' };
  if (read && read.unit === 'g')
    return given(
      naming,
      {
        value: read.value,
        uncertainty: {
          left: { name: 'weighing what was left', effect: Math.max(read.sd, weighingSd(facts.bench.balanceG)) },
        },
      },
      'weighed at the bench',
    );
  const value = STAYS * grams;
  return datum(naming, { value, uncertainty: { left: { name: 'when one stops', effect: value } } }, SOURCE);
}
