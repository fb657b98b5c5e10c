import { type FilterAdvice, filterAdvice } from '../filter/advice.ts';
import type { StepView } from '../view.ts';

/** How long it settles before it can be poured off. */
export function advice(view: StepView): FilterAdvice | null {
  return filterAdvice(view, 'settles');
}
