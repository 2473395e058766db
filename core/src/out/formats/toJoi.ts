import Joi from 'joi';
import { formatLength, formatNumber, hiddenIn, isBlank } from '../../base/units';
import type { PlanFault } from '../../base/figure';
import { isDay } from '../../make/sittings';
import { HEX, UUID, type Form, type ObjectForm } from './form';

/** Forms are part of others, and never change. */
const known = new WeakMap<Form, Joi.Schema>();

/** A form as a Joi schema, compiled when it is first asked for. */
function toJoi(form: Form): Joi.Schema {
  const before = known.get(form);
  if (before) return before;
  const schema = compiled(form);
  known.set(form, schema);
  return schema;
}

function compiled(form: Form): Joi.Schema {
  switch (form.is) {
    case 'number': {
      let schema = Joi.number();
      if (form.min !== undefined) schema = schema.min(form.min);
      if (form.max !== undefined) schema = schema.max(form.max);
      if (form.whole) schema = schema.integer();
      return schema.meta({ unit: form.unit ?? '' });
    }
    case 'text':
      return textSchema(form);
    case 'time':
      return Joi.string().isoDate();
    case 'day':
      return Joi.string().custom((value: string, { error }) => (isDay(value) ? value : error('text.day')));
    case 'hex':
      return Joi.string().custom((value: string, { error }) => (HEX.test(value) ? value : error('text.hex')));
    case 'id':
      return Joi.string().pattern(UUID);
    case 'truth':
      return Joi.boolean();
    case 'one-of':
      return Joi.valid(...form.values);
    case 'either':
      return Joi.alternatives(...form.of.map(toJoi));
    case 'list':
      return Joi.array()
        .items(toJoi(form.of))
        .min(form.min ?? 0)
        .max(form.max);
    case 'map':
      return Joi.object().pattern(Joi.string().max(40), toJoi(form.of)).max(form.max);
    case 'object':
      return objectSchema(form);
    case 'variant':
      return Joi.object({ [form.by]: Joi.valid(...Object.keys(form.forms)).required() })
        .unknown(true)
        .when(`.${form.by}`, {
          switch: Object.entries(form.forms).map(([id, of]) => ({ is: id, then: objectSchema(of, form.by) })),
        });
  }
}

function textSchema({ min, max, lines }: Extract<Form, { is: 'text' }>): Joi.StringSchema {
  const sized = min ? Joi.string().min(min).max(max) : Joi.string().allow('').max(max);
  return sized.custom((value: string, { error }) => {
    const hidden = hiddenIn(value, lines);
    if (hidden) return error('text.hidden', { hidden });
    return min && isBlank(value) ? error('text.blank') : value;
  });
}

function objectSchema(form: ObjectForm, by?: string): Joi.ObjectSchema {
  const keys: Record<string, Joi.Schema> = {};
  for (const [key, { form: of, optional }] of Object.entries(form.keys))
    keys[key] = optional ? toJoi(of) : toJoi(of).required();
  if (by) keys[by] = Joi.any().required();
  if (form.depends) {
    const { key, on, forms } = form.depends;
    keys[key] = Joi.when(on, { switch: Object.entries(forms).map(([is, of]) => ({ is, then: objectSchema(of) })) });
  }
  let schema = Joi.object(keys).unknown(false);
  if (form.atLeastOne) schema = schema.or(...form.atLeastOne);
  if (form.atMostOne) schema = schema.oxor(...form.atMostOne);
  return schema;
}

/** Told of one document: more would help nobody. */
const MOST_FAULTS = 20;

export type Checked<T> = { ok: true; value: T } | { ok: false; errors: PlanFault[] };

/** Checks a value against a form; every fault is worded in full and carries its path. */
export function check<T>(form: Form, value: unknown, whole = 'plan'): Checked<T> {
  // nothing at all is no document either
  const result = toJoi(form).required().validate(value, { abortEarly: false, convert: false });
  if (!result.error) return { ok: true, value: result.value as T };
  return {
    ok: false,
    errors: result.error.details
      .slice(0, MOST_FAULTS)
      .map((detail) => ({ path: pathText(detail, whole), message: message(detail) })),
  };
}

function pathText({ path, type, context }: Joi.ValidationErrorItem, whole: string): string {
  const missing = type === 'object.missing' ? [...path, (context?.peers as string[])[0]!] : path;
  const text = missing.map((part) => (typeof part === 'number' ? `[${part}]` : `.${part}`)).join('');
  return text.replace(/^\./, '') || whole;
}

function shown(value: unknown): string {
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text && text.length > 40 ? `“${text.slice(0, 40)}…”` : `“${text}”`;
}

function message({ type, context = {} }: Joi.ValidationErrorItem): string {
  const value = context.value as unknown;
  const limit = context.limit as number;
  const name =
    String(context.label ?? '')
      .split('.')
      .at(-1) ?? '';
  const say = (n: number) => (/mm$/i.test(name) ? formatLength(n) : formatNumber(n, 2));
  const words: Record<string, () => string> = {
    'any.required': () => 'Missing. Add it.',
    'any.only': () => `${shown(value)} is not known here. Use ${listed(context.valids as unknown[])}.`,
    'number.base': () =>
      typeof value === 'string'
        ? `${shown(value)} is text. Write a number without quotes or unit, such as 78.`
        : `${shown(value)} is not a number. Write one without quotes or unit, such as 78.`,
    'number.unsafe': () => `${shown(value)} is too large a number. Write a smaller one.`,
    'number.infinity': () => 'Not a finite number. Write one such as 78.',
    'number.integer': () => `${shown(value)} is not a whole number. Round it.`,
    'number.min': () => `${say(value as number)} is too small. The smallest allowed is ${say(limit)}.`,
    'number.max': () => `${say(value as number)} is too large. The largest allowed is ${say(limit)}.`,
    'string.base': () => `${shown(value)} is not text. Put it in quotes.`,
    'string.empty': () => 'Empty. Write something.',
    'string.min': () => `Shorter than ${limit} characters. Write more.`,
    'string.max': () => `Longer than ${limit} characters. Shorten it.`,
    'text.hidden': () => `Holds a hidden character, ${String(context.hidden)}. Take it out.`,
    'text.blank': () => 'Only spaces. Write something that can be seen.',
    'alternatives.types': () => `${shown(value)} is neither text nor a number. Write one of them.`,
    'string.pattern.base': () => `${shown(value)} is not an id. Use a UUID in lower case, with its hyphens.`,
    'string.isoDate': () => `${shown(value)} is not a time. Write it like 2026-03-14T09:30:00Z.`,
    'text.day': () => `${shown(value)} is no day of the calendar. Write it like 2026-12-05.`,
    'text.hex': () => `${shown(value)} is no colour. Write it like #1a2b3c.`,
    'boolean.base': () => `${shown(value)} is neither true nor false. Write one of them.`,
    'array.base': () => `${shown(value)} is not a list. Put it in square brackets.`,
    'array.min': () => `Fewer than ${limit} entries. Add one.`,
    'array.max': () => `More than ${limit} entries. Take some out.`,
    'object.base': () => `${shown(value)} is not an object. Write it in curly brackets.`,
    'object.max': () => `More than ${limit} entries. Take some out.`,
    'object.unknown': () => 'Not part of this format. Take it out, or check its spelling.',
    'object.missing': () => `One of ${listed(context.peers as unknown[])} is needed. Add one.`,
    'object.oxor': () => `Use only one of ${listed(context.peers as unknown[])}. Remove the other.`,
  };
  return words[type]?.() ?? 'This entry does not match the format.';
}

function listed(values: readonly unknown[]): string {
  const words = values.map(String);
  return words.length > 1 ? `${words.slice(0, -1).join(', ')} or ${words.at(-1)}` : words.join('');
}
