import { MAKE_FORMAT } from '../../make/log';
import { MOST_HOURS } from '../../make/sittings';
import { optional, required, type Form } from './form';
import type { DocumentKind, Documents } from './kinds';
import { withoutStrayOptions } from './earlier';
import { fabricForm, gaugeForm, patternOfStitch, planForm, thingForm, yarnForm } from './plan';
import { check, type Checked } from './toJoi';

const name = required({ is: 'text', min: 1, max: 120 });
const fabric = fabricForm.keys;
const variantId: Form = { is: 'text', min: 1, max: 40 };
const hoursOfDay: Form = { is: 'number', min: 0, max: MOST_HOURS, unit: 'h' };
const countOf: Form = { is: 'number', min: 0, max: 100_000, whole: true };

/** Every quarter of an hour. */
const CLOCK: readonly string[] = Array.from(
  { length: 96 },
  (_, quarter) => `${String(Math.floor(quarter / 4)).padStart(2, '0')}:${String((quarter % 4) * 15).padStart(2, '0')}`,
);

export const DOCUMENT_FORMS: Readonly<Record<DocumentKind, Form>> = {
  plans: planForm,
  things: { is: 'object', keys: { name, thing: required(thingForm) } },
  yarns: {
    is: 'object',
    keys: {
      name,
      yarn: required(yarnForm),
      gramsLeft: optional({ is: 'number', min: 0, max: 100_000, unit: 'g' }),
      taken: optional({
        is: 'map',
        of: { is: 'number', min: 0, max: 100_000, unit: 'g' },
        max: 10_000,
        note: 'what makes took of it, by the id of each',
      }),
    },
  },
  swatches: {
    is: 'object',
    keys: {
      name,
      yarn: required({ is: 'id', note: 'the yarn it was worked in' }),
      stitch: fabric.stitch!,
      hookMm: fabric.hookMm!,
      gauge: required(gaugeForm),
    },
    depends: patternOfStitch,
  },
  makes: {
    is: 'object',
    keys: {
      format: required({ is: 'one-of', values: [MAKE_FORMAT] }),
      title: name,
      planId: required({ is: 'id' }),
      plan: required(planForm),
      startedAt: required({ is: 'time' }),
      aside: optional({ is: 'truth', note: 'put aside for now' }),
      batch: optional({
        is: 'object',
        keys: { batch: required({ is: 'id' }), variant: required(variantId) },
        note: 'which piece of a batch it is',
      }),
    },
  },
  hours: {
    is: 'object',
    keys: {
      week: required({ is: 'list', min: 7, max: 7, of: hoursOfDay, note: 'hours on each day, from the Monday' }),
      days: optional({
        is: 'list',
        max: 2000,
        of: {
          is: 'object',
          keys: {
            day: required({ is: 'day' }),
            hours: required(hoursOfDay),
            note: optional({ is: 'text', max: 200 }),
          },
        },
        note: 'days unlike their weekday',
      }),
      startsAt: optional({ is: 'one-of', values: CLOCK, note: 'when a sitting begins' }),
      reminder: optional({ is: 'number', min: 0, max: 1440, whole: true, unit: 'min', note: 'before it begins' }),
      wanted: optional({
        is: 'map',
        of: { is: 'day' },
        max: 1000,
        note: 'the day a plan, make or batch is wanted, by its id',
      }),
      sent: optional({
        is: 'map',
        of: {
          is: 'object',
          keys: { sittings: required(countOf), times: required(countOf) },
        },
        max: 1000,
        note: 'what a calendar was given of each make, by its id',
      }),
    },
  },
  batches: {
    is: 'object',
    keys: {
      name,
      plan: required(planForm),
      variants: required({
        is: 'list',
        min: 1,
        max: 60,
        of: {
          is: 'object',
          keys: {
            id: required(variantId),
            name,
            count: required({ is: 'number', min: 1, max: 200, whole: true, unit: 'pieces' }),
            thing: optional(thingForm),
            yarn: optional(yarnForm),
          },
        },
      }),
    },
  },
};

/** Checks the form of a kept document. */
export function checkDocument<K extends DocumentKind>(kind: K, value: unknown): Checked<Documents[K]> {
  return check(DOCUMENT_FORMS[kind], withoutStrayOptions(value), 'document');
}
