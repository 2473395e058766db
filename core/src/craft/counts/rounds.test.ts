import fc from 'fast-check';
import { placesOf, refereeRow } from '../../pattern/referee';
import { discCounts, discToWall, flatIncrease, flatness } from './flatRounds';
import { ovalCounts, ovalFloor, ovalStart } from './oval';
import { changeRound, shareOut } from './spread';

const count = (min: number, max: number) => fc.integer({ min, max });

describe('sharing out', () => {
  it('gives every place its share and loses none, wherever it begins', () => {
    fc.assert(
      fc.property(count(1, 200), count(1, 400), fc.double({ min: 0, max: 0.99, noNaN: true }), (from, to, phase) => {
        const shares = shareOut(from, to, phase);
        expect(shares.reduce((sum, share) => sum + share, 0)).toBe(to);
        expect(Math.max(...shares) - Math.min(...shares)).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('makes a round that works from any count to any other', () => {
    fc.assert(
      fc.property(count(2, 160), count(2, 240), fc.constantFrom(0, 0.5), (from, to, phase) => {
        expect(refereeRow(changeRound(from, to, 'single', phase), placesOf(from))).toMatchObject({
          ok: true,
          made: to,
        });
      }),
    );
  });

  it('staggers: the increases of one round do not stand over those of the one before', () => {
    const places = (phase: number) => shareOut(24, 30, phase).flatMap((share, place) => (share === 2 ? [place] : []));
    expect(places(0).filter((place) => places(0.5).includes(place))).toEqual([]);
  });
});

describe('flat rounds', () => {
  it('need near six more in single, eight in half double, twelve in double', () => {
    expect(flatIncrease(0.98, 1)).toBeCloseTo(6.16, 2);
    expect(Math.round(flatIncrease(1.3, 1.03))).toBe(8);
    expect(Math.round(flatIncrease(1.9, 1.05))).toBe(11);
  });

  it('cup with fewer and ruffle with more than an eighth off', () => {
    expect([5, 6, 7].map((i) => flatness(i, 0.98, 1))).toEqual(['cups', 'flat', 'ruffles']);
  });

  it('are the published disc in single: 6 by 6', () => {
    expect(discCounts({ start: 6, each: 6, doublings: 0 }, 7)).toEqual([6, 12, 18, 24, 30, 36, 42]);
  });

  it('may start with nine and nine more, or double twice and then ease', () => {
    expect(discCounts({ start: 9, each: 9, doublings: 0 }, 4)).toEqual([9, 18, 27, 36]);
    expect(discCounts({ start: 6, each: 6, doublings: 2 }, 5)).toEqual([6, 12, 24, 30, 36]);
  });

  it('carry the difference to the wall in their last round, and tell one too large to be rounding', () => {
    const growth = { start: 6, each: 6, doublings: 0 };
    expect(discToWall(growth, 6, 38, 5, 5.1)).toEqual({ counts: [6, 12, 18, 24, 30, 38], own: 36, advice: [] });
    expect(discToWall(growth, 6, 52, 5, 5.1).advice.map(({ id }) => id)).toEqual(['base-against-wall']);
    expect(discToWall({ ...growth, each: 9 }, 6, 51, 5, 5.1).advice[0]).toMatchObject({
      id: 'base-ruffles',
      change: { 'shape.each': 6 },
    });
  });
});

describe('ovals', () => {
  it('begin with both sides and their ends, and grow as a disc does', () => {
    fc.assert(
      fc.property(
        count(1, 60),
        fc.constantFrom(0, 2, 6),
        (side, ends) => ovalStart({ side, ends }) === 2 * side + ends,
      ),
    );
    // the published floor round a chain: 10 along each side, 6 at the ends, 6 more each round
    expect(ovalCounts({ side: 10, ends: 6 }, 6, 3)).toEqual([26, 32, 38]);
  });

  it('are as deep as asked to within a round each side', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 120, noNaN: true }),
        fc.double({ min: 2, max: 8, noNaN: true }),
        (depth, h) => {
          const { rounds } = ovalFloor(200, depth, h, 5);
          if (rounds > 1) expect(Math.abs(2 * h * rounds - depth)).toBeLessThanOrEqual(h + 1e-6);
        },
      ),
    );
    expect(ovalFloor(160, 40, 5, 5)).toEqual({ rounds: 4, side: 24 });
  });
});
