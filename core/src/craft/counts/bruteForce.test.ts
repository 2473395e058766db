import fc from 'fast-check';
import { nearestCounts } from './nearest';

/** A wish as it may stand: a multiple with its edge, perhaps even, perhaps at least so many. */
const wish = fc.record({
  askedMm: fc.double({ min: 5, max: 900, noNaN: true }),
  w: fc.double({ min: 2, max: 12, noNaN: true }),
  repeat: fc.integer({ min: 1, max: 8 }),
  edge: fc.integer({ min: 0, max: 4 }),
  even: fc.boolean(),
  least: fc.integer({ min: 1, max: 30 }),
  hurts: fc.constantFrom('small' as const, 'large' as const),
});

const condition = (id: string, allows: (count: number) => boolean) => ({ id, text: id, allows });

/** A millimetre in the direction that hurts costs so much more (handbook 4). */
const HURT = 1.25;

it('the best count is the cheapest of all that are allowed, and its neighbours are the next either side', () => {
  fc.assert(
    fc.property(wish, ({ askedMm, w, repeat, edge, even, least, hurts }) => {
      const allowed = (count: number) =>
        count >= least && (count - edge) % repeat === 0 && count >= edge + repeat && (!even || count % 2 === 0);
      // every count there is, tried one by one
      const all = Array.from({ length: 1200 }, (_, index) => index + 1).filter(allowed);
      fc.pre(all.length > 2);
      const cost = (count: number) => {
        const error = count * w - askedMm;
        const hurting = hurts === 'small' ? error < 0 : error > 0;
        return Math.abs(error) * (hurting ? HURT : 1);
      };
      const cheapest = Math.min(...all.map(cost));
      const found = nearestCounts({
        askedMm,
        sizeOf: (count) => count * w,
        conditions: [
          condition('multiple', (count) => count >= edge + repeat && (count - edge) % repeat === 0),
          ...(even ? [condition('even', (count) => count % 2 === 0)] : []),
        ],
        hurts,
        atLeast: least,
        path: 'x',
      });
      const best = found.find((option) => option.best)!;
      expect(cost(best.count)).toBeCloseTo(cheapest, 6);
      const at = all.indexOf(best.count);
      expect(found.map(({ count }) => count)).toEqual([all[at - 1], best.count, all[at + 1]].filter(Boolean));
    }),
    { numRuns: 300 },
  );
});
