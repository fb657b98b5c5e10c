import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import type { At } from '../facts.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { letDissolve } from '../solving.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

/** As hot as water is poured on; no reading says how hot it was. */
const HOT_C = 90;

/** What was expected as crystals and product is no longer there; what lies in the vessel dissolves as water goes in. */
export function act(standing: Standing): Result<Outcome> {
  const doing = begin(standing);
  const { 'product.mass': product } = standing.figures;
  if (product && product.value > 0) doing.figures = { 'crystals.mass': null, 'product.mass': null };
  return ok(doing);
}

/** The water that is entered is hot: it takes up what it holds then. */
export function takesIn(doing: Doing, op: FieldsOf<typeof fields>, { facts }: At): void {
  letDissolve(doing, facts, placeOf(op), HOT_C);
}
