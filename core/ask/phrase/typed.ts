import { fail, ok, type Result } from '#base/problem';
import { parseNumber, parseQuantity } from '#base/units';
import { pointAt } from './phrase.ts';

/** A number as it may be typed, for a pattern. */
export const NUMBER = String.raw`[-+\u2212]?(?:\d[\d.,]*|[.,]\d+)(?:[eE][-+]?\d{1,3}(?!\w))?`;

/** A typed number; a refusal points at it. */
export function typedNumber(text: string, line: string): Result<number> {
  const read = parseNumber(text);
  return read.ok ? read : { ok: false, problem: { ...read.problem, at: pointAt(line, text) } };
}

/** Grams from a mass, or of water from a volume; more than 0. `of` names it in a refusal: “The water”. */
export function typedGrams(text: string, line: string, of = 'The water'): Result<number> {
  const read = parseQuantity(text, ['mass', 'volume']);
  if (!read.ok) return { ok: false, problem: { ...read.problem, at: pointAt(line, text) } };
  return read.value.value > 0
    ? ok(read.value.value)
    : fail('out-of-range', `${of} is more than 0 g.`, { at: pointAt(line, text) });
}
