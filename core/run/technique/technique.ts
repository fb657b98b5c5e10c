import type { Result } from '#base/problem';
import type { Quantity } from '#base/reading';
import type { Fields, FieldsOf } from '#base/shape';
import type { Deed } from '#matter/guard';
import type { Course } from '#model/rate';
import type { At, Facts } from './facts.ts';
import type { Doing, Outcome, Standing } from './outcome.ts';
import type { StepView } from './view.ts';

/** A quantity whose course tells when a step is done. */
export interface Followed {
  readonly quantity: Quantity;
  readonly course: Course;
  /** As a sentence names it: “the volume”. */
  readonly of: string;
  /** The figure it falls to, where it does not end at nothing. */
  readonly goal?: string;
}

/** What an op names of its recipe: each must be there. */
export interface References {
  readonly roles?: readonly string[];
  readonly reactions?: readonly string[];
  readonly controls?: readonly string[];
  readonly steps?: readonly string[];
}

/**
 * What a kind of step is: the fields of its op, what it does to the vessels, what it says of itself and what to do next. `A`
 * is its own advice. Everything that has to know the kinds of step is derived from the list of these.
 */
export interface Technique<F extends Fields, A> {
  /** What one does at it: “boil down”. */
  readonly says: string;
  readonly fields: F;
  /** Whether it counts only when it is done, or as soon as something is entered at it. */
  readonly counts: 'when done' | 'when entered';
  readonly act: (standing: Standing, op: FieldsOf<F>, step: At) => Result<Outcome>;
  /** What to do next at it, from readings; null where there is nothing of its own to say. */
  readonly advice: ((view: StepView, op: FieldsOf<F>) => A | null) | null;
  /** Figures it gives, by the names that sentences use, with the figures they are shown to. */
  readonly gives: Readonly<Record<string, number>>;
  /** Readings that change what it does or gives. */
  readonly takes: readonly Quantity[];
  readonly follows: readonly Followed[];
  /** Hours it waits, least and most, where they follow from what it does; null where its template says. */
  readonly hours: ((outcome: Outcome, facts: Facts) => readonly [number, number] | null) | null;
  /** What goes in besides is there when the step does what it does; else it comes to what the step has left. A number: from that revision on. */
  readonly besidesFirst?: true | number;
  /** It goes on towards a goal until it is ended: what goes in meanwhile goes the same way. */
  readonly toGoal?: true;
  /** What becomes of things that go in besides while it goes on: water poured on a hot vessel dissolves hot. Null: as at the bench. */
  readonly takesIn: ((doing: Doing, op: FieldsOf<F>, step: At) => void) | null;
  /** °C that a hot vessel is put into at it; null where none is cooled. */
  readonly coolsTo: ((op: FieldsOf<F>, facts: Facts) => number | null) | null;
  /** What the gate is asked of all that is in its vessel; absent where it asks nothing. */
  readonly deed?: Deed;
  readonly names: (op: FieldsOf<F>) => References;
}

/** A technique, with the types of its op and its advice read off it. */
export const technique = <const F extends Fields, A = never>(of: Technique<F, A>): Technique<F, A> => of;
