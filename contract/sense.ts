import type { Shape } from '#base/shape';

/** What makes no sense in a value that has its shape: where, and what is wrong with it. */
export interface Nonsense {
  readonly path: string;
  readonly says: string;
}

/** The first part of a well-formed value that its shape's own checks refuse. */
export function senseOf(shape: Shape, value: unknown, path: string): Nonsense | undefined {
  switch (shape.is) {
    case 'checked': {
      const inner = senseOf(shape.of, value, path);
      if (inner) return inner;
      const says = shape.problem(value as never);
      return says === '' ? undefined : { path, says };
    }
    case 'nullable':
    case 'optional':
      return value === null || value === undefined ? undefined : senseOf(shape.of, value, path);
    case 'list':
      return first((value as readonly unknown[]).map((each, i) => [shape.of, each, `${path}[${i}]`] as const));
    case 'map':
      return first(Object.entries(value as object).map(([key, each]) => [shape.of, each, under(path, key)] as const));
    case 'fields':
      return inFields(shape.fields, value as object, path);
    case 'tagged':
      return inFields(shape.kinds()[Reflect.get(value as object, shape.tag)] ?? {}, value as object, path);
    default:
      return undefined;
  }
}

function inFields(fields: Readonly<Record<string, Shape>>, value: object, path: string): Nonsense | undefined {
  return first(Object.entries(fields).map(([key, each]) => [each, Reflect.get(value, key), under(path, key)] as const));
}

function first(parts: readonly (readonly [Shape, unknown, string])[]): Nonsense | undefined {
  for (const [shape, value, path] of parts) {
    const found = senseOf(shape, value, path);
    if (found) return found;
  }
  return undefined;
}

const under = (path: string, key: string) => (path === '' ? key : `${path}.${key}`);
