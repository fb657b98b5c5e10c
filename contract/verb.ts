import type { Result } from '#base/problem';
import type { Shape } from '#base/shape';

/**
 * Something that the compute door does: what it takes, what it does with it, an input that it answers. The documentation,
 * the check of inputs, the fuzzing and the command line follow from these.
 */
export interface Verb<Name extends string, In, Out> {
  readonly name: Name;
  readonly input: Shape<In>;
  readonly run: (input: In) => Result<Out>;
  /** Null where a good one is too long to write out: it is built of the demo's plans. */
  readonly example: In | null;
}

export const verb = <const Name extends string, In, Out>(of: Verb<Name, In, Out>): Verb<Name, In, Out> => of;
