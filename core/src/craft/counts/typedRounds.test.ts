import fc from 'fast-check';
import { flatIncrease } from './flatRounds';
import { endedOn, liesOff, typedCounts } from './typedRounds';

it('rounds that lie flat are off by nothing, and those typed by what they have more', () => {
  // the example of the handbook
  const [h, w] = [4, 4 * ((0.974 * 2 * Math.PI) / 6)];
  expect(liesOff([6, 12, 24, 30, 36], h, w).map((off) => Math.round(100 * off))).toEqual([-3, -3, 30, 22, 17]);
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 20, noNaN: true }),
      fc.double({ min: 1, max: 20, noNaN: true }),
      (high, wide) => {
        const flat = [1, 2, 3, 4].map((k) => k * flatIncrease(high, wide));
        for (const off of liesOff(flat, high, wide)) expect(off).toBeCloseTo(0, 9);
      },
    ),
  );
});

it('what is read of a list is what was typed, and a number that a refusal names is taken', () => {
  fc.assert(
    fc.property(fc.array(fc.nat({ max: 300 }), { minLength: 1, maxLength: 8 }), (typed) => {
      let list = typed;
      for (let turn = 0; turn < 20; turn += 1) {
        try {
          expect(typedCounts(list.join(', '), 'shape.counts')).toEqual(list);
          return;
        } catch (error) {
          const message = (error as { errors: { message: string }[] }).errors[0]!.message;
          const [, round = '1'] = /^Round (\d+)/.exec(message) ?? [];
          const use = Number(/(?:Use|Begin with) (\d+)/.exec(message)![1]);
          list = list.map((count, index) => (index === Number(round) - 1 ? use : count));
        }
      }
      throw new Error(`never taken: ${typed.join()}`);
    }),
  );
});

it('a list that is ended on another count is one that can be worked, with the rounds that have fewer as they were', () => {
  expect(endedOn([6, 12, 24, 30, 36], 32)).toBe('6, 12, 24, 30, 32');
  expect(endedOn([6, 12], 30)).toBeUndefined();
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 40 }), { maxLength: 8 }),
      fc.integer({ min: 3, max: 200 }),
      (more, last) => {
        const typed = more.reduce((list, add) => [...list, list.at(-1)! + Math.min(add, list.at(-1)!)], [6]);
        const ended = endedOn(typed, last);
        if (ended === undefined) return;
        const counts = typedCounts(ended, 'shape.counts')!;
        expect(counts.at(-1)).toBe(last);
        expect(counts.slice(0, -1)).toEqual(typed.filter((count) => count < last));
      },
    ),
  );
});
