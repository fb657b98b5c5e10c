import { ValidationError } from 'yup';
import { fail, ok, type Problem, type Result } from '#base/problem';
import type { Shape } from '#base/shape';
import { senseOf } from './sense.ts';
import { yupOf } from './yup-of.ts';

/** Checks a value that came from outside; the first fault is told with its field. Nothing is coerced. */
export function check<T>(shape: Shape<T>, value: unknown): Result<T> {
  const fault = faultIn(shape, value);
  return fault ? { ok: false, problem: fault } : ok(value as T);
}

/** The same, of its shape alone: not whether it makes sense. */
export function checkShape<T>(shape: Shape<T>, value: unknown): Result<T> {
  const fault = shapeFault(shape, value);
  return fault ? { ok: false, problem: fault } : ok(value as T);
}

function faultIn(shape: Shape, value: unknown): Problem | undefined {
  const fault = shapeFault(shape, value);
  if (fault) return fault;
  const nonsense = senseOf(shape, value, '');
  return nonsense && told(`${nonsense.path || 'the body'} ${nonsense.says}`, nonsense.path);
}

function shapeFault(shape: Shape, value: unknown): Problem | undefined {
  try {
    yupOf(shape, value).validateSync(value, { strict: true, abortEarly: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return told(error.message, error.path);
  }
  return undefined;
}

function told(message: string, path: string | undefined): Problem | undefined {
  const found = fail('invalid-input', `${message}.`.replace(/\.+$/, '.'), path ? { field: path } : {});
  return found.ok ? undefined : found.problem;
}
