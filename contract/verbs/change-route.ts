import { ok, type Result } from '#base/problem';
import { fields, flag, note, nullable, number, one, optional, tagged, text } from '#base/shape';
import { vesselNames } from '#matter/vessel';
import { changeRole, moveStep, putStep, removeStep, reword, workIn } from '#run/own';
import { type Route, routeShape } from '#run/route';
import { verb } from '../verb.ts';

const key = () => text(60);
const changeShape = tagged('do', {
  put: { kind: text(40), of: note(60), after: nullable(key()) },
  remove: { step: key() },
  /** To a place counted from 0. */
  move: { step: key(), to: number({ min: 0, max: 60, whole: true }) },
  role: { role: text(40), name: text(80), tolerates: note(400), measure: one('mass', 'volume') },
  reword: {
    step: key(),
    title: text(200),
    act: note(1000),
    until: note(400),
    expect: note(400),
    trouble: note(1000),
    why: note(600),
    where: one('anywhere', 'ventilated', 'outdoors'),
    ceilingC: nullable(number({ min: -50, max: 1500 })),
    timer: nullable(fields({ name: text(80), minutes: number({ moreThan: 0, max: 525_600 }) })),
    handsOnMin: number({ min: 0, max: 100_000 }),
    alone: flag(),
    lookEveryMin: optional(nullable(number({ moreThan: 0, max: 525_600 }))),
    /** The vessel that it works in. */
    in: optional(one(...vesselNames)),
  },
});

/** A route with one change: a step inserted, taken out, moved or in other words. What it names stays sound. */
export const changeRoute = verb({
  name: 'changeRoute',
  input: fields({ route: routeShape, change: changeShape }),
  run: ({ route, change }): Result<{ readonly route: Route; readonly step: string | null }> => {
    switch (change.do) {
      case 'put': {
        const put = putStep(route, change);
        return put.ok ? ok({ route: put.value.route, step: put.value.id }) : put;
      }
      case 'remove': {
        const without = removeStep(route, change.step);
        return without.ok ? ok({ route: without.value, step: null }) : without;
      }
      case 'move':
        return ok({ route: moveStep(route, change.step, change.to), step: change.step });
      case 'role': {
        const { role, name, tolerates, measure } = change;
        return ok({ route: changeRole(route, role, { name, tolerates, measure }), step: null });
      }
      case 'reword': {
        const { do: _, step, alone, lookEveryMin, in: vessel, ...words } = change;
        const before = route.steps.find(({ id }) => id === step)?.leave;
        const leave = { alone, lookEveryMin: lookEveryMin ?? null, reason: before?.reason ?? 'as you set it' };
        const said = reword(route, step, { ...words, leave });
        return ok({ route: vessel ? workIn(said, step, vessel) : said, step });
      }
    }
  },
  example: null,
});
