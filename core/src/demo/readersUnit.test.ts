import { TERN_POINT } from '.';
import { reckon } from '../reckon/reckon';
import { blankDraft, readDraft, thingDefinition } from '../craft/things';
import { wordLengths } from '../base/units';

/** Every text of a value but its workings, which are millimetres throughout. */
function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (Array.isArray(value)) return value.flatMap(textsIn);
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) =>
    key === 'workings' || key === 'notions' ? [] : textsIn(inner),
  );
}

describe('a reader in inches', () => {
  it.each(Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const))(
    'reads no millimetre of %s',
    (_title, plan) => {
      const worked = reckon({ ...plan, schools: { ...plan.schools, units: 'in' } });
      const texts = textsIn(worked).map((text) => text.replace(/\d mm (hook|yarn)/g, ''));
      expect(texts.filter((text) => /\d mm\b/.test(text))).toEqual([]);
      expect(texts.filter((text) => /\{\w+:/.test(text))).toEqual([]);
      // hooks, buttons and needles are sold in millimetres; what is cut is not
      const cut = worked.supplies.notions.filter(({ name }) => /strap|cloth|elastic|lining|tag/.test(name));
      expect(cut.filter(({ size }) => size?.includes('mm'))).toEqual([]);
    },
  );

  it('is told what is wrong with a thing in inches', () => {
    const draft = {
      ...blankDraft(thingDefinition('slab')!),
      texts: { width: '3', height: '6', depth: '1/2', edgeRadius: '1' },
    };
    expect(readDraft(draft, 'in').faults).toEqual({
      edgeRadius: expect.stringMatching(/^1 in is more than half the depth \(1\/4 in\)\..*make it 1\/4 in or less\.$/),
    });
  });
});

it('words lengths and leaves every other token', () => {
  expect(wordLengths('{typed:63.5} or {most:62.9}: {single} {side:left}', 'mm')).toBe(
    '63.5 mm or 62 mm: {single} {side:left}',
  );
});
