import type { FieldsOf } from '#base/shape';
import type { ExtentReport } from '#model/add';
import { additionOf, solidRole } from '../addition.ts';
import { extentOfStep } from '../extent.ts';
import { reactionOf } from '../facts.ts';
import type { StepView } from '../view.ts';
import type { fields } from './op.ts';
import { type StallAdvice, stallOf } from './stall.ts';

export interface Reacts {
  readonly extent: ExtentReport | null;
  readonly stall: StallAdvice | null;
}

export function advice(view: StepView, op: FieldsOf<typeof fields>): Reacts | null {
  const reaction = reactionOf(view.facts, op.reaction);
  const addition = additionOf(view, solidRole(view.facts, reaction), [op.reaction], false);
  if (!addition) return null;
  return { extent: extentOfStep(view, addition, undefined), stall: stallOf(view, addition, reaction) };
}
