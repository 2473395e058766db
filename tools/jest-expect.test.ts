import fc from 'fast-check';
import { expect as thorough } from 'expect';

const outcome = (what: () => void) => {
  try {
    what();
    return 'holds';
  } catch (failure) {
    return (failure as Error).message;
  }
};

const TAKING_ONE = [
  'toBe',
  'toEqual',
  'toStrictEqual',
  'toContain',
  'toHaveLength',
  'toBeGreaterThan',
  'toBeGreaterThanOrEqual',
  'toBeLessThan',
  'toBeLessThanOrEqual',
  'toMatch',
] as const;
const TAKING_NONE = ['toBeDefined', 'toBeUndefined', 'toBeTruthy', 'toBeFalsy', 'toBeNull', 'toBeNaN'] as const;

const anyValue = fc.anything({ withSparseArray: true, withMap: true, withSet: true, withDate: true, maxDepth: 3 });
const anyTwo = fc.oneof(
  fc.tuple(anyValue, anyValue),
  anyValue.map((one) => [one, one] as const),
  anyValue.map((one) => [one, structuredClone(one)] as const),
  fc.tuple(fc.float(), fc.float()),
  fc.tuple(
    fc.string(),
    fc.string().map((text) => new RegExp(text.replace(/\W/g, '.'))),
  ),
  anyValue.map((one) => [{ one }, { one, two: undefined }] as const),
);

it('says of everything what jest says, and in its words', () => {
  fc.assert(
    fc.property(anyTwo, fc.constantFrom(...TAKING_ONE), ([actual, wanted], name) => {
      const asked = [expect(actual), thorough(actual)] as unknown as Record<typeof name, (wanted: unknown) => void>[];
      const [here, there] = asked.map((one) => outcome(() => one[name](wanted)));
      thorough(here).toBe(there);
    }),
    { numRuns: 2000 },
  );
  fc.assert(
    fc.property(anyValue, fc.constantFrom(...TAKING_NONE), (actual, name) => {
      const [here, there] = [expect(actual), thorough(actual)].map((one) => outcome(() => one[name]()));
      thorough(here).toBe(there);
    }),
  );
});

it('knows a hole, an error and a map from others of their kind', () => {
  for (const [one, other] of [
    [[undefined], [1]],
    [[,], [1]],
    [new Error('one'), new Error('other')],
    [new Map([[1, 2]]), new Map([[1, 3]])],
    [new Set([1]), new Set([2])],
    [/one/, /other/],
  ])
    thorough(outcome(() => expect(one).toEqual(other))).not.toBe('holds');
});

it('learns what is added to it', () => {
  expect.extend({ toBeSnug: (actual: unknown) => ({ pass: actual === 'snug', message: () => 'not snug' }) });
  const asked = (what: string) => expect(what) as unknown as { toBeSnug: () => void };
  expect([outcome(() => asked('snug').toBeSnug()), outcome(() => asked('loose').toBeSnug())]).toEqual([
    'holds',
    'not snug',
  ]);
});

it('passes on what is turned round, and the place that failed', async () => {
  expect(1).not.toBe(2);
  await expect(Promise.resolve(1)).resolves.toBe(1);
  await expect(Promise.reject(new Error('no'))).rejects.toThrow('no');
  expect({ one: 1, two: 2 }).toEqual(expect.objectContaining({ one: 1 }));
  try {
    expect(1).toBe(2);
  } catch (failure) {
    thorough((failure as Error).stack).not.toContain('jest-expect.cjs');
  }
});
