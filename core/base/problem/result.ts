import { type Problem, type ProblemCode, problem } from './problem.ts';

/** What a function that can be refused gives back. */
export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export function ok<T>(value: T): Result<T> {
  return { ok: true, value };
}

export function fail(code: ProblemCode, message: string, where: Parameters<typeof problem>[2] = {}): Result<never> {
  return { ok: false, problem: problem(code, message, where) };
}

/** The value, for callers that know it is there; throws the sentence when it is not. */
export function unwrap<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new Error(result.problem.message);
}
