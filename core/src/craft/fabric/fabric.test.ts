import fc from 'fast-check';
import { prior } from '../../base/figure';
import { doubtGauge, workFabric } from './fabric';
import { fitness, gapOf, sameCountsOn } from './fitness';
import { hookFor } from './hooks';
import { onHook, swatchOf } from './swatch';
import {
  countingOf,
  gaugeSpread,
  measuredOf,
  PIECE_STRAYS,
  TENSION_WANDERS,
  saidCounted,
  unsaidCounts,
  updateGauge,
  type GaugeMeasure,
} from './gauge';
import { CATEGORIES, yarnDiameter } from './yarn';
import type { FabricSpec } from './types';

const oat: FabricSpec = { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 } };
const measure = fc.record({
  count: fc.integer({ min: 4, max: 60 }),
  overMm: fc.double({ min: 20, max: 400, noNaN: true }),
});

describe('yarn', () => {
  it('is thicker with fewer metres, and n strands are n^0.75 as thick', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 900, noNaN: true }), fc.integer({ min: 2, max: 6 }), (metres, strands) => {
        const one = yarnDiameter({ metresPer100g: metres }).value;
        expect(yarnDiameter({ metresPer100g: metres / 2 }).value).toBeGreaterThan(one);
        expect(yarnDiameter({ metresPer100g: metres, strands }).value).toBeCloseTo(one * strands ** 0.75, 9);
      }),
    );
  });

  it('takes wraps per inch, or the middle of its category', () => {
    expect(yarnDiameter({ wrapsPerInch: 10 }).value).toBeCloseTo(2.54, 9);
    expect(yarnDiameter({ category: 4 }).value).toBe(yarnDiameter({ metresPer100g: 190 }).value);
  });

  it('is estimated within the published bands, allowing the estimate its own spread', () => {
    for (const { id, band } of CATEGORIES.filter((category) => category.band)) {
      const [low, high] = band!.stitches;
      const hookMm = (band!.hooksMm[0] + band!.hooksMm[1]) / 2;
      const { value, sd } = workFabric({ stitch: 'single', hookMm, yarn: { category: id } }).stitchWidth;
      expect(101.6 / (value - sd!)).toBeGreaterThanOrEqual(low);
      expect(101.6 / (value + sd!)).toBeLessThanOrEqual(high);
    }
  });
});

describe('gauge', () => {
  const estimate = prior(6, 'mm', 0.72, 'estimate');
  const updated = (...list: GaugeMeasure[]) => updateGauge(estimate, { measures: list.map((m) => measuredOf(m)) });

  it('lies between what was believed and what was measured', () => {
    fc.assert(
      fc.property(measure, (m) => {
        const seen = m.overMm / m.count;
        const { value } = updated(m);
        expect(value).toBeGreaterThanOrEqual(Math.min(6, seen) - 1e-9);
        expect(value).toBeLessThanOrEqual(Math.max(6, seen) + 1e-9);
      }),
    );
  });

  it('is surer the longer the stretch measured, and never surer than a piece follows its swatch', () => {
    fc.assert(
      fc.property(measure, (m) => {
        const longer = { count: 2 * m.count, overMm: 2 * m.overMm };
        expect(gaugeSpread(measuredOf(longer))).toBeLessThan(gaugeSpread(measuredOf(m)));
        const { value, sd } = updated(m);
        expect(sd! / value).toBeGreaterThan(PIECE_STRAYS);
      }),
    );
  });

  it('is the swatch’s own to within a hundredth where the swatch is good', () => {
    expect(updated({ count: 20, overMm: 118 }).value).toBeCloseTo(5.9, 1);
  });

  it('is less sure where two measures of one swatch disagree', () => {
    const agree = updated({ count: 20, overMm: 118 }, { count: 20, overMm: 118 });
    const differ = updated({ count: 20, overMm: 106 }, { count: 20, overMm: 130 });
    expect(differ.sd! / differ.value).toBeGreaterThan(agree.sd! / agree.value);
  });

  it('stays an estimate where nothing was measured', () => {
    const { stitchWidth } = workFabric(oat);
    expect(stitchWidth.kind).toBe('prior');
    // 0.8 × 4 + 1.3 × 3.4 (120/190)^0.75
    expect(stitchWidth.value).toBeCloseTo(3.2 + 1.3 * 3.4 * (120 / 190) ** 0.75, 9);
    expect(stitchWidth.sd! / stitchWidth.value).toBeCloseTo(0.12, 9);
  });

  it('questions a swatch three times off, at its own entry, and uses it', () => {
    const spec = {
      ...oat,
      gauge: {
        stitches: [
          { count: 20, overMm: 120 },
          { count: 20, overMm: 380 },
        ],
      },
    };
    const worked = workFabric(spec);
    expect(doubtGauge(spec, worked)).toEqual([
      expect.objectContaining({ severity: 'question', at: 'fabric.gauge.stitches[1]' }),
    ]);
    expect(doubtGauge(oat, workFabric(oat))).toEqual([]);
  });
});

describe('what else speaks of a gauge', () => {
  const measured = [{ count: 20, overMm: 110 }];

  it('rounds stand in for rows and rows for rounds, less surely', () => {
    const rowsOnly = { ...oat, gauge: { stitches: measured, rows: measured } };
    const inRows = workFabric(rowsOnly, 'rows');
    const inRounds = workFabric(rowsOnly, 'rounds');
    expect(Math.abs(inRounds.stitchWidth.value - inRows.stitchWidth.value)).toBeLessThan(0.12);
    expect(inRounds.rowHeight.value / inRows.rowHeight.value).toBeCloseTo(0.98 / 0.88, 1);
    expect(inRounds.stitchWidth.sd!).toBeGreaterThan(inRows.stitchWidth.sd!);
    const both = { ...oat, gauge: { ...rowsOnly.gauge, roundStitches: [{ count: 20, overMm: 130 }] } };
    expect(workFabric(both, 'rounds').stitchWidth.value).toBeGreaterThan(6.2);
  });

  it('a chain alone tells the stitch roughly, and the chain well', () => {
    const chained = workFabric({ ...oat, gauge: { chains: [{ count: 28, overMm: 190 }] } });
    const unknown = workFabric(oat);
    expect(chained.stitchWidth.sd! / chained.stitchWidth.value).toBeLessThan(
      unknown.stitchWidth.sd! / unknown.stitchWidth.value,
    );
    expect(chained.chain.value).toBeCloseTo(190 / 28, 1);
  });

  it('a chain that reaches round the item is as long as its girth', () => {
    const girth = prior(190, 'mm', 2, 'girth');
    const tried = workFabric({ ...oat, gauge: { chains: [{ count: 28, reaches: 'round' }] } }, 'rounds', girth);
    // tried until it reached, it is half a chain too long on average
    expect(tried.chain.value).toBeCloseTo(190 / 27.5, 1);
    expect(tried.also('single', 'rows').chain.value).toBe(tried.chain.value);
  });

  it('the maker’s own hand takes the place of the 12 %', () => {
    const known = workFabric({ ...oat, hand: { width: 0.92, height: 1.05, spread: 0.05, makes: 4 } });
    expect(known.stitchWidth.value).toBeCloseTo(0.92 * workFabric(oat).stitchWidth.value, 9);
    expect(known.stitchWidth.sd! / known.stitchWidth.value).toBeCloseTo(0.05, 9);
  });

  it('another stitch on the same hook follows the same hand', () => {
    const wide = workFabric({ ...oat, gauge: { stitches: [{ count: 20, overMm: 150 }] } });
    const double = wide.also('double', 'rows');
    expect(double.stitchWidth.value / wide.stitchWidth.value).toBeCloseTo(1.05, 9);
    expect(double.rowHeight.value / wide.rowHeight.value).toBeCloseTo(1.8 / 0.88, 9);
    expect(double.stitchWidth.sd! / double.stitchWidth.value).toBeGreaterThan(
      wide.stitchWidth.sd! / wide.stitchWidth.value,
    );
  });

  it('a pattern of the maker’s own is refused without a swatch', () => {
    expect(() => workFabric({ ...oat, stitch: 'own' })).toThrow(/needs a swatch/);
    const own = workFabric({
      ...oat,
      stitch: 'own',
      pattern: { name: 'shells', repeat: 6, edge: 1 },
      gauge: { stitches: measured, rows: measured },
    });
    expect(own.stitch).toMatchObject({ name: { US: 'shells' }, rows: { repeat: 6, edge: 1 } });
  });
});

describe('fitness for the job', () => {
  const ids = (spec: FabricSpec, duty = {}) =>
    fitness(spec, workFabric(spec), duty, (other) => workFabric(other)).map(({ id }) => id);

  it('finds an open fabric, a tip that goes through, a load too heavy, a fibre that softens', () => {
    expect(ids(oat)).toEqual([]);
    const open = { ...oat, hookMm: 9 };
    expect(ids(open)).toEqual(['fabric-open']);
    expect(ids(open, { tipMm: 2 })).toContain('pokes-through');
    expect(ids(oat, { tipMm: 3 })).not.toContain('pokes-through');
    const lace = { ...oat, hookMm: 2, yarn: { metresPer100g: 400 } };
    expect(ids(lace, { loadG: 900 })).toContain('load-on-thin-fabric');
    expect(ids(oat, { loadG: 900 })).toEqual([]);
    expect(ids({ ...oat, yarn: { ...oat.yarn, fibre: 'acrylic' } }, { wet: true })).toEqual(['wet-fibre']);
    expect(ids({ ...oat, yarn: { ...oat.yarn, fibre: 'cotton' } }, { wet: true })).toEqual([]);
  });

  it('offers the same counts on another hook: larger and looser by the same ratio', () => {
    const on = sameCountsOn(oat, workFabric(oat), 4.5);
    expect(on.scale).toBeCloseTo(
      workFabric({ ...oat, hookMm: 4.5 }).stitchWidth.value / workFabric(oat).stitchWidth.value,
      9,
    );
    expect(on.cover * on.scale).toBeCloseTo(workFabric(oat).cover.value, 9);
  });

  it('sizes the hole of a net by what its loops span', () => {
    const netted = workFabric({ ...oat, stitch: 'net' });
    expect(gapOf(netted)).toBeGreaterThan(3 * netted.stitchWidth.value - 1e-9);
  });
});

describe('how it was counted', () => {
  const of = (more: Partial<GaugeMeasure>) => measuredOf({ count: 20, overMm: 110, ...more });

  it('adds what was not counted, and widens what was guessed at', () => {
    expect([of({}).count, of({ counted: 'whole' }).count, of({ counted: 'anywhere' }).count]).toEqual([20, 20.5, 21]);
    expect(of({ counted: 'reaching' }).count).toBe(19.5);
    expect(of({ counted: 'whole', count: 20.5 })).toMatchObject({ count: 20.625, q: 0.19 });
    expect(gaugeSpread(of({ counted: 'anywhere' }))).toBeGreaterThan(gaugeSpread(of({ counted: 'whole' })));
  });

  it('is right on average for a tape of any length laid on an edge', () => {
    // whole stitches of 5.5 mm within so many mm, over all lengths of a stitch: the size comes out right in the mean
    const lengths = Array.from({ length: 550 }, (_, index) => 100 + index / 100);
    const sizes = lengths.map((mm) => {
      const { count, mm: over } = measuredOf({ count: Math.floor(mm / 5.5), overMm: mm, counted: 'whole' });
      return over / count;
    });
    expect(sizes.reduce((sum, size) => sum + size, 0) / sizes.length).toBeCloseTo(5.5, 2);
  });
});

describe('two stages', () => {
  const spread = (gauge: FabricSpec['gauge']) => {
    const { stitchWidth: w } = workFabric({ ...oat, gauge: gauge! });
    return w.sd! / w.value;
  };
  const long = { count: 100, overMm: 550, by: 'calliper' } as const;

  it('what is measured on the piece is no longer strayed from', () => {
    expect(spread({ stitches: [long] })).toBeGreaterThan(PIECE_STRAYS);
    // of its rows only, which are the whole height: a width is taken at one place of it
    const tall = workFabric({ ...oat, gauge: { rows: [{ ...long, on: 'piece' }] } }).rowHeight;
    expect(tall.sd! / tall.value).toBeLessThan(0.005);
  });

  it('a width of the piece is as sure as tension lets one place tell, and surer by each other place', () => {
    const place = { ...long, on: 'piece' } as const;
    const [once, thrice] = [spread({ stitches: [place] }), spread({ stitches: [place, place, place] })];
    expect(once).toBeCloseTo(TENSION_WANDERS, 3);
    expect(thrice).toBeCloseTo(TENSION_WANDERS / Math.sqrt(3), 3);
    expect(spread({ stitches: [long, { count: 20, overMm: 110, on: 'piece' }] })).toBeLessThan(PIECE_STRAYS);
  });

  it('the piece is believed over its swatch', () => {
    const gauge = { stitches: [long, { count: 100, overMm: 600, by: 'calliper', on: 'piece' } as const] };
    // a swatch of 5.5 that pieces stray from, and the piece itself: by what each is worth
    const [swatch, piece] = [1 / PIECE_STRAYS ** 2, 1 / TENSION_WANDERS ** 2];
    const wanted = Math.exp((swatch * Math.log(5.5) + piece * Math.log(6)) / (swatch + piece));
    expect(workFabric({ ...oat, gauge }).stitchWidth.value).toBeCloseTo(wanted, 1);
  });
});

describe('one hand', () => {
  const heights = (stitches: number) =>
    workFabric({ ...oat, gauge: { stitches: [{ count: 40, overMm: 40 * stitches, by: 'calliper' }] } }).rowHeight;
  const blind = workFabric(oat);

  it('tells a height by its width, less surely than a measured one', () => {
    const wide = heights(1.1 * blind.stitchWidth.value);
    expect(wide.value).toBeGreaterThan(blind.rowHeight.value);
    // slope ρ × 0.15 / 0.12
    expect(Math.log(wide.value / blind.rowHeight.value)).toBeCloseTo(0.6 * (0.15 / 0.12) * Math.log(1.1), 2);
    expect(wide.sd! / wide.value).toBeLessThan(0.15);
    expect(wide.sd! / wide.value).toBeGreaterThan(0.15 * Math.sqrt(1 - 0.36) - 1e-6);
    expect(wide.kind).toBe('prior');
  });

  it('measures that contradict each other widen the result whichever lists they stand in', () => {
    const spread = (round: number) => {
      const gauge = {
        stitches: [{ count: 40, overMm: 220, by: 'calliper' as const }],
        roundStitches: [{ count: 40, overMm: 40 * round, by: 'calliper' as const }],
      };
      const { value, sd } = workFabric({ ...oat, gauge }).stitchWidth;
      return sd! / value;
    };
    expect(spread(7.5)).toBeGreaterThan(1.5 * spread(5.5));
  });
});

describe('a swatch on another hook', () => {
  const gauge = { stitches: [{ count: 20, overMm: 110 }], rows: [{ count: 20, overMm: 98 }] };
  const on = (hookMm: number, more: Partial<FabricSpec> = {}) => workFabric(onHook({ ...oat, gauge, ...more }, hookMm));

  it('scales by the rule for estimates, and is a little less sure', () => {
    const [own, larger] = [on(4), on(5)];
    expect(larger.stitchWidth.value).toBeGreaterThan(own.stitchWidth.value);
    expect(larger.rowHeight.value / own.rowHeight.value).toBeCloseTo(
      larger.stitchWidth.value / own.stitchWidth.value,
      1,
    );
    expect(larger.stitchWidth.sd! / larger.stitchWidth.value).toBeGreaterThan(
      own.stitchWidth.sd! / own.stitchWidth.value,
    );
  });

  it('is itself again on its own', () => {
    const away = onHook({ ...oat, gauge }, 5);
    expect(away.gauge!.hookMm).toBe(4);
    expect(onHook(away, 4)).toEqual({ ...oat, gauge });
    expect(swatchOf(away)).toMatchObject({ hookMm: 4, gauge });
  });

  it('serves a pattern of the maker’s own as well', () => {
    const own = { stitch: 'own', pattern: { name: 'shells', repeat: 6, edge: 1 } };
    expect(on(5, own).stitchWidth.value).toBeGreaterThan(on(4, own).stitchWidth.value);
  });
});

it('an open fabric of one’s own is mended by a hook that truly closes it, its swatch kept', () => {
  const open: FabricSpec = {
    ...oat,
    hookMm: 8,
    stitch: 'own',
    pattern: { name: 'shells', repeat: 1, edge: 0 },
    gauge: { stitches: [{ count: 20, overMm: 220 }], rows: [{ count: 20, overMm: 200 }] },
  };
  const [advice] = fitness(open, workFabric(open), {}, (spec) => workFabric(spec));
  expect(advice!.id).toBe('fabric-open');
  const hook = advice!.change!['fabric.hookMm'] as number;
  expect(workFabric(onHook(open, hook)).cover.value).toBeGreaterThanOrEqual(0.3);
  expect(workFabric(onHook(open, hook + 0.5)).cover.value).toBeLessThan(0.3);
  expect(advice!.change!['fabric.gauge.hookMm']).toBe(8);
});

describe('thickness', () => {
  const twoLayers = { mm: 9, by: 'calliper' as const };

  it('is half of two layers measured together, and surer', () => {
    const { thickness } = workFabric({ ...oat, gauge: { twoLayers } });
    expect(thickness).toMatchObject({ value: 4.5, kind: 'measured', sd: expect.closeTo(0.1, 9) as number });
    expect(thickness.sd!).toBeLessThan(workFabric(oat).thickness.sd!);
  });

  it('follows into another stitch by what both are thick', () => {
    const fabric = workFabric({ ...oat, gauge: { twoLayers } });
    const double = fabric.also('double', 'rows').thickness;
    expect(double.value).toBeCloseTo((4.5 * 1.6) / 1.8, 9);
    expect(double.sd!).toBeGreaterThan(0.1);
  });
});

describe('a hook for a yarn', () => {
  it.each([
    [{ category: 1 }, 2.5],
    [{ metresPer100g: 190 }, 4],
    [{ category: 5 }, 5.5],
    [{ metresPer100g: 5000 }, 1],
    [{ metresPer100g: 5 }, 25],
  ])('%o is worked firmly on %d mm', (yarn, hook) => {
    expect(hookFor(yarn)).toBe(hook);
  });
});

describe('how it was counted', () => {
  const gauge = {
    stitches: [
      { count: 20, overMm: 118 },
      { count: 17, overMm: 100, counted: 'whole' as const },
    ],
    chains: [{ count: 40, reaches: 'round' as const }],
  };

  it('is asked of what does not say it, and of nothing else', () => {
    expect(unsaidCounts(gauge)).toEqual([{ count: 20, overMm: 118 }]);
    expect(unsaidCounts({})).toEqual([]);
  });

  it('once said it is asked no more, and what said it keeps its own', () => {
    const said = saidCounted(gauge, 'edges');
    expect(unsaidCounts(said)).toEqual([]);
    expect(said.stitches!.map(({ counted }) => counted)).toEqual(['edges', 'whole']);
    expect(said.chains).toEqual(gauge.chains);
  });

  it('whole ones and a half: the mean of those who type a half from a quarter on and those who wait for it', () => {
    const seen = (from: number) => {
      const left = Array.from({ length: 4000 }, (_, index) => (index + 0.5) / 4000).filter(
        (rest) => rest >= from && rest < from + 0.5,
      );
      return left.map((rest) => rest - 0.5);
    };
    const rests = [...seen(0.25), ...seen(0.5)];
    const mean = rests.reduce((sum, rest) => sum + rest, 0) / rests.length;
    const sd = Math.sqrt(rests.reduce((sum, rest) => sum + (rest - mean) ** 2, 0) / rests.length);
    const { more, q } = countingOf({ count: 20.5, counted: 'whole' });
    expect(more).toBeCloseTo(mean, 3);
    expect(q).toBeCloseTo(sd, 2);
  });
});
