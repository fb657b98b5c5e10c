import type { Schema } from 'yup';
import { type Packed, pack } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';
import { check } from './check.ts';
import { computeInputs } from './schemas.ts';
import { type Verb, verbs } from './verbs.ts';

/** The compute door for HTTP and the command line: checks the input, computes, packs the figures. */
export function compute(verb: string, input: unknown): Result<Packed> {
  if (!Object.hasOwn(verbs, verb)) {
    return fail(
      'unknown-verb',
      `“${verb.slice(0, 40)}” is not computed here; there are ${Object.keys(verbs).join(', ')}.`,
    );
  }
  const name = verb as Verb;
  const checked = check(computeInputs[name] as Schema<unknown>, input);
  if (!checked.ok) return checked;
  const run = verbs[name] as (value: unknown) => Result<unknown>;
  const result = run(checked.value);
  return result.ok ? ok(pack(result.value)) : result;
}
