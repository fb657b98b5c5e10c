import { ok, type Result } from '#base/problem';
import type { FieldsOf } from '#base/shape';
import { type At, type Facts, settingOf } from '../facts.ts';
import { begin, type Doing, type Outcome, type Standing } from '../outcome.ts';
import { letDissolve } from '../solving.ts';
import { placeOf } from '../where.ts';
import type { fields } from './op.ts';

export function act(standing: Standing, op: FieldsOf<typeof fields>, { facts }: At): Result<Outcome> {
  const doing = begin(standing);
  letDissolve(doing, facts, placeOf(op), dissolvingAt(op, facts));
  return ok(doing);
}

/** Water poured on while it is hot dissolves hot. */
export function takesIn(doing: Doing, op: FieldsOf<typeof fields>, { facts }: At): void {
  letDissolve(doing, facts, placeOf(op), dissolvingAt(op, facts));
}

/** °C that a step dissolves at: its own control, the one its water was dosed for, else the bench. */
export function dissolvingAt(op: FieldsOf<typeof fields>, facts: Facts): number {
  const dose = facts.recipe.roles.flatMap((role) => (role.dose.by === 'to-dissolve' ? [role.dose] : []))[0];
  const control = op.control ?? dose?.control;
  return control === undefined ? facts.bench.tempC : settingOf(facts, control);
}
