import { MAKE_FORMAT } from '../making';
import { optional, required, type Form } from './form';
import { DOCUMENT_KINDS, type DocumentKind, type Documents } from './kinds';
import { withoutStrayOptions } from './earlier';
import { fabricForm, gaugeForm, patternOfStitch, planForm, thingForm, yarnForm } from './plan';
import { check, toJoi, type Checked } from './toJoi';

const name = required({ is: 'text', min: 1, max: 120 });
const fabric = fabricForm.keys;

export const DOCUMENT_FORMS: Readonly<Record<DocumentKind, Form>> = {
  plans: planForm,
  things: { is: 'object', keys: { name, thing: required(thingForm) } },
  yarns: {
    is: 'object',
    keys: { name, yarn: required(yarnForm), gramsLeft: optional({ is: 'number', min: 0, max: 100_000, unit: 'g' }) },
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
    },
  },
};

const documentSchemas = Object.fromEntries(DOCUMENT_KINDS.map((kind) => [kind, toJoi(DOCUMENT_FORMS[kind])]));

/** Checks the form of a kept document. */
export function checkDocument<K extends DocumentKind>(kind: K, value: unknown): Checked<Documents[K]> {
  return check(documentSchemas[kind]!, withoutStrayOptions(value), 'document');
}
