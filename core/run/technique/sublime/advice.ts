import type { FieldsOf } from '#base/shape';
import { molarMass, substanceOf } from '#matter/substance';
import { amountOf } from '#matter/vessel';
import { type SublimeAnswer, type SublimeInput, sublime } from '#model/sublime';
import { lastRead, type StepView } from '../view.ts';
import { inputOf } from './asked.ts';
import type { fields } from './op.ts';

/** How the subliming goes, and what was asked of it: a panel asks the same for other temperatures. */
export interface SublimeAdvice {
  readonly input: SublimeInput;
  readonly answer: SublimeAnswer;
  /** g in the dish at first. */
  readonly charged: number;
  /** g over by now, by the time it has been warm; null before it was begun. */
  readonly overNow: number | null;
  /** What was weighed as left in the dish last, g; null where nothing was. */
  readonly leftRead: number | null;
}

export function advice(view: StepView, op: FieldsOf<typeof fields>): SublimeAdvice | null {
  const mol = amountOf(view.before, op.substanceId)?.value ?? 0;
  if (!(mol > 0)) return null;
  const grams = mol * molarMass(substanceOf(op.substanceId).formula);
  const reading = view.readings.findLast(({ body }) => body.quantity === 'temperature')?.body.reading;
  const input = inputOf(op, view.facts, { grams, readings: reading ? { temperature: reading } : {} });
  const answer = sublime(input);
  if (!answer.ok) return null;
  const hours = view.begunAt === null ? 0 : (view.at - view.begunAt) / HOUR_MS;
  const soFar = hours > 0 ? sublime({ ...input, hours }) : null;
  return {
    input,
    answer: answer.value,
    charged: grams,
    overNow: soFar?.ok ? soFar.value.over : null,
    leftRead: lastRead(view.readings, 'left', 0),
  };
}

const HOUR_MS = 3_600_000;
