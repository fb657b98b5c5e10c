import fc from 'fast-check';
import type { Fields, Shape } from '#base/shape';
import { allSubstances } from '#matter/substance';

const ids = allSubstances.map(({ id }) => id);
const short = fc.constantFrom(
  'zinc',
  'water',
  'dissolve',
  'step_extra1',
  'why',
  'a longer text, with a comma; and more',
);

/** Values of a shape, sensible or not, each one that its door takes. `known` gives values for fields by their name. */
export function arbitraryOf<T>(
  shape: Shape<T>,
  known: Readonly<Record<string, fc.Arbitrary<unknown>>> = {},
): fc.Arbitrary<T> {
  return build(shape, known) as fc.Arbitrary<T>;
}

type Known = Readonly<Record<string, fc.Arbitrary<unknown>>>;

function build(shape: Shape, known: Known): fc.Arbitrary<unknown> {
  switch (shape.is) {
    case 'text':
      return textOf(shape);
    case 'number':
      return numberOf(shape);
    case 'flag':
      return fc.boolean();
    case 'one':
      return fc.constantFrom(...shape.of);
    case 'substance':
      return fc.constantFrom(...ids);
    case 'list':
      return fc.array(build(shape.of, known), { minLength: shape.min, maxLength: Math.min(shape.max, shape.min + 3) });
    case 'map':
      return fc.dictionary(short, build(shape.of, known), { maxKeys: Math.min(shape.max, 3) });
    case 'fields':
      return fieldsOf(shape.fields, known);
    case 'tagged':
      return fc.oneof(
        ...Object.entries(shape.kinds()).map(([kind, fields]) =>
          fieldsOf(fields, known).map((value) => ({ [shape.tag]: kind, ...value })),
        ),
      );
    case 'nullable':
      return fc.option(build(shape.of, known), { nil: null });
    case 'optional':
      return fc.option(build(shape.of, known), { nil: undefined });
    case 'checked':
      return build(shape.of, known).filter((value) => shape.problem(value as never) === '');
  }
}

function fieldsOf(fields: Fields, known: Known): fc.Arbitrary<object> {
  return fc
    .record(Object.fromEntries(Object.entries(fields).map(([key, each]) => [key, known[key] ?? build(each, known)])))
    .map((value) => Object.fromEntries(Object.entries(value).filter(([, each]) => each !== undefined)));
}

function textOf({ min, max, like }: Extract<Shape, { is: 'text' }>): fc.Arbitrary<string> {
  if (like?.real === 'date') return fc.constant(like.example);
  if (like) return fc.integer({ min: 100_000, max: 999_999 }).map((n) => like.example.replace(/_.*$/, `_${n}`));
  return short.map((text) => (min === 0 ? text.slice(0, max) : text.slice(0, max) || 'x'));
}

function numberOf({ min, moreThan, max, whole }: Extract<Shape, { is: 'number' }>): fc.Arbitrary<number> {
  const least = min ?? moreThan ?? -1000;
  const most = Math.min(max ?? 1000, Math.max(1000, least + 1000));
  if (whole) return fc.integer({ min: Math.ceil(least), max: Math.floor(most) });
  const within = fc.double({ min: least, max: most, noNaN: true });
  return moreThan === undefined ? within : within.filter((value) => value > moreThan);
}
