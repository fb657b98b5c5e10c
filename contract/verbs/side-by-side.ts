import { ok } from '#base/problem';
import { fields, list } from '#base/shape';
import { type MethodRow, sideBySide as rowsOf } from '#run/choose';
import { planShape } from '#run/plan';
import { verb } from '../verb.ts';

/** Plans for one target, with each method of their routes, side by side. */
export const sideBySide = verb({
  name: 'sideBySide',
  input: fields({ plans: list(planShape, 12, 1) }),
  run: ({ plans }) => ok<readonly MethodRow[]>(rowsOf(plans)),
  example: null,
});
