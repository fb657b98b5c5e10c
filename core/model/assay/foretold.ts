import { ok, type Result } from '#base/problem';
import { type CurvePoint, curveOf, type IndicatorError, indicatorsFor, isRising, phAt } from '#matter/equilibrium';
import { methodById } from '#model/method';
import { expectedTitre } from './advice.ts';
import { titrationIf } from './flask.ts';
import type { AssayPlan } from './record/plan.ts';
import { settingOf } from './reduce/reduce.ts';

export interface Foretold {
  readonly curve: readonly CurvePoint[];
  readonly ends: readonly CurvePoint[];
  readonly indicators: readonly IndicatorError[];
  readonly rising: boolean;
}

const POINTS = 120;
/** How far past the end the curve is drawn. */
const BEYOND = 1.35;

/** The curve that an acid-base assay will follow if its bottle holds what it is taken for; empty where none can be drawn. */
export function foretoldCurve(plan: AssayPlan): Result<Foretold> {
  const setting = settingOf(plan, methodById(plan.methodId));
  if (!setting.ok) return setting;
  const none = { curve: [], ends: [], indicators: [], rising: true };
  // By mass a gram of titrant is a millilitre, near enough for a drawing.
  const asVolume = { ...setting.value, plan: { ...plan, byMass: false } };
  const titration = titrationIf(asVolume, undefined, setting.value.content.w.value);
  const titre = expectedTitre(asVolume, { result: null, blank: null, statistics: null }, undefined);
  if (!titration || !titre) return ok(none);
  const curve = curveOf(titration, BEYOND * titre.value, POINTS);
  if (!curve.ok) return curve;
  const end = phAt(titration, titre.value);
  return ok({
    curve: curve.value,
    ends: end.outcome === 'solved' ? [{ titreMl: titre.value, pH: end.pH }] : [],
    indicators: indicatorsFor(titration, titre.value),
    rising: isRising(titration, titre.value),
  });
}
