import { lazy, mixed, number, object, type Schema, string } from 'yup';
import { strengthUnits } from '#core/solution';

// What every schema is made of: finite numbers, bounded texts, shapes that refuse unknown keys, values chosen by a tag.

export const finite = () =>
  number()
    .test(
      'finite',
      ({ path }) => `${path} is a finite number`,
      (value) => value === undefined || value === null || Number.isFinite(value),
    )
    .typeError(({ path }) => `${path} is a number`);
export const text = (most: number) => string().max(most, ({ path, max }) => `${path} has at most ${max} signs`);
export const shape = <T extends object>(fields: Parameters<typeof object>[0]) =>
  object(fields)
    .noUnknown(true, ({ path, unknown }) => `${path || 'the body'} has an unknown key: ${unknown}`)
    .required() as unknown as Schema<T>;

/** A client-made id: a readable prefix and enough randomness never to meet another. */
export const idOf = (prefix: string) =>
  string()
    .matches(
      new RegExp(`^${prefix}_[A-Za-z0-9_-]{6,40}$`),
      ({ path }) => `${path} looks like ${prefix}_ and 6 to 40 letters or digits`,
    )
    .required();

export const instant = () =>
  string()
    .matches(
      /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d{1,6})?)?(Z|[+-]\d{2}:\d{2})$/,
      ({ path }) => `${path} is an instant such as 2026-03-14T09:30:00Z`,
    )
    .test(
      'real',
      ({ path }) => `${path} is not a real date`,
      (value) => value === undefined || !Number.isNaN(Date.parse(value)),
    )
    .required();
export const day = () =>
  string()
    .matches(/^\d{4}-\d{2}-\d{2}$/, ({ path }) => `${path} is a day such as 2026-03-14`)
    .test(
      'real',
      ({ path }) => `${path} is not a real day`,
      (value) => value === undefined || !Number.isNaN(Date.parse(value)),
    )
    .required();

export const strength = object({
  value: finite().required(),
  unit: string()
    .oneOf(Object.keys(strengthUnits) as (keyof typeof strengthUnits)[])
    .required(),
}).noUnknown();

export const record = (each: Schema, most: number) =>
  lazy((value: unknown) => {
    const keys = typeof value === 'object' && value !== null ? Object.keys(value).slice(0, most + 1) : [];
    if (keys.length > most) return mixed().test('few', `at most ${most} entries`, () => false);
    return shape(Object.fromEntries(keys.map((key) => [key, each])));
  });

export const tempC = () => finite().min(0).max(45).required();

export function byKind(bodies: Readonly<Record<string, Schema>>): Schema {
  return lazy((value: unknown) => pick(bodies, value, 'kind')) as unknown as Schema;
}

/** The schema that a tagged value chooses by its tag; a refusal that names the tags when it chooses none. */
export function pick(schemas: Readonly<Record<string, Schema>>, value: unknown, tag: string) {
  const given = typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[tag] : undefined;
  const found = typeof given === 'string' && Object.hasOwn(schemas, given) ? schemas[given] : undefined;
  return (
    found ??
    mixed().test(
      'tag',
      ({ path }) => `${path}.${tag} is one of ${Object.keys(schemas).join(', ')}`,
      () => false,
    )
  );
}
