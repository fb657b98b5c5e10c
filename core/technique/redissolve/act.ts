import { ok, type Result } from '#core/problem';
import { begin, type Outcome, type Standing } from '../outcome.ts';

/** What was expected as crystals and product is no longer there; what lies in the vessel dissolves as water goes in. */
export function act(standing: Standing): Result<Outcome> {
  const doing = begin(standing);
  const { 'product.mass': product } = standing.figures;
  if (product && product.value > 0) doing.figures = { 'crystals.mass': null, 'product.mass': null };
  return ok(doing);
}
