import { runEventShape } from '#core/log';
import { planShape } from '#core/plan';
import { ok } from '#core/problem';
import { fields, instant, list, span, text } from '#core/shape';
import { tasksOf } from '#core/state';
import { placeWeek, type Task } from '#core/week';
import { verb } from '../verb.ts';

const stretches = () => list(span({ min: 0, max: 1_000_000 }), 400);

export const week = verb({
  name: 'week',
  input: fields({
    runs: list(fields({ batch: text(120), plan: planShape, events: list(runEventShape, 20_000) }), 20, 1),
    from: instant(),
    free: stretches(),
    light: stretches(),
  }),
  run: ({ runs, from, free, light }) => {
    const tasks: Task[] = [];
    for (const { batch, ...run } of runs) {
      const found = tasksOf(batch, run, Date.parse(from));
      if (!found.ok) return found;
      tasks.push(...found.value);
    }
    const placed = placeWeek({ tasks, free, light });
    return placed.ok ? ok({ tasks, ...placed.value }) : placed;
  },
  example: null,
});
