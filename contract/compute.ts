import { reckonJson } from '#ask/reckon';
import { pack } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { check } from './check.ts';
import { admitInput } from './scope.ts';
import type { Verb } from './verb.ts';
import { reckon } from './verbs/reckon.ts';
import { type VerbInput, type VerbName, type VerbOutput, verbs } from './verbs.ts';

/**
 * The compute door for HTTP and the command line: checks the input, computes, packs the figures. The Reckoner's answer is
 * plain JSON of its own shape (docs/reckoner.md), for scripts.
 */
export function compute(name: string, input: unknown): Result<object> {
  if (!Object.hasOwn(verbs, name)) {
    return fail(
      'unknown-verb',
      `“${name.slice(0, 40)}” is not computed here; there are ${Object.keys(verbs).join(', ')}.`,
    );
  }
  return name === reckon.name ? reckoned(input) : computed(name as VerbName, input);
}

// One look-up, typed so that each verb runs on its own input.
const doors: { readonly [V in VerbName]: Verb<string, VerbInput<V>, VerbOutput<V>> } = verbs;

function computed<V extends VerbName>(name: V, input: unknown): Result<object> {
  const verb = doors[name];
  const checked = check(verb.input, input);
  if (!checked.ok) return checked;
  const allowed = admitInput(name, checked.value);
  if (!allowed.ok) return allowed;
  const result = verb.run(checked.value);
  return result.ok ? ok(pack(result.value)) : result;
}

function reckoned(input: unknown): Result<object> {
  const checked = check(reckon.input, input);
  if (!checked.ok) return checked;
  const json = reckonJson(checked.value.text);
  if (!('problem' in json)) return ok(json);
  const { code, message, at } = json.problem;
  return { ok: false, problem: { code, message, at } };
}
