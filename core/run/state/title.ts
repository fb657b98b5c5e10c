import type { StepState } from './step-state.ts';

/** The title of a step as plain text. */
export function titleText({ title }: Pick<StepState, 'title'>): string {
  return title.map((part) => (part.is === 'text' ? part.text : part.shown)).join('');
}
