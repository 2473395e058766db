import type { Happening, KeptEvent } from './events';
import { usedGrams } from './used';

const happened = (...list: readonly Happening[]): KeptEvent[] =>
  list.map((what, n) => ({ id: `e${n}`, make: 'm', device: 'd', at: '2026-01-01T00:00:00Z', n, ...what }));

it.each<[string, readonly Happening[], number]>([
  ['nothing was weighed', [], 0],
  ['weighed once: there is nothing to compare it with', [{ kind: 'weighed', grams: 50 }], 0],
  [
    'weighed twice',
    [
      { kind: 'weighed', grams: 50 },
      { kind: 'weighed', grams: 38 },
    ],
    12,
  ],
  [
    'another, heavier ball was weighed',
    [
      { kind: 'weighed', grams: 20 },
      { kind: 'weighed', grams: 50 },
    ],
    0,
  ],
  [
    'its finish says it',
    [
      { kind: 'weighed', grams: 50 },
      { kind: 'weighed', grams: 38 },
      { kind: 'finished', grams: 31 },
    ],
    31,
  ],
  ['its finish does not', [{ kind: 'weighed', grams: 50 }, { kind: 'weighed', grams: 38 }, { kind: 'finished' }], 12],
  ['it was opened again', [{ kind: 'finished', grams: 31 }, { kind: 'reopened' }], 0],
])('%s', (_what, list, grams) => {
  expect(usedGrams(happened(...list))).toBe(grams);
  expect(usedGrams([...happened(...list)].reverse())).toBe(grams);
});
