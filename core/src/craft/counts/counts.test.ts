import fc from 'fast-check';
import { beatsOf, mirroredRhythm } from '../fabric';
import { PlanProblem } from '../../base/figure';
import { atLeast, centred, EVEN, multipleOf, parityOf } from './conditions';
import { cumulativeRows, nearestRow, reachOf } from './cumulative';
import { conditionCosts, nearestCounts, type CountAsk } from './nearest';
import { pickUp } from './pickUp';

describe('cumulative rows', () => {
  const rowHeight = fc.double({ min: 0.8, max: 30, noNaN: true });
  const spans = (h: number, rows: number[]) => rows.map((r, index) => ({ name: String(index), mm: r * h }));

  it('never leaves a boundary more than half a row from its place, however long the strip', () => {
    const lengths = fc.array(fc.double({ min: 1, max: 90, noNaN: true }), { minLength: 1, maxLength: 30 });
    fc.assert(
      fc.property(rowHeight, lengths, (h, rows) => {
        let reached = 0;
        const wanted = spans(h, rows);
        cumulativeRows(wanted, h).forEach((section, index) => {
          reached += wanted[index]!.mm;
          expect(Math.abs(section.to * h - reached)).toBeLessThanOrEqual(h / 2 + 1e-6);
        });
      }),
    );
  });

  it('joins its sections end to end, with a row at least in each', () => {
    const lengths = fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 1, maxLength: 30 });
    fc.assert(
      fc.property(rowHeight, lengths, (h, rows) => {
        let next = 1;
        for (const section of cumulativeRows(spans(h, rows), h)) {
          expect(section.from).toBe(next);
          expect(section.rows).toBe(section.to - section.from + 1);
          expect(section.rows).toBeGreaterThanOrEqual(1);
          next = section.to + 1;
        }
      }),
    );
  });

  it('does not add up errors: thirty sections of 10.4 rows are 312 rows, not 300', () => {
    const sections = cumulativeRows(spans(5, Array<number>(30).fill(10.4)), 5);
    expect(sections.at(-1)!.to).toBe(312);
  });
});

describe('nearest counts', () => {
  const ask = fc.record({
    askedMm: fc.double({ min: 1, max: 3000, noNaN: true }),
    width: fc.double({ min: 1, max: 30, noNaN: true }),
    repeat: fc.integer({ min: 1, max: 12 }),
    edge: fc.integer({ min: 0, max: 5 }),
    hurts: fc.constantFrom('small' as const, 'large' as const),
  });

  it('obeys the multiple, rises by one repeat, and has one best', () => {
    fc.assert(
      fc.property(ask, ({ askedMm, width, repeat, edge, hurts }) => {
        const options = nearestCounts({
          askedMm,
          sizeOf: (n) => n * width,
          conditions: [multipleOf({ repeat, edge })],
          hurts,
          atLeast: 2,
          path: 'x',
        });
        expect(options.filter(({ best }) => best)).toHaveLength(1);
        for (const { count, mm } of options) {
          expect((count - edge) / repeat).toBe(Math.abs(Math.round((count - edge) / repeat)));
          expect(count).toBeGreaterThanOrEqual(2);
          expect(mm).toBeCloseTo(count * width, 9);
        }
        options.slice(1).forEach(({ count }, index) => expect(count - options[index]!.count).toBe(repeat));
      }),
    );
  });

  it('errs least where it hurts: past the middle only on the harmless side, and never by more than 5/9 of a repeat', () => {
    fc.assert(
      fc.property(ask, ({ askedMm, width, repeat, edge, hurts }) => {
        const conditions = [multipleOf({ repeat, edge })];
        const sizeOf = (n: number) => n * width;
        const best = nearestCounts({ askedMm, sizeOf, conditions, hurts, atLeast: 2, path: 'x' }).find((o) => o.best)!;
        const error = (best.mm - askedMm) / (repeat * width);
        if (best.count - repeat < Math.max(2, edge + repeat) && error > 0) return;
        const harmful = hurts === 'small' ? -error : error;
        expect(harmful).toBeLessThanOrEqual(0.5 + 1e-6);
        expect(-harmful).toBeLessThanOrEqual(5 / 9 + 1e-6);
      }),
    );
  });
});

describe('picking up', () => {
  it('is as long as the edge, and says how in words that come to just as many', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 400 }), fc.double({ min: 0.4, max: 2.6, noNaN: true }), (rows, ratio) => {
        const { stitches, rhythm } = pickUp(rows, ratio, 1);
        const wanted = rows * ratio;
        expect(Math.abs(stitches - wanted)).toBeLessThanOrEqual(Math.max(0.06 * wanted, 0.6) + 1e-9);
        for (const told of [rhythm, mirroredRhythm(rhythm)]) {
          const beats = beatsOf(told);
          expect(beats).toHaveLength(rows);
          expect(beats.reduce((sum, one) => sum + one, 0)).toBe(stitches);
          // the corner, the mouth and the fold are worked into
          if (rows > 2 && stitches > 1) expect(beats[0]! * beats.at(-1)!).toBeGreaterThan(0);
        }
        expect(beatsOf(mirroredRhythm(rhythm))).toEqual([...beatsOf(rhythm)].reverse());
      }),
    );
  });

  it('has a rhythm that can be said for every usual stitch but in one of a hundred', () => {
    let [all, listed] = [0, 0];
    for (let rows = 5; rows <= 120; rows += 1)
      for (let ratio = 0.7; ratio < 2.2; ratio += 0.01) {
        all += 1;
        if ('at' in pickUp(rows, ratio, 1).rhythm) listed += 1;
      }
    expect(listed / all).toBeLessThan(0.01);
  });
});

describe('conditions taken together', () => {
  const size = { askedMm: 187, sizeOf: (n: number) => 5 * n, hurts: 'small' as const, atLeast: 2, path: 'x' };
  const best = (conditions: CountAsk['conditions']) =>
    nearestCounts({ ...size, conditions }).find((o) => o.best)!.count;

  it('all hold at once', () => {
    expect(best([])).toBe(37);
    expect(best([EVEN])).toBe(38);
    expect(best([centred('odd')])).toBe(37);
    expect(best([multipleOf({ repeat: 3, edge: 2 }), EVEN])).toBe(38);
    expect(best([parityOf(12)])).toBe(38);
    expect(best([atLeast(50, 'for two channels')])).toBe(50);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 0, max: 4 }),
        fc.double({ min: 60, max: 900, noNaN: true }),
        (repeat, edge, askedMm) => {
          const conditions = [multipleOf({ repeat, edge }), ...(repeat % 2 === 1 || edge % 2 === 0 ? [EVEN] : [])];
          for (const { count } of nearestCounts({ ...size, askedMm, conditions })) {
            expect(conditions.every(({ allows }) => allows(count))).toBe(true);
          }
        },
      ),
    );
  });

  it('that no count obeys are told by name', () => {
    const ask = { ...size, conditions: [multipleOf({ repeat: 2, edge: 1 }), EVEN], path: 'fabric.stitch' };
    expect(() => nearestCounts(ask)).toThrow(PlanProblem);
    expect(() => nearestCounts(ask)).toThrow(/multiple of 2 plus 1.*even.*Drop one/);
  });

  it('say what each of them costs', () => {
    const costs = conditionCosts({ ...size, conditions: [EVEN, atLeast(10, 'for two channels')] });
    // 37 stitches are 2 mm short, 38 are 3 mm over
    expect(costs).toEqual([expect.objectContaining({ condition: EVEN, without: 37, mm: expect.closeTo(1, 6) })]);
  });

  it('leave the direction that hurts to decide between two as near', () => {
    const half = { ...size, askedMm: 182.5, conditions: [] };
    const of = (hurts: 'small' | 'large') => nearestCounts({ ...half, hurts }).find((o) => o.best)!.count;
    expect([of('small'), of('large')]).toEqual([37, 36]);
  });
});

describe('rows of a repeat', () => {
  it('end a section on a whole repeat, or on the side wanted', () => {
    const [first, second] = cumulativeRows(
      [
        { name: 'a', mm: 52, rowsIn: 4 },
        { name: 'b', mm: 30, endsOn: 'right' },
      ],
      5,
    );
    expect(first!.rows).toBe(12);
    expect(second!.to % 2).toBe(1);
    expect(Math.abs(second!.to * 5 - 82)).toBeLessThanOrEqual(5);
  });

  it('of unlike height add up, and the nearest is found among them', () => {
    const reach = reachOf(6, [0.5, 1, 1.5]);
    expect([1, 2, 3, 4].map(reach)).toEqual([3, 9, 18, 21]);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2000, noNaN: true }), (mm) => {
        const row = nearestRow(mm, reach);
        expect(Math.abs(reach(row) - mm)).toBeLessThanOrEqual(
          Math.min(Math.abs(reach(row + 1) - mm), row > 0 ? Math.abs(reach(row - 1) - mm) : Infinity) + 1e-6,
        );
      }),
    );
  });
});
