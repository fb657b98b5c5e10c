import { computeAnswer, type Written } from './answer.ts';

/** A thread of the compute door. */
export default function work({ verb, body }: { readonly verb: string; readonly body: unknown }): Written {
  return computeAnswer(verb, body);
}
