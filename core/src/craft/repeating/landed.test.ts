import fc from 'fast-check';
import { landedOf, repeatGrid, startsOf, type Landing } from '.';

const RUNS = [3, 12, 5, 14];
const counts = Array.from({ length: 40 }, () => 34);

/** Where a course ends in the yarn of a hand that takes so much more of it. */
function landing(course: number, uses: number): Landing {
  const at = (course * 34 * uses) % 34;
  const starts = startsOf(RUNS);
  const run = RUNS.filter((_, index) => starts[index]! <= at + 1e-9).length - 1;
  return { course, run, stitches: at - starts[run]! };
}

describe('where rounds end in the yarn', () => {
  it('is on its place where the hand is as reckoned', () => {
    expect(landedOf(counts, RUNS, 'spiral', [landing(9, 1)])).toMatchObject({ advice: 'on-track', backTo: null });
    expect(landedOf(counts, RUNS, 'spiral', [])).toBeNull();
  });

  it('further along says to tighten, behind to loosen, far off to take back to where it was right', () => {
    const told = (landings: readonly Landing[]) => landedOf(counts, RUNS, 'spiral', landings)!;
    expect(told([landing(10, 1.009)])).toMatchObject({ advice: 'tighten' });
    expect(told([landing(10, 1.009)]).ahead).toBeCloseTo(3.06, 6);
    expect(told([landing(10, 0.991)])).toMatchObject({ advice: 'loosen' });
    expect(told([landing(4, 1), landing(12, 1.02)])).toMatchObject({ advice: 'take-back', backTo: 4 });
  });

  it('makes the runs those of this hand, so that the next rounds lie where they are seen', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.985, max: 1.015, noNaN: true }),
        fc.integer({ min: 5, max: 15 }),
        (uses, course) => {
          const { lengths, ahead } = landedOf(counts, RUNS, 'spiral', [landing(course, uses)])!;
          expect(ahead).toBeCloseTo(course * 34 * (uses - 1), 4);
          expect(lengths.reduce((sum, one) => sum + one, 0)).toBeCloseTo(34 / uses, 6);
          const seen = repeatGrid({ counts, lengths, turning: 'spiral', left: false, seed: 1, strays: 0 });
          const real = repeatGrid({
            counts,
            lengths: RUNS.map((run) => run / uses),
            turning: 'spiral',
            left: false,
            seed: 1,
            strays: 0,
          });
          expect(seen).toEqual(real);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is followed on over several landings, more than a whole repeat away', () => {
    const landings = [5, 10, 15, 20, 25].map((course) => landing(course, 1.03));
    expect(landedOf(counts, RUNS, 'spiral', landings)!.ahead).toBeCloseTo(25.5, 6);
  });
});
