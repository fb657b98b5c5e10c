import { datum, derive } from '#core/figure';
import { ok, type Result } from '#core/problem';
import type { FieldsOf } from '#core/shape';
import { at, type Contents, emptyContents, holding, parted, poured } from '#core/vessel';
import type { At } from '../facts.ts';
import { begin, type Outcome, type Standing } from '../outcome.ts';
import { productName } from '../product.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, { facts }: At): Result<Outcome> {
  const doing = begin(standing);
  const place = placeOf(op);
  const contents = at(standing.vessels, place);
  const { filtrate, cake } = apart(contents);
  if (op.keep === 'filtrate') {
    // What the paper holds of the liquor is left out.
    doing.vessels = poured(holding(doing.vessels, place, filtrate), 'paper', cake);
    return ok(doing);
  }
  const { handling } = facts.recipe;
  const crystals = standing.figures['crystals.mass'];
  if (!crystals || !handling) return ok(doing);
  const loss = datum(
    { symbol: 'loss', name: 'left in paper, vessel and rinse', unit: '%' },
    { value: handling.lossPct, uncertainty: { handling: { name: 'losses in filtering', effect: handling.sdPct } } },
    { source: 'estimate for a careful hand, to be replaced by your own weighings', grade: 'C' },
  );
  const kept = derive(
    { symbol: 'kept', name: 'part that is not left in the paper', unit: '' },
    '(100 − loss) ÷ 100',
    { loss },
    (x) => (100 - x.loss) / 100,
  );
  const split = parted(cake, kept);
  doing.vessels = poured(poured(holding(doing.vessels, place, split.kept), 'liquor', filtrate), 'paper', split.gone);
  doing.figures = {
    'product.mass': derive(
      { symbol: 'm(product)', name: productName(facts), unit: 'g' },
      'm × (100 − loss) ÷ 100',
      { m: crystals, loss },
      (x) => (x.m * (100 - x.loss)) / 100,
    ),
  };
  return ok(doing);
}

/** What runs through, and what stays on the paper: solids, and the dirt. */
function apart(contents: Contents): { filtrate: Contents; cake: Contents } {
  return {
    filtrate: { ...contents, solid: {}, inertG: emptyContents.inertG },
    cake: { ...emptyContents, solid: contents.solid, inertG: contents.inertG },
  };
}
