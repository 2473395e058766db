import { THINGS } from '../../craft/things';
import { TERN_POINT, ternPointEvents } from '../../demo';
import { reckon } from '../../reckon/reckon';
import { checkDocument } from './documents';
import { checkEvents } from './events';
import { DOCUMENT_KINDS } from './kinds';
import { planForm } from './plan';
import { toJsonSchema } from './toJsonSchema';

it('takes every document and event of the sample data, and reckons every plan', () => {
  for (const kind of DOCUMENT_KINDS) {
    for (const body of Object.values(TERN_POINT[kind]))
      expect(checkDocument(kind, body)).toEqual({ ok: true, value: body });
  }
  expect(checkEvents(ternPointEvents()).ok).toBe(true);
  for (const plan of Object.values(TERN_POINT.plans))
    expect(reckon(plan).advice.filter(({ severity }) => severity === 'warning')).toEqual([]);
});

it('refuses what is not of a document’s form, with its path', () => {
  expect(checkDocument('things', { name: '', thing: { kind: 'slab' } })).toMatchObject({ ok: false });
  expect(checkEvents([{ kind: 'danced' }])).toMatchObject({ ok: false });
  expect(checkEvents({})).toMatchObject({ ok: false, errors: [{ path: 'events' }] });
});

it('names the same kinds in the JSON Schema as in the form', () => {
  const schema = toJsonSchema(planForm) as {
    properties: Record<string, { oneOf: { properties: { kind: { const: string } } }[] }>;
  };
  expect(schema.properties.thing!.oneOf.map((form) => form.properties.kind.const)).toEqual(THINGS.map(({ id }) => id));
});
