import { fail, ok, type Result } from '#base/problem';
import { substanceOf } from '#matter/substance';
import { canMake, type Route, routeProblems } from '#run/route';
import type { Plan } from './plan.ts';

/** g or mL of a batch at most. */
export const MOST_G = 20_000;

/** Everything about a plan that can be wrong before anything is computed. */
export function checkPlan(plan: Plan): Result<true> {
  const route = checkRoute(plan.route);
  if (!route.ok) return route;
  const { substanceId } = plan.target;
  if (!canMake(plan.route, substanceId))
    return fail('no-route', `The route “${plan.route.title}” does not make ${substanceOf(substanceId).name}.`, {
      field: 'target.substanceId',
    });
  const { value, unit } = plan.target.amount;
  const field = 'target.amount';
  if (!Number.isFinite(value))
    return fail('not-a-number', 'The amount is not a number; write it like 60 g.', { field });
  if (value <= 0) return fail('out-of-range', `The amount is more than 0; ${value} ${unit} makes nothing.`, { field });
  if (value > MOST_G)
    return fail(
      'out-of-range',
      `At most 20 ${unit === 'g' ? 'kg' : 'L'} at a time: beyond hobby scale heat and gas behave otherwise.`,
      { field },
    );
  for (const control of plan.route.controls) {
    // A plan made before a control was there goes by its start.
    const set = plan.controls[control.id] ?? control.start;
    if (!(set >= control.min && set <= control.max)) {
      return fail('out-of-range', `“${control.name}” runs from ${control.min} to ${control.max} ${control.unit}.`, {
        field: `controls.${control.id}`,
      });
    }
  }
  return checkBench(plan);
}

const SOUND = new WeakSet<Route>();

/** A route comes with its plan, from wherever: it is looked through once. */
function checkRoute(route: Route): Result<true> {
  if (SOUND.has(route)) return ok(true);
  const [problem] = routeProblems(route);
  if (problem) return fail('no-route', problem, { field: 'route' });
  SOUND.add(route);
  return ok(true);
}

function checkBench({ bench: { tempC, pressureHPa, balanceG, roomM3, evaporationGPerH } }: Plan): Result<true> {
  if (!(tempC >= 0 && tempC <= 45))
    return fail('out-of-range', 'The bench is between 0 and 45 °C.', { field: 'bench.tempC' });
  if (!(pressureHPa >= 600 && pressureHPa <= 1100))
    return fail('out-of-range', 'Air pressure lies between 600 and 1100 hPa.', { field: 'bench.pressureHPa' });
  if (!(balanceG >= 1e-6 && balanceG <= 100))
    return fail('out-of-range', 'A balance shows steps of 0.000001 to 100 g.', { field: 'bench.balanceG' });
  if (!(roomM3 > 0) || !(evaporationGPerH > 0))
    return fail('out-of-range', 'Room and heater are more than 0.', { field: 'bench' });
  return ok(true);
}
