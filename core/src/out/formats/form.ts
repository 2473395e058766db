import type { Field, Lines } from '../../base/units';

/** A UUID in its one spelling: other cases, brackets or no hyphens would make several ids of one. */
export const UUID = /^[\da-f]{8}-[\da-f]{4}-[\da-f]{4}-[\da-f]{4}-[\da-f]{12}$/;

/** A colour as it is written: two digits of red, green and blue each. */
export const HEX = /^#[\da-fA-F]{6}$/;

/** A small language for the form of a document, compiled both to Joi and to JSON Schema. */
export type Form =
  | { is: 'number'; min?: number; max?: number; whole?: boolean; unit?: string; note?: string }
  /** One line, and no blank one where `min` asks for something. */
  | { is: 'text'; max: number; min?: number; lines?: Lines; note?: string }
  | { is: 'time'; note?: string }
  /** A day of the calendar, as 2026-12-05. */
  | { is: 'day'; note?: string }
  /** A colour, as #1a2b3c. */
  | { is: 'hex'; note?: string }
  | { is: 'id'; note?: string }
  | { is: 'truth'; note?: string }
  | { is: 'one-of'; values: readonly (string | number | null)[]; note?: string }
  /** Of one of two forms. */
  | { is: 'either'; of: readonly [Form, Form]; note?: string }
  | { is: 'list'; of: Form; max: number; min?: number; note?: string }
  | { is: 'map'; of: Form; max: number; note?: string }
  | {
      is: 'object';
      keys: Record<string, Key>;
      atLeastOne?: readonly string[];
      atMostOne?: readonly string[];
      /** A key whose form depends on what stands under another; beside a value without a form of its own it is empty. */
      depends?: { key: string; on: string; forms: Record<string, ObjectForm> };
      note?: string;
    }
  /** An object whose form depends on what stands under `by`. */
  | { is: 'variant'; by: string; forms: Record<string, ObjectForm>; note?: string };

export type ObjectForm = Extract<Form, { is: 'object' }>;

export interface Key {
  form: Form;
  optional?: boolean;
}

/** A key that must be there. */
export function required(form: Form): Key {
  return { form };
}

/** A key that may be left out. */
export function optional(form: Form): Key {
  return { form, optional: true };
}

/** The form of an option as a plan writes it. */
function fieldForm(field: Field): Key {
  const mayBeLeftOut = field.optional === true || field.default !== undefined;
  return { form: fieldValueForm(field), optional: mayBeLeftOut };
}

function fieldValueForm(field: Field): Form {
  const note = field.label;
  switch (field.kind) {
    case 'choice':
      return { is: 'one-of', values: field.options.map((o) => o.id), note };
    case 'choices':
      return { is: 'list', of: { is: 'one-of', values: field.options.map((o) => o.id) }, max: field.most, note };
    case 'text':
      return { is: 'text', max: field.max, ...(field.lines ? { lines: 'lines' } : {}), note };
    case 'length':
      return { is: 'number', min: field.min, max: field.max, unit: 'mm', note };
    case 'number': {
      const { min, max, unit } = field;
      return { is: 'number', min, max, ...(field.whole ? { whole: true } : {}), unit, note };
    }
  }
}

/** Fields as the keys of an object. */
export function fieldKeys(fields: readonly Field[]): Record<string, Key> {
  return Object.fromEntries(fields.map((field) => [field.key, fieldForm(field)]));
}
