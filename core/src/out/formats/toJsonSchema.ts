import { HEX, UUID, type Form, type ObjectForm } from './form';

export type JsonSchema = { [key: string]: unknown };

/** Compiles a form to JSON Schema (2020-12). */
export function toJsonSchema(form: Form): JsonSchema {
  const described = form.note ? { description: form.note } : {};
  switch (form.is) {
    case 'number':
      return {
        type: form.whole ? 'integer' : 'number',
        ...(form.min === undefined ? {} : { minimum: form.min }),
        ...(form.max === undefined ? {} : { maximum: form.max }),
        ...(form.unit ? { description: [form.note, form.unit].filter(Boolean).join(', ') } : described),
      };
    case 'text':
      return { type: 'string', ...(form.min ? { minLength: form.min } : {}), maxLength: form.max, ...described };
    case 'time':
      return { type: 'string', format: 'date-time', ...described };
    case 'day':
      return { type: 'string', format: 'date', ...described };
    case 'hex':
      return { type: 'string', pattern: HEX.source, ...described };
    case 'id':
      return { type: 'string', format: 'uuid', pattern: UUID.source, ...described };
    case 'truth':
      return { type: 'boolean', ...described };
    case 'one-of':
      return { enum: form.values, ...described };
    case 'either':
      return { anyOf: form.of.map(toJsonSchema), ...described };
    case 'list':
      return {
        type: 'array',
        items: toJsonSchema(form.of),
        ...(form.min ? { minItems: form.min } : {}),
        maxItems: form.max,
        ...described,
      };
    case 'map':
      return { type: 'object', additionalProperties: toJsonSchema(form.of), maxProperties: form.max, ...described };
    case 'object':
      return objectSchema(form);
    case 'variant':
      return {
        oneOf: Object.entries(form.forms).map(([id, of]) => {
          const schema = objectSchema(of);
          return {
            ...schema,
            properties: { [form.by]: { const: id }, ...(schema.properties as object) },
            required: [form.by, ...(schema.required as string[])],
          };
        }),
        ...described,
      };
  }
}

function objectSchema(form: ObjectForm): JsonSchema {
  const keys = Object.entries(form.keys);
  return {
    type: 'object',
    properties: {
      ...Object.fromEntries(keys.map(([key, { form: of }]) => [key, toJsonSchema(of)])),
      ...(form.depends ? { [form.depends.key]: { type: 'object' } } : {}),
    },
    required: keys.filter(([, key]) => !key.optional).map(([key]) => key),
    additionalProperties: false,
    ...(form.atLeastOne ? { anyOf: form.atLeastOne.map((key) => ({ required: [key] })) } : {}),
    ...(form.atMostOne ? { not: { anyOf: pairsOf(form.atMostOne).map((required) => ({ required })) } } : {}),
    ...(form.depends ? dependent(form.depends) : {}),
    ...(form.note ? { description: form.note } : {}),
  };
}

/** What a key must be beside each value of the one it depends on. */
function dependent({ key, on, forms }: NonNullable<ObjectForm['depends']>): JsonSchema {
  return {
    allOf: Object.entries(forms).map(([value, of]) => ({
      if: { properties: { [on]: { const: value } } },
      then: { properties: { [key]: objectSchema(of) } },
    })),
  };
}

/** Every two of a list. */
function pairsOf(keys: readonly string[]): [string, string][] {
  return keys.flatMap((a, index) => keys.slice(index + 1).map((b): [string, string] => [a, b]));
}
