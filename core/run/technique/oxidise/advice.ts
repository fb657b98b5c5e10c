import { lastOf } from '#base/lookup';
import { readingValue } from '#base/reading';
import type { FieldsOf } from '#base/shape';
import { molarMass, substanceOf } from '#matter/substance';
import { type HalideAnswer, type HalideInput, halideCourse } from '#model/rate';
import { settingOf } from '../facts.ts';
import type { StepView } from '../view.ts';
import { mixtureOf } from './mixture.ts';
import type { fields } from './op.ts';

/** How far a halide is oxidised by now, how far it comes, and whether waiting is worth it. */
export interface OxidiseAdvice {
  readonly name: string;
  readonly input: HalideInput;
  readonly answer: HalideAnswer;
  readonly plannedH: number;
  readonly hoursSoFar: number | null;
  readonly nowG: number | null;
  readonly mostG: number;
  readonly plannedG: number;
  readonly theoryG: number;
  /** g of halogen over hours. */
  readonly course: readonly (readonly [number, number])[];
  /** g of sodium thiosulfate pentahydrate that quench all the halogen that can be there. */
  readonly quenchG: number;
  readonly tempC: number;
}

const HOUR_MS = 3_600_000;
/** Thiosulfate that reduces a mol of halogen in acid, mol, with a fifth to spare: 2 for iodine; bromine takes it further, to sulfate. */
const QUENCH = { bromine: 2, iodine: 2 } as const;
const SPARE = 1.2;

export function advice(view: StepView, op: FieldsOf<typeof fields>): OxidiseAdvice | null {
  const mixture = mixtureOf(view.before, op, view.facts);
  if (!mixture) return null;
  const reading = view.readings.findLast(({ body }) => body.quantity === 'temperature')?.body.reading;
  const tempC = (reading && readingValue(reading)?.value) ?? settingOf(view.facts, op.temp);
  const plannedH = settingOf(view.facts, op.hours);
  const hoursPassed = view.begunAt === null ? null : Math.max(0, (view.at - view.begunAt) / HOUR_MS);
  const asked = { ...mixture.input, tempC: Math.min(60, Math.max(-5, tempC)) };
  const input = { ...asked, hours: Math.min(2000, Math.max(1.5 * plannedH, 1.2 * (hoursPassed ?? 0), 0.05)) };
  const found = halideCourse(input);
  if (!found.ok) return null;
  const { course, most } = found.value;
  const g = mixture.litres * molarMass(substanceOf(op.halogen).formula);
  const at = (hours: number) => {
    const after = course.find((each) => each.hours >= hours) ?? lastOf(course);
    return after.halogenM * g;
  };
  const theory = mixture.mol / mixture.perHalogen;
  return {
    name: substanceOf(op.halogen).name,
    input,
    answer: found.value,
    plannedH,
    hoursSoFar: hoursPassed,
    nowG: hoursPassed === null ? null : at(hoursPassed),
    mostG: most.halogenM * g,
    plannedG: at(plannedH),
    theoryG: theory * molarMass(substanceOf(op.halogen).formula),
    course: course.map(({ hours, halogenM }) => [hours, halogenM * g]),
    quenchG: SPARE * QUENCH[op.halogen] * most.halogenM * mixture.litres * molarMass('Na2S2O3.5H2O'),
    tempC,
  };
}
