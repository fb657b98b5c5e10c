import { derive, type Figure } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { at, holding, slurryVolume, steamedOff } from '#matter/vessel';
import { waterAt } from '../at-volume.ts';
import { type At, controlFigure } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl, anhydrousProduct } from '../product.ts';
import { fallenTo, isUnderWay, volumeRead } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

/** How near one comes to a volume while it boils, as a share of it: standard uncertainty. */
const MARK = 0.03;

export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const { facts } = step;
  const place = placeOf(op);
  const doing = begin(standing);
  const before = at(standing.vessels, place);
  const A = anhydrousProduct(facts, before);
  if (!A) return ok(doing);
  const set = controlFigure(facts, op.control);
  const exact = derive(
    { symbol: 'W', name: 'water left after boiling down', unit: 'g' },
    'min(W₀; 100 × A ÷ set)',
    { 'W₀': before.waterG, A, set },
    (x) => Math.min(x['W₀'], (100 * x.A) / x.set),
  );
  const goal = aboutMl('boil down to', slurryVolume({ ...before, waterG: exact }, facts.tables));
  const planned = {
    ...exact,
    uncertainty: {
      ...exact.uncertainty,
      boil: { name: 'how far it was boiled down', effect: MARK * goal.value },
    },
  };
  const away = (left: Figure) =>
    derive(
      { symbol: 'away', name: 'water to boil away', unit: 'g' },
      'W₀ − W',
      { 'W₀': before.waterG, W: left },
      (x) => x['W₀'] - x.W,
    );
  doing.figures = { 'boil.volume': goal, 'boil.away': away(exact) };
  const read = volumeRead(step.entries.readings.volume, 'the volume it was boiled down to');
  const ended = fallenTo(step, 'volume', { read, goal });
  if (!ended && isUnderWay(step)) return ok(doing);
  const left = ended ? waterAt(before, ended, facts) : planned;
  doing.vessels = steamedOff(holding(doing.vessels, place, { ...before, waterG: left }), away(left));
  return ok(doing);
}
