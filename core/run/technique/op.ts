import type { Result } from '#base/problem';
import { type FieldsOf, type Shape, tagged } from '#base/shape';
import { techniques } from './catalogue.ts';
import type { At, Facts } from './facts.ts';
import type { Doing, Outcome, Standing } from './outcome.ts';
import type { References } from './technique.ts';
import type { StepView } from './view.ts';

type Techniques = typeof techniques;
export type TechniqueName = keyof Techniques;
type Flat<T> = { [K in keyof T]: T[K] };

/** What a step of a kind does to what is in the vessels. */
export type OpOf<N extends TechniqueName> = Flat<{ readonly do: N } & FieldsOf<Techniques[N]['fields']>>;
export type Op = { [N in TechniqueName]: OpOf<N> }[TechniqueName];

/** What a kind of step advises. */
export type AdviceOf<N extends TechniqueName> =
  NonNullable<Techniques[N]['advice']> extends (view: StepView, op: never) => infer R ? Exclude<R, null> : never;
export type OwnAdvice = { [N in TechniqueName]: { readonly do: N; readonly says: AdviceOf<N> | null } }[TechniqueName];

export const techniqueNames = Object.keys(techniques) as TechniqueName[];

export const opShape: Shape<Op> = tagged(
  'do',
  Object.fromEntries(techniqueNames.map((name) => [name, techniques[name].fields])) as {
    readonly [N in TechniqueName]: Techniques[N]['fields'];
  },
) as Shape<Op>;

// One look-up for each thing that is asked of a kind of step, typed so that its own op is what it gets.
const acts: {
  readonly [N in TechniqueName]: { act: (s: Standing, op: OpOf<N>, at: At) => Result<Outcome> };
} = techniques;
const named: { readonly [N in TechniqueName]: { names: (op: OpOf<N>) => References } } = techniques;
const advising: {
  readonly [N in TechniqueName]: { advice: ((view: StepView, op: OpOf<N>) => AdviceOf<N> | null) | null };
} = techniques;

/** Does what a step does. */
export function actOf<N extends TechniqueName>(op: OpOf<N>, standing: Standing, step: At): Result<Outcome> {
  return acts[op.do as N].act(standing, op, step);
}

const cooling: {
  readonly [N in TechniqueName]: { coolsTo: ((op: OpOf<N>, facts: Facts) => number | null) | null };
} = techniques;

/** °C that a hot vessel is put into at a step; null where none is cooled. */
export function coolsTo<N extends TechniqueName>(op: OpOf<N>, facts: Facts): number | null {
  return cooling[op.do as N].coolsTo?.(op, facts) ?? null;
}

const taking: {
  readonly [N in TechniqueName]: { takesIn: ((doing: Doing, op: OpOf<N>, step: At) => void) | null };
} = techniques;

/** Lets what went in besides at a step become what it becomes there. */
export function takeIn<N extends TechniqueName>(op: OpOf<N>, doing: Doing, step: At): void {
  taking[op.do as N].takesIn?.(doing, op, step);
}

/** What an op names of its recipe. */
export function referencesOf<N extends TechniqueName>(op: OpOf<N>): References {
  return named[op.do as N].names(op);
}

/** What a step advises of its own. */
export function adviceOf<N extends TechniqueName>(op: OpOf<N>, view: StepView): AdviceOf<N> | null {
  return advising[op.do as N].advice?.(view, op) ?? null;
}
