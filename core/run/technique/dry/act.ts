import { derive, relabel } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { at, emptyContents, holding, steamedOff, total } from '#matter/vessel';
import { type At, controlFigure } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { productName } from '../product.ts';
import { isUnderWay } from '../read-value.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, step: At): Result<Outcome> {
  const { facts } = step;
  const doing = begin(standing);
  if (isUnderWay(step)) return ok(doing);
  const place = placeOf(op);
  const product = standing.figures['product.mass'];
  if (!product) return ok(doing);
  const naming = { name: `${productName(facts)}, dry`, symbol: 'm(dry)' };
  const contents = at(standing.vessels, place);
  if (op.waterControl === undefined) {
    doing.vessels = steamedOff(
      holding(doing.vessels, place, { ...contents, waterG: emptyContents.waterG }),
      contents.waterG,
    );
    doing.figures = { 'product.mass': relabel(product, naming) };
    return ok(doing);
  }
  const set = controlFigure(facts, op.waterControl);
  const dry = derive(
    { ...naming, unit: 'g' },
    '100 × m ÷ (100 − set)',
    { m: product, set },
    (x) => (100 * x.m) / (100 - x.set),
  );
  const keeps = derive(
    { symbol: 'm(water)', name: 'water that it keeps', unit: 'g' },
    'm − m₀',
    { m: dry, 'm₀': product },
    (x) => x.m - x['m₀'],
  );
  // The water it keeps came out of the liquor that wetted the cake.
  const liquor = at(standing.vessels, 'liquor');
  if (liquor.waterG.value + contents.waterG.value >= keeps.value) {
    const rest = derive(
      { symbol: 'm(water)', name: 'water left in the liquor', unit: 'g' },
      'W + w − k',
      { W: liquor.waterG, w: contents.waterG, k: keeps },
      (x) => x.W + x.w - x.k,
    );
    doing.vessels = holding(holding(doing.vessels, 'liquor', { ...liquor, waterG: rest }), place, {
      ...contents,
      waterG: total('water that it keeps', 'g', keeps),
    });
  }
  doing.figures = { 'product.mass': dry };
  return ok(doing);
}
