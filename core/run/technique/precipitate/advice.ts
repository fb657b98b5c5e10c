import { type FilterAdvice, filterAdvice } from '../filter/advice.ts';
import type { StepView } from '../view.ts';

/** How it settles. */
export function advice(view: StepView): FilterAdvice | null {
  return filterAdvice(view, 'settles');
}
