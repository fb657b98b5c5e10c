import { datum, derive } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { at, emptyContents, holding, liquidVolume, parted, poured, together } from '#matter/vessel';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { aboutMl } from '../product.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

/** The liquor goes to its own vessel, less what stays on the solid; solid and dirt stay where they lie. */
export function act(standing: Standing, op: FieldsOf<typeof fields>): Result<Outcome> {
  const doing = begin(standing);
  const place = placeOf(op);
  const { solid, inertG, ...liquid } = at(standing.vessels, place);
  const leaves = datum(
    { symbol: 'leaves', name: 'liquor that stays on the solid', unit: '%' },
    {
      value: op.leavesPct,
      uncertainty: { decanting: { name: 'how far it was poured off', effect: op.leavesPct / 4 } },
    },
    { source: 'estimate for a careful hand', grade: 'C' },
  );
  const kept = derive(
    { symbol: 'kept', name: 'part of the liquor that stays', unit: '' },
    'leaves ÷ 100',
    { leaves },
    (x) => x.leaves / 100,
  );
  const split = parted({ ...liquid, solid: {}, inertG: emptyContents.inertG }, kept);
  const stays = together({ ...emptyContents, solid, inertG }, split.kept);
  doing.vessels = poured(holding(doing.vessels, place, stays), 'liquor', split.gone);
  doing.figures = { 'decanted.volume': aboutMl('liquor poured off', liquidVolume(split.gone)) };
  return ok(doing);
}
