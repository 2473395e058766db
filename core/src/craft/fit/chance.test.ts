import fc from 'fast-check';
import { measured, prior, type Figure } from '../../base/figure';
import { phi } from '../../base/figure';
import { chanceOfFit, fitWindow, tallyWithFirst } from './chance';
import { drawnFor } from './drawn';
import { fitDefinition } from './fits';
import { varianceShares, whatHelps } from './helps';
import type { ChanceInputs } from './model';
import { normals, seeded } from './random';

const exact = (value: number): Figure<'mm'> => measured(value, 'mm', 0, 'test');
const inputs = (
  girth: Figure<'mm'>,
  inside: number,
  fit: 'snug' | 'slides' | 'roomy' | 'grips',
  more: Partial<ChanceInputs['figures']> = {},
): ChanceInputs => ({
  model: { girth: ({ w }) => inside * w, depth: ({ h }) => 105 * h, stretch: 0.08 },
  fit: fitDefinition(fit),
  figures: { g: girth, H: exact(100), D: exact(10), w: exact(1), h: exact(1), t: exact(3), ...more },
});

describe('against the closed form, one normal dimension', () => {
  it('agrees within one in a hundred, and far better', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 92, max: 116, noNaN: true }),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.constantFrom('snug' as const, 'slides' as const, 'grips' as const),
        (g, sd, fit) => {
          const inside = 104;
          const { from, to } = fitWindow(fitDefinition(fit), 0.08);
          // from <= inside / g <= to, so that g lies between inside / to and inside / from
          const wanted = phi((inside / from - g) / sd) - phi((inside / to - g) / sd);
          expect(Math.abs(chanceOfFit(inputs(measured(g, 'mm', sd, 'x'), inside, fit), 7).share - wanted)).toBeLessThan(
            0.001,
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  it('says half where by symmetry it must', () => {
    expect(chanceOfFit(inputs(measured(100, 'mm', 3, 'x'), 100, 'roomy'), 3).share).toBeCloseTo(0.5, 2);
    expect(chanceOfFit(inputs(exact(100), 100, 'roomy', { w: measured(1, 'mm', 0.05, 'x') }), 3).share).toBeCloseTo(
      0.5,
      2,
    );
  });
});

describe('draws', () => {
  const plan = inputs(measured(100, 'mm', 3, 'x'), 102, 'snug', { w: measured(1, 'mm', 0.03, 'x') });

  it('are the same for the same seed, and nearly the same for another', () => {
    const [a, b, c] = [1, 1, 2].map((seed) => chanceOfFit(plan, seed).share);
    expect(a).toBe(b);
    expect(Math.abs(a! - c!)).toBeLessThan(0.015);
  });

  it('count each draw once: fits, too tight, too loose, not covered, too deep', () => {
    const rough = { ...plan, figures: { ...plan.figures, h: measured(1, 'mm', 0.15, 'x') } };
    const { fits, tight, loose, short, deep, draws } = chanceOfFit(rough, 5);
    expect(fits + tight + loose + short + deep).toBe(draws);
    expect(Math.min(short, deep)).toBeGreaterThan(0);
  });

  it('find a piece too deep: by more than a fifth, 15 mm at the least, beyond what was asked', () => {
    const deep = (depth: number, cover = 0) =>
      chanceOfFit({ ...inputs(exact(100), 102, 'snug'), model: { ...plan.model, depth: () => depth }, cover }, 1);
    expect(deep(119).share).toBe(1);
    expect(deep(121).deep).toBe(20_000);
    expect(deep(121, 10).share).toBe(1);
    // asked to stand out by 30 mm, it may
    expect(deep(71, -30).share).toBe(1);
    expect(deep(66, -30).short).toBe(20_000);
  });

  it('let sizes of one hand stray together, and what they share once', () => {
    const two = (names: object) => ({
      ...inputs(exact(100), 100, 'roomy', { w: measured(1, 'mm', 0.05, 'x'), ...names }),
    });
    const face = { girth: ({ w, h }: { w: number; h: number }) => 50 * w + 50 * h, depth: () => 105, stretch: 0 };
    const { ratio } = chanceOfFit({ ...two({ h: measured(1, 'mm', 0.05, 'x') }), model: face }, 3);
    // half of each; of what was measured the piece’s straying alone is shared: a quarter of 0.6
    expect(ratio.sd).toBeCloseTo(0.05 * Math.sqrt((1 + 0.15) / 2), 3);
    const guess = { w: prior(1, 'mm', 0.05, 'x'), h: prior(1, 'mm', 0.05, 'x') };
    expect(chanceOfFit({ ...inputs(exact(100), 100, 'roomy', guess), model: face }, 3).ratio.sd).toBeCloseTo(
      0.05 * Math.sqrt(0.8),
      3,
    );
    const edged = {
      girth: ({ w, edging }: Record<string, number>) => 90 * w! + 2 * edging!,
      depth: () => 105,
      stretch: 0,
      also: { edging: measured(5, 'mm', 0.5, 'x') },
    };
    expect(chanceOfFit({ ...two({}), model: edged }, 3).ratio.sd).toBeGreaterThan(0.045);
  });

  it('find a piece too short, and a flap that does not reach', () => {
    const low = { ...plan, model: { ...plan.model, depth: () => 80 } };
    expect(chanceOfFit(low, 1).fits).toBe(0);
    const flapped = { ...plan, model: { ...plan.model, flap: { reach: () => 5, least: 20 } } };
    expect(chanceOfFit(flapped, 1).fits).toBe(0);
  });

  it('are normal and uniform as they claim', () => {
    const list = normals(40_000, seeded(11));
    const mean = list.reduce((sum, z) => sum + z, 0) / list.length;
    const square = list.reduce((sum, z) => sum + z * z, 0) / list.length;
    expect(Math.abs(mean)).toBeLessThan(0.02);
    expect(Math.abs(square - 1)).toBeLessThan(0.03);
    const uniform = seeded(3);
    fc.assert(
      fc.property(fc.constant(0), () => {
        const u = uniform();
        return u >= 0 && u < 1;
      }),
    );
  });
});

describe('rooms', () => {
  const room = (mm: number, girth: number, sd = 0) => ({
    name: 'pen',
    inside: ({ w }: { w: number }) => mm * w,
    holds: measured(girth, 'mm', sd, 'x'),
    give: 0,
  });
  const held = (...rooms: ReturnType<typeof room>[]) => ({ ...inputs(exact(100), 300, 'snug'), rooms });

  it('are each judged by what goes into them, not all by one girth', () => {
    expect(chanceOfFit(held(room(40, 38), room(60, 58)), 1).share).toBe(1);
    expect(chanceOfFit(held(room(40, 38), room(60, 61)), 1).tight).toBe(20_000);
  });

  it('draw each thing’s own girth once', () => {
    // two that fit half the time each fit together a quarter of it
    expect(chanceOfFit(held(room(40, 40, 1), room(60, 60, 1)), 1).share).toBeCloseTo(0.25, 1);
  });
});

/** What would help on 20,000 draws. */
const helpsOf = (asked: ChanceInputs) => {
  const drawn = drawnFor(asked, 1, 20_000);
  return whatHelps(asked, drawn, tallyWithFirst(asked, drawn, 8000));
};

describe('what would help', () => {
  it('is a swatch where the gauge is a guess, a calliper where the item is', () => {
    const guessed = inputs(exact(100), 103, 'snug', { w: measured(1, 'mm', 0.12, 'estimate') });
    const now = chanceOfFit(guessed, 1);
    const [first] = helpsOf(guessed);
    expect(first!.share).toBeGreaterThan(now.share + 0.2);
    expect(helpsOf(guessed).map(({ id }) => id)).toContain('swatch');
    const eyed = inputs(measured(100, 'mm', 10, 'by eye'), 103, 'snug');
    expect(helpsOf(eyed).map(({ id }) => id)).toEqual(['measure-thing']);
  });

  it('is a swatch in rounds where the piece is worked in rounds', () => {
    const guessed = {
      ...inputs(exact(100), 103, 'snug', { w: measured(1, 'mm', 0.12, 'estimate') }),
      worked: 'rounds' as const,
    };
    const texts = helpsOf(guessed).map(({ text }) => text);
    expect(texts).toContain('work a swatch of 10 cm in rounds');
  });

  it('is nothing where all is known', () => {
    const known = inputs(exact(100), 103, 'snug');
    expect(helpsOf(known)).toEqual([]);
  });

  it('shares the variance out among the inputs, all of it', () => {
    const shares = varianceShares(
      inputs(measured(100, 'mm', 3, 'x'), 103, 'snug', { w: measured(1, 'mm', 0.04, 'x') }),
    );
    expect(Object.values(shares).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    // 3 % of girth against 4 % of width, squared
    expect(shares.g).toBeCloseTo(9 / 25, 1);
    expect(shares.H).toBe(0);
  });
});

it('the normal share below z is right to the fifth place', () => {
  expect(phi(0)).toBeCloseTo(0.5, 6);
  expect(phi(1.959964)).toBeCloseTo(0.975, 5);
  expect(phi(-1)).toBeCloseTo(0.158655, 5);
});
