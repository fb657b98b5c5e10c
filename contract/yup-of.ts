import { array, boolean, lazy, mixed, number, object, type Schema, string } from 'yup';
import type { Fields, Shape } from '#base/shape';
import { isSubstanceId } from '#matter/substance';

// Every schema at a boundary is derived from a shape of the core, so a door cannot refuse what the core takes, nor let in
// what it does not know. Nothing is coerced; unknown keys are refused.

const known = new WeakMap<object, Schema>();

/** The schema of a shape for a value: which one of several kinds it is, and whether it is there, is read off the value. */
export function yupOf(shape: Shape, value: unknown): Schema {
  switch (shape.is) {
    case 'nullable':
      return value === null ? mixed().nullable() : yupOf(shape.of, value);
    case 'optional':
      return value === undefined ? mixed() : yupOf(shape.of, value);
    case 'checked':
      return yupOf(shape.of, value);
    case 'tagged':
      return chosen(shape, value);
    case 'map':
      return mapOf(shape, value);
    default:
      return once(shape, () => fixed(shape));
  }
}

function once(key: object, make: () => Schema): Schema {
  const had = known.get(key);
  if (had) return had;
  const made = make();
  known.set(key, made);
  return made;
}

const within = (shape: Shape) => lazy((value: unknown) => yupOf(shape, value));

function fixed(shape: Exclude<Shape, { is: 'nullable' | 'optional' | 'checked' | 'tagged' | 'map' }>): Schema {
  switch (shape.is) {
    case 'text':
      return textOf(shape);
    case 'number':
      return numberOf(shape);
    case 'flag':
      return boolean().required();
    case 'one':
      return string()
        .oneOf([...shape.of])
        .required();
    case 'substance':
      return (
        string()
          .required()
          // One that a person has described is known by its id.
          .test(
            'substance',
            ({ path }) => `${path} is no substance known here`,
            (id) => isSubstanceId(id),
          )
      );
    case 'list':
      return array().of(within(shape.of)).min(shape.min).max(shape.max).required();
    case 'fields':
      return objectOf(shape.fields);
  }
}

function objectOf(of: Fields, tag: Readonly<Record<string, Schema>> = {}): Schema {
  const inner = Object.fromEntries(Object.entries(of).map(([key, each]) => [key, within(each)]));
  return object({ ...tag, ...inner })
    .noUnknown(true, ({ path, unknown }) => `${path || 'the body'} has an unknown key: ${unknown}`)
    .required();
}

function textOf({ max, min, like }: Extract<Shape, { is: 'text' }>): Schema {
  if (like) {
    return string()
      .max(max)
      .matches(like.pattern, ({ path }) => `${path} ${like.says}`)
      .test(
        'real',
        ({ path }) => `${path} is not a real day`,
        (value) => like.real !== 'date' || value === undefined || !Number.isNaN(Date.parse(value)),
      )
      .required();
  }
  const bounded = string()
    .max(max, ({ path }) => `${path} has at most ${max} characters`)
    .test(
      'no-nul',
      ({ path }) => `${path} holds a character that no text has (NUL): take it out`,
      (value) => !value?.includes('\u0000'),
    );
  return min > 0 ? bounded.required() : bounded.defined();
}

/** No quantity at a bench comes near it; beyond it sums lose their meaning. */
const BEYOND = 1e12;

function numberOf({ min, moreThan, max, whole }: Extract<Shape, { is: 'number' }>): Schema {
  let schema = number()
    .test(
      'finite',
      ({ path }) => `${path} is a finite number`,
      (value) => value === undefined || value === null || Number.isFinite(value),
    )
    .typeError(({ path }) => `${path} is a number`);
  if (min !== undefined || moreThan === undefined) schema = schema.min(min ?? -BEYOND);
  if (moreThan !== undefined) schema = schema.moreThan(moreThan, ({ path }) => `${path} is more than ${moreThan}`);
  schema = schema.max(max ?? BEYOND);
  if (whole) schema = schema.integer();
  return schema.required();
}

/** The fields of the kind that a tagged value names; a refusal that lists the kinds when it names none. */
function chosen({ tag, kinds }: Extract<Shape, { is: 'tagged' }>, value: unknown): Schema {
  const given = typeof value === 'object' && value !== null ? Reflect.get(value, tag) : undefined;
  const all = kinds();
  const found = typeof given === 'string' && Object.hasOwn(all, given) ? all[given] : undefined;
  if (found) return once(found, () => objectOf(found, { [tag]: string().required() }));
  return refusal(`${tag} is one of ${Object.keys(all).join(', ')}`, '.');
}

function mapOf(shape: Extract<Shape, { is: 'map' }>, value: unknown): Schema {
  const keys = typeof value === 'object' && value !== null ? Object.keys(value).slice(0, shape.max + 1) : [];
  if (keys.length > shape.max) return refusal(`has at most ${shape.max} entries`, ' ');
  return objectOf(Object.fromEntries(keys.map((key) => [key, shape.of])));
}

function refusal(says: string, joint: string): Schema {
  return mixed().test(
    'refused',
    ({ path }) => (path ? `${path}${joint}${says}` : says),
    () => false,
  );
}
