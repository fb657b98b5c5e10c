import type { Control, Recipe, TechniqueName } from '#run/technique';
import type { StepTemplate } from '../route.ts';

/** A step as it is inserted: its template, and what can be set at it. */
export interface PutIn {
  readonly step: StepTemplate;
  readonly controls: readonly Control[];
}

/** A kind of step that a person can put into a batch. */
export interface StepKind {
  readonly id: string;
  /** As it stands in a list: “boil down”. */
  readonly says: string;
  readonly technique: TechniqueName;
  /** What it needs besides: which bottle goes in, or which equation goes on. */
  readonly needs: 'role' | 'reaction' | null;
  /** Makes it for a recipe; `id` is its own, and what it needs stands in `of`. */
  readonly make: (recipe: Recipe, id: string, of: string) => PutIn;
}

export const plain = (template: StepTemplate): PutIn => ({ step: template, controls: [] });

export const control = (id: string, of: Omit<Control, 'id'>): Control => ({ id: `set-${id}`.slice(0, 40), ...of });
