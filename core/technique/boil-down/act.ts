import { derive } from '#core/figure';
import { ok, type Result } from '#core/problem';
import type { FieldsOf } from '#core/shape';
import { at, holding, slurryVolume, steamedOff } from '#core/vessel';
import { type At, controlFigure } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl, anhydrousProduct } from '../product.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, { facts }: At): Result<Outcome> {
  const place = placeOf(op);
  const doing = begin(standing);
  const before = at(standing.vessels, place);
  const A = anhydrousProduct(facts, before);
  if (!A) return ok(doing);
  const set = controlFigure(facts, op.control);
  const left = derive(
    { symbol: 'W', name: 'water left after boiling down', unit: 'g' },
    'min(W₀; 100 × A ÷ set)',
    { 'W₀': before.waterG, A, set },
    (x) => Math.min(x['W₀'], (100 * x.A) / x.set),
  );
  const away = derive(
    { symbol: 'away', name: 'water to boil away', unit: 'g' },
    'W₀ − W',
    { 'W₀': before.waterG, W: left },
    (x) => x['W₀'] - x.W,
  );
  const boiled = { ...before, waterG: left };
  doing.vessels = steamedOff(holding(doing.vessels, place, boiled), away);
  doing.figures = { 'boil.volume': aboutMl('boil down to', slurryVolume(boiled)), 'boil.away': away };
  return ok(doing);
}
