import type { Schema } from 'yup';
import { pack } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';
import { reckonJson } from '#core/reckon';
import { check } from './check.ts';
import { computeInputs } from './schemas.ts';
import { type Verb, verbs } from './verbs.ts';

/**
 * The compute door for HTTP and the command line: checks the input, computes, packs the figures. The Reckoner's answer is
 * plain JSON of its own shape (docs/reckoner.md), for scripts.
 */
export function compute(verb: string, input: unknown): Result<object> {
  if (!Object.hasOwn(verbs, verb)) {
    return fail(
      'unknown-verb',
      `“${verb.slice(0, 40)}” is not computed here; there are ${Object.keys(verbs).join(', ')}.`,
    );
  }
  const name = verb as Verb;
  const checked = check(computeInputs[name] as Schema<unknown>, input);
  if (!checked.ok) return checked;
  if (name === 'reckon') return reckoned(checked.value as { text: string });
  const run = verbs[name] as (value: unknown) => Result<unknown>;
  const result = run(checked.value);
  return result.ok ? ok(pack(result.value)) : result;
}

function reckoned({ text }: { text: string }): Result<object> {
  const json = reckonJson(text);
  if (!('problem' in json)) return ok(json);
  const { code, message, at } = json.problem;
  return { ok: false, problem: { code, message, at } };
}
