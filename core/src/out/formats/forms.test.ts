import Ajv from 'ajv/dist/2020';
import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { UUID, type Form } from './form';
import { checkPlan } from './plan';
import { publishedPlanSchema } from './published';
import { check } from './toJoi';
import { toJsonSchema } from './toJsonSchema';

const ID = '0b8f2c5e-7d34-4a1b-9c60-f2a1d3e4b5c6';
const phone = Object.values(TERN_POINT.plans)[0]!;

function faultsOf(form: Form, value: unknown) {
  const checked = check(form, value);
  return checked.ok ? [] : checked.errors;
}

describe('what is said of a wrong value', () => {
  it.each<[string, Form, unknown, RegExp]>([
    ['too small', { is: 'number', min: 2 }, 1, /^1 is too small\. The smallest allowed is 2\./],
    ['too large', { is: 'number', max: 2 }, 3, /^3 is too large\. The largest allowed is 2\./],
    ['not whole', { is: 'number', whole: true }, 1.5, /“1.5” is not a whole number/],
    ['no number', { is: 'number' }, '78', /“78” is text.*without quotes/],
    ['an endless number', { is: 'number' }, Infinity, /[Nn]ot a|finite|too large/],
    ['no text', { is: 'text', max: 9 }, 7, /“7” is not text/],
    ['long text', { is: 'text', max: 3 }, 'abcd', /Longer than 3 characters/],
    ['empty text', { is: 'text', min: 1, max: 3 }, '', /Empty/],
    ['a control character', { is: 'text', max: 9 }, 'a\u0007b', /hidden character, U\+0007\. Take it out/],
    ['a turned direction', { is: 'text', max: 9 }, 'a\u202eb', /U\+202E/],
    ['half a character', { is: 'text', max: 9 }, 'a\ud83d', /U\+D83D/],
    ['a break in one line', { is: 'text', max: 9 }, 'a\nb', /U\+000A/],
    ['a blank name', { is: 'text', min: 1, max: 9 }, ' \u200b\u3164 ', /Only spaces/],
    [
      'neither of two',
      { is: 'either', of: [{ is: 'text', max: 9 }, { is: 'number' }] },
      true,
      /neither text nor a number/,
    ],
    ['an unknown word', { is: 'one-of', values: ['a', 'b'] }, 'c', /“c” is not known here. Use a or b/],
    ['no list', { is: 'list', of: { is: 'number' }, max: 2 }, 7, /“7” is not a list/],
    ['a long list', { is: 'list', of: { is: 'number' }, max: 1 }, [1, 2], /More than 1 entries/],
    ['no truth', { is: 'truth' }, 'yes', /neither true nor false/],
    ['no time', { is: 'time' }, 'noon', /“noon” is not a time/],
    ['no id', { is: 'id' }, '7', /“7” is not an id/],
    ...[ID.toUpperCase(), `{${ID}}`, ID.replaceAll('-', ''), ID.replaceAll('-', ':')].map(
      (spelling): [string, Form, unknown, RegExp] => [
        'an id spelled otherwise',
        { is: 'id' },
        spelling,
        /in lower case/,
      ],
    ),
    ['something missing', { is: 'object', keys: { a: { form: { is: 'truth' } } } }, {}, /Missing/],
    ['something too many', { is: 'object', keys: {} }, { b: 1 }, /Not part of this format/],
    ['no object', { is: 'object', keys: {} }, 3, /“3” is not an object/],
  ])('names %s and the repair', (_, form, value, message) => {
    expect(faultsOf(form, value)).toEqual([{ path: expect.any(String), message: expect.stringMatching(message) }]);
  });

  it('takes line breaks where there are lines, and signs that join letters', () => {
    expect(faultsOf({ is: 'text', max: 9, lines: 'lines' }, 'a\n\tb')).toEqual([]);
    expect(faultsOf({ is: 'text', min: 1, max: 9 }, '👩‍🌾 é')).toEqual([]);
  });

  it('shows lengths with their unit and cuts off what is endless', () => {
    expect(
      faultsOf({ is: 'object', keys: { mm: { form: { is: 'number', max: 5000 } } } }, { mm: 1e7 })[0]!.message,
    ).toMatch(/^10000000 mm is too large\. The largest allowed is 5000 mm/);
    expect(faultsOf({ is: 'number' }, 'x'.repeat(500))[0]!.message.length).toBeLessThan(140);
  });

  it('tells every fault at once, each at its path', () => {
    const checked = checkPlan({ ...phone, title: '', fit: { name: 'loose' }, extra: 1 });
    expect(checked.ok ? [] : checked.errors.map(({ path }) => path).sort()).toEqual(['extra', 'fit.name', 'title']);
  });
});

describe('the published schema', () => {
  const validate = new Ajv({ strict: false }).compile(publishedPlanSchema());

  it('takes every plan of the sample data', () => {
    for (const plan of Object.values(TERN_POINT.plans)) expect(validate(plan)).toBe(true);
  });

  it('agrees with the program on plans with one entry spoilt', () => {
    const spoils: [string, unknown][] = [
      ['format', 'x'],
      ['title', ''],
      ['title', 7],
      ['thing.kind', 'teapot'],
      ['thing.width', 78],
      ['thing.width.mm', '78'],
      ['thing.width.mm', 0],
      ['thing.width.by', 'guess'],
      ['thing.depth.mm', 6000],
      ['fabric.hookMm', 0],
      ['fabric.stitch', 'knit'],
      ['fabric.yarn', {}],
      ['fabric.yarn.strands', 1.5],
      ['fabric.gauge.rows', 5],
      ['shape.join', 'glue'],
      ['fit', { name: 'snug', easeMm: 1, easePercent: 1 }],
      ['fittings', [{ kind: 'wheel' }]],
      ['fittings', [{ kind: 'flap', overlapMm: 1 }]],
      ['picks', { width: 1.5 }],
      ['schools', { terms: 'AU' }],
      ['surprise', true],
    ];
    fc.assert(
      fc.property(fc.constantFrom(...spoils), ([path, value]) => {
        const plan = spoilt(path.split('.'), value);
        expect([path, validate(plan)]).toEqual([path, checkPlan(plan).ok]);
        expect(validate(plan)).toBe(false);
      }),
    );
  });
});

function spoilt(path: string[], value: unknown): unknown {
  const plan = JSON.parse(JSON.stringify(phone)) as Record<string, unknown>;
  let at = plan;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>;
  at[path.at(-1)!] = value;
  return plan;
}

it('describes times, ids, truths and maps as JSON Schema does', () => {
  expect(toJsonSchema({ is: 'time' })).toEqual({ type: 'string', format: 'date-time' });
  expect(toJsonSchema({ is: 'id', note: 'whose' })).toEqual({
    type: 'string',
    format: 'uuid',
    pattern: UUID.source,
    description: 'whose',
  });
  expect(toJsonSchema({ is: 'map', of: { is: 'truth' }, max: 9 })).toEqual({
    type: 'object',
    additionalProperties: { type: 'boolean' },
    maxProperties: 9,
  });
});
