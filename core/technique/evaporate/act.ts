import { derive } from '#core/figure';
import { ok, type Result } from '#core/problem';
import type { FieldsOf } from '#core/shape';
import { at, holding, slurryVolume, steamedOff } from '#core/vessel';
import { type At, controlFigure } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl } from '../product.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, { facts }: At): Result<Outcome> {
  const place = placeOf(op);
  const doing = begin(standing);
  const before = at(standing.vessels, place);
  const set = controlFigure(facts, op.control);
  // The water at this end is read off a dish by eye: 5 % is as near as that goes.
  const eye = {
    ...set,
    uncertainty: { dish: { name: 'how far the dish has evaporated', effect: set.value >= 100 ? 0 : 2.5 } },
  };
  const waterG = derive(
    { symbol: 'W', name: 'water left in the dish', unit: 'g' },
    'W₀ × set ÷ 100',
    { 'W₀': before.waterG, set: eye },
    (x) => (x['W₀'] * x.set) / 100,
  );
  const away = derive(
    { symbol: 'away', name: 'water that evaporates', unit: 'g' },
    'W₀ − W',
    { 'W₀': before.waterG, W: waterG },
    (x) => x['W₀'] - x.W,
  );
  const left = { ...before, waterG };
  doing.vessels = steamedOff(holding(doing.vessels, place, left), away);
  doing.figures = { 'dish.volume': aboutMl('left in the dish', slurryVolume(left)), 'dish.away': away };
  return ok(doing);
}
