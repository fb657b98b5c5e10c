import type { Fields, Shape } from '#base/shape';

type Schema = Readonly<Record<string, unknown>>;

/** A shape as JSON Schema (2020-12): what other programs check a file with. What makes no sense besides is not in it. */
export function jsonSchemaOf(shape: Shape, title: string): Schema {
  return { $schema: 'https://json-schema.org/draft/2020-12/schema', title, ...schemaOf(shape) };
}

function schemaOf(shape: Shape): Schema {
  switch (shape.is) {
    case 'text':
      return {
        type: 'string',
        minLength: shape.min,
        maxLength: shape.max,
        ...(shape.like ? { pattern: shape.like.pattern.source } : {}),
      };
    case 'number':
      return {
        type: shape.whole ? 'integer' : 'number',
        ...(shape.min === undefined ? {} : { minimum: shape.min }),
        ...(shape.moreThan === undefined ? {} : { exclusiveMinimum: shape.moreThan }),
        ...(shape.max === undefined ? {} : { maximum: shape.max }),
      };
    case 'flag':
      return { type: 'boolean' };
    case 'one':
      return { enum: [...shape.of] };
    case 'substance':
      return { type: 'string', description: 'a substance’s id' };
    case 'list':
      return { type: 'array', items: schemaOf(shape.of), minItems: shape.min, maxItems: shape.max };
    case 'map':
      return { type: 'object', additionalProperties: schemaOf(shape.of), maxProperties: shape.max };
    case 'fields':
      return objectOf(shape.fields);
    case 'tagged':
      return {
        oneOf: Object.entries(shape.kinds()).map(([kind, fields]) =>
          objectOf(fields, { [shape.tag]: { const: kind } }),
        ),
      };
    case 'nullable':
      return { anyOf: [schemaOf(shape.of), { type: 'null' }] };
    case 'optional':
    case 'checked':
      return schemaOf(shape.of);
  }
}

function objectOf(fields: Fields, tag: Readonly<Record<string, Schema>> = {}): Schema {
  const wanted = Object.entries(fields).filter(([, each]) => each.is !== 'optional');
  return {
    type: 'object',
    properties: { ...tag, ...Object.fromEntries(Object.entries(fields).map(([name, each]) => [name, schemaOf(each)])) },
    required: [...Object.keys(tag), ...wanted.map(([name]) => name)],
    additionalProperties: false,
  };
}
