import { type Schema, ValidationError } from 'yup';
import { fail, ok, type Result } from '#core/problem';

/** Checks a value that came from outside; the first fault is told with its field. Nothing is coerced. */
export function check<T>(schema: Schema<T>, value: unknown): Result<T> {
  try {
    return ok(schema.validateSync(value, { strict: true, abortEarly: true }) as T);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return fail('invalid-input', `${error.message}.`.replace(/\.+$/, '.'), error.path ? { field: error.path } : {});
  }
}
