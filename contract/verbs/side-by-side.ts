import { type MethodRow, sideBySide as rowsOf } from '#core/choose';
import { planShape } from '#core/plan';
import { ok } from '#core/problem';
import { fields, list } from '#core/shape';
import { verb } from '../verb.ts';

/** Plans for one target, with each method of their routes, side by side. */
export const sideBySide = verb({
  name: 'sideBySide',
  input: fields({ plans: list(planShape, 12, 1) }),
  run: ({ plans }) => ok<readonly MethodRow[]>(rowsOf(plans)),
  example: null,
});
