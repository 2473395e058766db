import fc from 'fast-check';
import { wordRow } from '../../../pattern';
import { placesOf, refereeRow, type WorkedPlace } from '../../../pattern/referee';
import { workFabric } from '../fabric';
import type { Instruction } from '../instruction';
import { STITCHES, stitchPattern, type StitchPattern } from './index';
import { loopRise } from './net';

const OPTIONS: Record<string, object> = { own: { name: 'shells', repeat: 4, edge: 1, rowsInRepeat: 3 } };
const patterns = STITCHES.map(({ id }) => [id, stitchPattern(id, (OPTIONS[id] ?? {}) as never)] as const);

/** Works so many courses upon each other and answers with the faults. */
function faults(pattern: StitchPattern, repeats: number, way: 'rows' | 'rounds', counts: boolean): string[] {
  const { repeat, edge } = way === 'rows' ? pattern.rows : pattern.rounds;
  const stitches = repeat * repeats + edge;
  const { skipped, counts: first } = pattern.foundation(counts);
  let below: WorkedPlace[] = placesOf(way === 'rows' ? stitches + skipped - (first ? 1 : 0) : stitches, 'chain');
  for (let course = 1; course <= 7; course += 1) {
    const context = {
      stitches,
      course,
      below: course === 1 ? ('chain' as const) : ('pattern' as const),
      turningChainCounts: counts,
    };
    const met = way === 'rows' && course > 1 ? [...below].reverse() : below;
    const work = way === 'rows' ? pattern.row(context) : pattern.round(context);
    const onTop: Instruction[] = met.at(-1)?.kind === 'top' ? [{ do: 'last-in-top' }] : [];
    const ruled = refereeRow([...work, ...onTop], met);
    if (!ruled.ok) return [`${pattern.id} ${way} ${course}: ${ruled.fault}`];
    if (ruled.made !== stitches) return [`${pattern.id} ${way} ${course}: ${ruled.made} of ${stitches}`];
    below = ruled.places;
  }
  return [];
}

describe.each(patterns)('%s', (_, pattern) => {
  it('works over its multiples, rows upon rows and rounds upon rounds, in either school', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 30 }), fc.boolean(), (repeats, counts) => {
        const even = repeats + (repeats % 2);
        expect(faults(pattern, even, 'rows', counts)).toEqual([]);
        expect(faults(pattern, even, 'rounds', counts)).toEqual([]);
      }),
      { numRuns: 30 },
    );
  });

  it('works upon plain stitches, and is levelled to plain ones again', () => {
    const stitches = pattern.rounds.repeat * 12 + pattern.rounds.edge;
    const on = refereeRow(
      pattern.round({ stitches, course: 1, below: 'plain', turningChainCounts: false }),
      placesOf(stitches),
    );
    expect(on).toMatchObject({ ok: true, made: stitches });
    if (!on.ok || !pattern.level) return;
    expect(refereeRow(pattern.level(stitches, 1, false), on.places)).toMatchObject({ ok: true, made: stitches });
  });

  it('has words in both terms, symbols for a whole repeat, and factors above nothing', () => {
    const row = pattern.row({
      stitches: pattern.rows.repeat * 4 + pattern.rows.edge,
      course: 2,
      below: 'pattern',
      turningChainCounts: false,
    });
    expect(wordRow(row, { terms: 'US' })).toMatch(/^[A-Z(].*\.$/);
    expect(wordRow(row, { terms: 'UK' })).not.toMatch(/single crochet|\bskip\b/);
    expect(pattern.symbols.flat().length).toBeGreaterThan(0);
    for (const value of Object.values(pattern.factors)) expect(value).toBeGreaterThan(0);
  });
});

describe('published bands', () => {
  it('hold taller stitches wider and higher than single, on every category', () => {
    for (let category = 1; category <= 7; category += 1) {
      const at = (stitch: string) => workFabric({ stitch, hookMm: 3 + category, yarn: { category } });
      const [single, half, double] = ['single', 'half-double', 'double'].map(at);
      expect(half!.rowHeight.value / single!.rowHeight.value).toBeCloseTo(1.25 / 0.88, 6);
      expect(double!.rowHeight.value).toBeGreaterThan(half!.rowHeight.value);
      expect(double!.stitchWidth.value).toBeGreaterThan(single!.stitchWidth.value);
    }
  });
});

it('a longer loop over as many stitches stands higher; a tight one hardly at all', () => {
  expect(loopRise(7, 3)).toBeGreaterThan(loopRise(5, 3));
  expect(loopRise(3, 4)).toBe(0.5);
});

it('stripes add the heights of their own rows', () => {
  const { rowShares } = stitchPattern('stripes', { rows: ['single', 'double'] });
  expect(rowShares![1]! / rowShares![0]!).toBeCloseTo(1.8 / 0.88, 9);
  expect(rowShares!.reduce((sum, share) => sum + share, 0)).toBeCloseTo(2, 9);
});

it('pairs of a linked row are one fewer than its places, and a plain single ends it', () => {
  const pattern = stitchPattern('linked-single');
  const row = pattern.row({ stitches: 20, course: 2, below: 'pattern', turningChainCounts: false });
  expect(wordRow(row, { terms: 'US' })).toBe(
    'Chain 1, linked single crochet in each of the next 19 stitches, single crochet in the next stitch.',
  );
});
