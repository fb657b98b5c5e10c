import { ok, type Result } from '#base/problem';
import { begin, type Outcome, type Standing } from './outcome.ts';

/** A step that changes nothing in any vessel. */
export function changesNothing(standing: Standing): Result<Outcome> {
  return ok(begin(standing));
}
