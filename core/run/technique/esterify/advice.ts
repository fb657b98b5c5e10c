import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { molarMass, substanceOf } from '#matter/substance';
import type { CoursePoint, RefluxSetup } from '#model/ester';
import { reactionOf, settingOf } from '../facts.ts';
import type { StepView } from '../view.ts';
import { flaskOf, formedIn } from './flask.ts';
import type { fields } from './op.ts';
import { refluxSetupOf } from './reflux-setup.ts';

/** How far an ester comes, and how far it is by now. g of ester; hours since it was warm. */
export interface EsterAdvice {
  readonly name: string;
  readonly tempC: number;
  readonly plannedH: number;
  readonly hoursSoFar: number | null;
  readonly nowG: number | null;
  readonly endG: number;
  /** g of ester over hours; empty where nothing makes it run that is known. */
  readonly course: readonly CoursePoint[];
  /** g by the planned hours, and hours to 95 % of the end. */
  readonly plannedG: number | null;
  readonly enoughH: number | null;
  readonly limiting: string;
  readonly theoryG: number;
  /** The flask under a condenser, to be tried out; null where none of it is known to boil. */
  readonly reflux: RefluxSetup | null;
}

const HOUR_MS = 3_600_000;
const ENOUGH = 0.95;

export function advice(view: StepView, op: FieldsOf<typeof fields>): EsterAdvice | null {
  const flask = flaskOf(view.before, reactionOf(view.facts, op.reaction));
  if (!flask) return null;
  const reading = view.readings.findLast(({ body }) => body.quantity === 'temperature')?.body.reading;
  const tempC = (reading && readingValue(reading)?.value) ?? settingOf(view.facts, op.temp);
  const plannedH = settingOf(view.facts, op.hours);
  const soFar = view.begunAt === null ? null : Math.max(0, (view.at - view.begunAt) / HOUR_MS);
  const M = molarMass(substanceOf(flask.ester).formula);
  const { end, course, after } = formedIn(flask, tempC, plannedH);
  const { charge } = flask;
  return {
    name: substanceOf(flask.ester).name,
    tempC,
    plannedH,
    hoursSoFar: soFar,
    nowG: soFar === null || !course ? null : (formedIn(flask, tempC, soFar).after ?? 0) * M,
    endG: end * M,
    course: (course ?? []).map(([hours, mol]) => [hours, mol * M]),
    plannedG: after === null ? null : after * M,
    enoughH: course?.find(([, mol]) => mol >= ENOUGH * end)?.[0] ?? null,
    limiting: substanceOf(charge.acid <= charge.alcohol ? flask.acid : flask.alcohol).name,
    theoryG: Math.min(charge.acid, charge.alcohol) * M,
    reflux: refluxSetupOf(flask, { airC: view.facts.bench.tempC, pressureHPa: view.facts.bench.pressureHPa }),
  };
}
