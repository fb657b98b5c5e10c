import { ok } from '#base/problem';
import { fields, instant, list, optional, text } from '#base/shape';
import { type BenchTask, tasksOf } from '#run/agenda';
import { runEventShape } from '#run/log';
import { planShape } from '#run/plan';
import { runState } from '#run/state';
import { placeWeek, weekShape } from '#run/week';
import { verb } from '../verb.ts';

const { free, light, home, aim } = weekShape.fields;

export const week = verb({
  name: 'week',
  input: fields({
    runs: list(fields({ batch: text(120), plan: planShape, events: list(runEventShape, 20_000) }), 20, 1),
    from: instant(),
    /** The present; the beginning of the week where it is not said. */
    now: optional(instant()),
    free,
    light,
    home,
    aim,
  }),
  run: ({ runs, from, now = from, ...hours }) => {
    const tasks: BenchTask[] = [];
    for (const { batch, plan, events } of runs) {
      const state = runState(plan, events, 'as they are');
      if (!state.ok) return state;
      tasks.push(...tasksOf(batch, state.value, { from: Date.parse(from), now: Date.parse(now) }));
    }
    const placed = placeWeek({ tasks, ...hours });
    return placed.ok ? ok({ tasks, ...placed.value }) : placed;
  },
  example: null,
});
