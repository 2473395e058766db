import fc from 'fast-check';
import { bandSpans, reachOfBands, rowsInBands, type BandRows } from '../craft/counts';
import { PlanProblem } from '../base/figure';
import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { anyPlanOf, reckonOrRefuse } from './fixtures/anyPlan';
import { workOut } from '../reckon/build';

const anyRows: fc.Arbitrary<BandRows[]> = fc
  .tuple(
    fc.array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.double({ min: 1, max: 20, noNaN: true })), { maxLength: 4 }),
    fc.double({ min: 1, max: 20, noNaN: true }),
    fc.nat(4),
  )
  .map(([fixed, fill, at]) => {
    const bands: BandRows[] = fixed.map(([courses, h]) => ({ courses, reach: (rows) => rows * h }));
    bands.splice(Math.min(at, bands.length), 0, { courses: undefined, reach: (rows) => rows * fill });
    return bands;
  });

it('bands lie one after the other, and come within half a row of the length asked', () => {
  fc.assert(
    fc.property(anyRows, fc.double({ min: 100, max: 2000, noNaN: true }), (bands, mm) => {
      const rows = rowsInBands(bands, mm);
      fc.pre(rows !== undefined);
      const spans = bandSpans(bands, rows!);
      expect(spans[0]!.from).toBe(1);
      expect(spans.at(-1)!.to).toBe(rows);
      spans.slice(1).forEach(({ from }, index) => expect(from).toBe(spans[index]!.to + 1));
      const reach = reachOfBands(bands, rows!);
      const half = bands.find(({ courses }) => courses === undefined)!.reach(1) / 2;
      if (mm - reach(rows!) < -half) expect(spans.some(({ from, to }) => to === from)).toBe(true);
      else expect(Math.abs(reach(rows!) - mm)).toBeLessThanOrEqual(half + 1e-6);
    }),
  );
});

const strip = (fabric: Partial<Plan['fabric']>, more: Partial<Plan> = {}): Plan => ({
  format: PLAN_FORMAT,
  title: 'strip',
  thing: { kind: 'slab', width: { mm: 75 }, height: { mm: 150 }, depth: { mm: 9 } },
  fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, ...fabric },
  shape: { kind: 'strip-across' },
  fit: { name: 'snug' },
  ...more,
});

describe('a strip of several stitches', () => {
  it('has the width of its narrowest band, and a count every band takes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...['strip-across', 'strip-along', 'two-panels', 'packet']).chain(anyPlanOf),
        (plan) => {
          const worked = reckonOrRefuse(plan);
          fc.pre(!(worked instanceof PlanProblem) && (plan.fabric.bands?.length ?? 0) > 0);
          if (worked instanceof PlanProblem) return;
          const [piece] = worked.pieces;
          const widths = workOut(plan).built.pieces[0]!.bands!.map(({ fabric: { stitchWidth } }) => stitchWidth.value);
          expect(piece!.width.value).toBeCloseTo(piece!.stitches * Math.min(...widths), 6);
          const rows = worked.steps.filter((step) => step.piece === 'body' && step.row !== null);
          expect(rows).toHaveLength(piece!.rows);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('levels spaces before the next stitch: 1 in each stitch, as many in each space as it spans', () => {
    const bands = [
      { stitch: 'net', courses: 4 },
      { stitch: 'half-double', fill: true },
    ];
    const { steps } = reckon(strip({ bands }));
    expect(steps.find(({ row }) => row === 5)!.text).toContain('3 half double crochet in the next space');
    expect(steps.find(({ row }) => row === 6)!.text).toMatch(/half double crochet in each of the next \d+ stitches/);
  });

  it('has every band’s repeat once at least, however short it is', () => {
    const bands = [
      { stitch: 'single', courses: 1 },
      { stitch: 'cluster', fill: true },
    ];
    const gauge = { stitches: [{ count: 8, overMm: 145 }], rows: [{ count: 8, overMm: 40 }] };
    const thing: Plan['thing'] = { kind: 'loose', width: { mm: 20 }, height: { mm: 20 } };
    const { pieces, steps } = reckon(strip({ bands, gauge }, { thing, shape: { kind: 'strip-along' } }));
    // half a repeat more would be level, and far too large
    expect(pieces[0]!.stitches).toBe(5);
    expect(steps.find(({ row }) => row === 2)!.text).toContain('3 double crochet in');
  });

  it('says where colour and hook change, and how much of each colour', () => {
    const bands = [
      { stitch: 'single', courses: 3 },
      { stitch: 'single', fill: true, colour: 'kelp', hookMm: 5 },
    ];
    const { steps, supplies } = reckon(strip({ bands }));
    expect(steps.find(({ row }) => row === 3)!.note).toContain('Change to kelp');
    expect(steps.find(({ row }) => row === 4)!.text).toMatch(/^With kelp and the 5 mm hook: /);
    expect(supplies.byColour.map(({ name }) => name)).toEqual(['the main colour', 'kelp']);
    expect(supplies.notions).toContainEqual({ name: 'hook for a band', size: '5 mm', count: 1 });
  });

  it.each([
    [[{ stitch: 'single', courses: 2 }], 'No band fills'],
    [
      [
        { stitch: 'single', fill: true },
        { stitch: 'double', fill: true },
      ],
      'Bands 1 and 2 both fill',
    ],
    [
      [
        { stitch: 'net', courses: 2 },
        { stitch: 'crossed-double', fill: true },
      ],
      'No count suits',
    ],
    [
      [
        { stitch: 'single', courses: 400 },
        { stitch: 'double', fill: true },
      ],
      'nothing is left to fill',
    ],
  ])('refuses what cannot be: %j', (bands, message) => {
    expect(() => reckon(strip({ bands }))).toThrow(message);
  });

  it('is not striped as well', () => {
    const bands = [{ stitch: 'single', fill: true, colour: 'kelp' }];
    const colours = [{ name: 'sand', rows: 2 }];
    expect(() => reckon(strip({ bands, colours }))).toThrow(/both say what colour/);
  });

  it('is refused by a shape of one stitch throughout, with what would do', () => {
    const bands = [{ stitch: 'single', fill: true }];
    expect(() => reckon(strip({ bands }, { shape: { kind: 'layered' } }))).toThrow(/worked in one stitch/);
  });
});
