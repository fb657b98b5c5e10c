import { derive, type Figure } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { at, type Contents, holding, slurryVolume, steamedOff } from '#matter/vessel';
import { waterAt } from '../at-volume.ts';
import { type At, controlFigure, type Facts } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl, anhydrousProduct } from '../product.ts';
import { fallenTo, isUnderWay, volumeRead } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const { facts } = step;
  const place = placeOf(op);
  const doing = begin(standing);
  const before = at(standing.vessels, place);
  const planned = op.by === 'salt' ? bySalt(before, op, facts) : byWater(before, op, facts);
  if (!planned) return ok(doing);
  const away = (left: Figure) =>
    derive(
      { symbol: 'away', name: 'water that evaporates', unit: 'g' },
      'W₀ − W',
      { 'W₀': before.waterG, W: left },
      (x) => x['W₀'] - x.W,
    );
  const goal = aboutMl('left in the dish', slurryVolume({ ...before, waterG: planned }, facts.tables));
  doing.figures = { 'dish.volume': goal, 'dish.away': away(planned) };
  const read = volumeRead(step.entries.readings.volume, 'the volume left in the dish');
  const ended = fallenTo(step, 'volume', { read, goal });
  if (!ended && isUnderWay(step)) return ok(doing);
  const left = ended ? waterAt(before, ended, facts) : planned;
  doing.vessels = steamedOff(holding(doing.vessels, place, { ...before, waterG: left }), away(left));
  return ok(doing);
}

/** A dish is read off by eye: 5 % is as near as that goes. */
const EYE = 2.5;
const LEFT = { symbol: 'W', name: 'water left in the dish', unit: 'g' } as const;
const DISH = 'how far the dish has evaporated';

function byWater(before: Contents, op: FieldsOf<typeof fields>, facts: Facts): Figure {
  const set = controlFigure(facts, op.control);
  const eye = { ...set, uncertainty: { dish: { name: DISH, effect: set.value >= 100 ? 0 : EYE } } };
  return derive(LEFT, 'W₀ × set ÷ 100', { 'W₀': before.waterG, set: eye }, (x) => (x['W₀'] * x.set) / 100);
}

/** Undefined while there is no salt to count by. */
function bySalt(before: Contents, op: FieldsOf<typeof fields>, facts: Facts): Figure | undefined {
  const A = anhydrousProduct(facts, before);
  if (!A || !(A.value > 0)) return undefined;
  const set = controlFigure(facts, op.control);
  const exact = derive(LEFT, 'min(W₀; 100 × A ÷ set)', { 'W₀': before.waterG, A, set }, (x) =>
    Math.min(x['W₀'], (100 * x.A) / x.set),
  );
  const effect = (EYE / 100) * slurryVolume({ ...before, waterG: exact }, facts.tables);
  return { ...exact, uncertainty: { ...exact.uncertainty, dish: { name: DISH, effect } } };
}
