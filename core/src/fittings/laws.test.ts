import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { chosen, measured, PlanProblem } from '../base/figure';
import { stitchPattern } from '../craft/fabric';
import { refereePiece } from '../pattern/refereePiece';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { applyChange } from '../plan/change';
import { slotChains, divide } from '../craft/counts';
import { collisions, fittingDefinition, type Placed } from './index';
import { channelWidth } from './pockets/dividers';
import { growth } from './common';
import { strapLength } from './carrying/strap/length';
import { tasselYarn } from './trims/trimmings';
import { zipFor, ZIPS_MM } from './closures/zip';
import type { Worked } from '../reckon/types';

const mm = (value: number) => measured(value, 'mm', 0, 'test');
const planOf = (title: string): Plan => Object.values(TERN_POINT.plans).find((plan) => plan.title.includes(title))!;
const withFittings = (plan: Plan, fittings: Plan['fittings'], more: Partial<Plan> = {}) =>
  reckon({ ...plan, ...more, fittings });
const fittingOf = (worked: Worked, kind: string) => worked.fittings.find((fitting) => fitting.kind === kind)!;
const faultOf = (plan: Plan, fittings: Plan['fittings'], more: Partial<Plan> = {}) => {
  try {
    withFittings(plan, fittings, more);
    return undefined;
  } catch (error) {
    if (error instanceof PlanProblem) return error.errors[0]!;
    throw error;
  }
};
const wrap = planOf('hook wrap');
const phone = planOf('Field phone');
const tote = planOf('tote');
const flask = planOf('flask');

describe('dividers', () => {
  const tool = (a: number) => ({
    name: 'hook',
    girth: mm(Math.PI * a),
    height: 140,
    depth: a,
    sd: { height: 1, depth: 1 },
    wide: a,
    tip: 3,
    massG: 0,
    tool: true,
  });

  it('give a tool of 10 mm in fabric of 4 a channel of half the girth round both', () => {
    // (10 π × 1.12 + 4 π) / 2
    expect(channelWidth(tool(10), mm(4), 0).value).toBeCloseTo(23.876, 2);
  });

  it('fill the front to the column, a line between each, whatever is left over', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 5, max: 60, noNaN: true }), { minLength: 2, maxLength: 9 }),
        fc.integer({ min: 0, max: 40 }),
        fc.constantFrom('shared', 'first', 'last'),
        (widths, spare, over) => {
          const w = 5;
          const least = widths.reduce((sum, width) => sum + Math.ceil(width / w), widths.length - 1);
          const { channels, lines } = divide(
            widths.map((width, index) => ({ name: String(index), mm: width })),
            least + spare,
            w,
            over,
          );
          expect(channels.reduce((sum, { columns }) => sum + columns, 0) + lines.length).toBe(least + spare);
          channels.forEach((channel, index) => expect(channel.mm).toBeGreaterThanOrEqual(widths[index]! - 1e-6));
        },
      ),
    );
  });

  it('widen the case to what its tools need, and keep them in the order given', () => {
    const bare = withFittings(wrap, []);
    const divided = withFittings(wrap, [{ kind: 'dividers' }]);
    expect(divided.pieces[0]!.stitches).toBeGreaterThan(bare.pieces[0]!.stitches);
    expect(fittingOf(divided, 'dividers').place).toMatch(
      /slim hooks.*slim hooks.*slim hooks.*stout hooks.*stout hooks.*snips/,
    );
    expect(divided.advice.map(({ id }) => id)).not.toContain('case-curls');
    const few = reckon({
      ...wrap,
      fittings: [{ kind: 'dividers' }],
      picks: { width: divided.pieces[0]!.stitches - 6 },
    });
    expect(few.advice.map(({ id }) => id)).toContain('case-curls');
  });

  it('are refused for one thing, and forty tools in a narrow case', () => {
    expect(faultOf(phone, [{ kind: 'flap' }, { kind: 'dividers' }])).toMatchObject({
      path: 'fittings[1].kind',
      message: expect.stringMatching(/several items/),
    });
    const forty = {
      ...wrap,
      thing: {
        kind: 'tools',
        tools: Array.from({ length: 20 }, () => ({ length: { mm: 140 }, grip: { mm: 10 }, count: 2 })),
      },
    };
    expect(faultOf(forty, [{ kind: 'dividers' }], { picks: { width: 20 } })).toMatchObject({
      message: expect.stringMatching(/40 tools want \d+ stitches, and the front has 20/),
    });
  });
});

describe('straps', () => {
  it('give up the span between anchors and what they grow, and gain two overlaps', () => {
    // (1100 − 100) / 1.05 + 50
    expect(strapLength(mm(1100), mm(100), chosen(0.05, '1', 'test')).value).toBeCloseTo(1002.38, 2);
    // measured from edge to edge nothing is taken off
    expect(strapLength(mm(1000), undefined, chosen(0.05, '1', 'test')).value).toBeCloseTo(1002.38, 2);
  });

  it('grow with the load, less the wider they are, and never past their stretch', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 5000, noNaN: true }), fc.integer({ min: 1, max: 20 }), (load, columns) => {
        expect(growth(0.06, load, columns)).toBeLessThanOrEqual(0.06);
        expect(growth(0.06, load, columns)).toBeGreaterThanOrEqual(growth(0.06, load, columns + 1));
      }),
    );
    expect(growth(0.06, 40, 1)).toBeCloseTo(0.06 * (1 - Math.exp(-1)), 9);
  });

  it('follow the body measure, and a hang test where there is one', () => {
    const short = withFittings(flask, [{ kind: 'strap' }], { carrier: { kind: 'body', loop: { mm: 900 } } });
    const long = withFittings(flask, [{ kind: 'strap' }]);
    expect(fittingOf(long, 'strap').figures.length!.value).toBeGreaterThan(
      fittingOf(short, 'strap').figures.length!.value + 150,
    );
    const tested = withFittings(flask, [{ kind: 'strap', hangTestPercent: 12 }]);
    expect(fittingOf(tested, 'strap').figures.growth).toMatchObject({ value: 0.12, kind: 'chosen' });
    expect(tested.advice.map(({ id }) => id)).not.toContain('strap-grows');
  });

  it('are refused without a body loop, and nine metres long', () => {
    const { carrier: _carrier, ...loose } = flask;
    expect(faultOf(loose, [{ kind: 'strap' }])).toMatchObject({ path: 'fittings[0].loopMm' });
    expect(faultOf(flask, [{ kind: 'strap', loopMm: 9000 }])).toMatchObject({
      path: 'fittings[0].loopMm',
      message: expect.stringMatching(/longer than any body loop/),
    });
  });

  it('hang from places exactly opposite, of an odd round from one between two stitches', () => {
    const parities = [40, 41, 42, 43, 44, 45].map((neckDiameter) => {
      const worked = withFittings({ ...flask, thing: { ...flask.thing, neckDiameter: { mm: neckDiameter } } }, [
        { kind: 'strap' },
      ]);
      const last = worked.pieces[0]!.roundCounts!.at(-1)!;
      const half = Math.floor(last / 2);
      expect(worked.steps.find(({ id }) => id === 'sew-strap')!.text).toContain(
        last % 2 === 0
          ? `stitch 1 and stitch ${half + 1} of the last round`
          : `stitch 1 of the last round and, opposite, between its stitches ${half + 1} and ${half + 2}`,
      );
      return last % 2;
    });
    expect(new Set(parities).size).toBe(2);
  });
});

describe('handles', () => {
  it('are a + b + a + b of the round, alike and centred, and leave its count as it was', () => {
    const worked = withFittings(tote, [{ kind: 'handles' }]);
    const [round] = worked.choices;
    expect(round!.options.find(({ best }) => best)!.count % 2).toBe(0);
    const ruling = refereePiece(worked.steps, 'body');
    expect(ruling.faults).toEqual([]);
    expect(new Set(ruling.counts.slice(2)).size).toBe(1);
    const { figures, place } = fittingOf(worked, 'handles');
    expect(figures.opening!.value).toBeGreaterThanOrEqual(90);
    const [before, a, after] = /: (\d+), handle of (\d+), (\d+),/.exec(place)!.slice(1).map(Number);
    expect(2 * (before! + a! + after!)).toBe(worked.pieces[0]!.stitches);
    expect(Math.abs(before! - after!)).toBeLessThanOrEqual(1);
  });

  it('are refused longer than the round', () => {
    expect(faultOf(tote, [{ kind: 'handles', openMm: 390 }])).toBeUndefined();
    const small = { ...tote, thing: { kind: 'loose', width: { mm: 60 }, height: { mm: 90 } } };
    expect(faultOf(small, [{ kind: 'handles', openMm: 300 }], { picks: { round: 20 } })).toMatchObject({
      path: 'fittings[0].openMm',
      message: expect.stringMatching(/longer than half the round/),
    });
  });

  it('are refused on an open wall, in words', () => {
    const open = { fabric: { ...tote.fabric, stitch: 'double-v', gauge: {} } };
    expect(faultOf(tote, [{ kind: 'handles' }], open)).toMatchObject({
      message: expect.stringMatching(/leaves spaces/),
    });
  });
});

describe('drawstrings', () => {
  it('have an even number of holes, and a cord of the opening and two ends', () => {
    const worked = withFittings(planOf('soap'), [{ kind: 'drawstring', between: 3, hole: 1 }]);
    const { figures } = fittingOf(worked, 'drawstring');
    expect(figures.holes!.value % 2).toBe(0);
    const girth = worked.pieces[0]!.stitches * worked.fabric.stitchWidth.value;
    expect(figures.length!.value).toBeCloseTo(girth + 240, 3);
  });

  it('say what their wish for even holes costs', () => {
    const worked = withFittings(planOf('soap'), [{ kind: 'drawstring', between: 11, hole: 1 }]);
    expect(worked.advice.find(({ id }) => id.startsWith('condition-costs'))!.text).toMatch(
      /even number of holes.*further from the size you asked for/,
    );
  });
});

describe('closures', () => {
  it('a slot lets the button through edge on, in whole chains', () => {
    // (20 + 4) / 1.08 / 6 = 3.7
    expect(slotChains(mm(20), mm(4), 0.08, mm(6)).value).toBe(4);
  });

  it('a buttonhole, in the middle or beside it, closes where it opened, and lies where it is drawn', () => {
    for (const width of [15, 16])
      for (const inFromMm of [undefined, 22])
        for (const overlapMm of [50, 56, 62]) {
          const hole = { kind: 'buttonhole', buttonMm: 15, ...(inFromMm ? { inFromMm } : {}) };
          const worked = reckon({ ...phone, picks: { width }, fittings: [{ kind: 'flap', overlapMm }, hole] });
          expect(refereePiece(worked.steps, 'body').faults).toEqual([]);
          const [, row, before, after] = /row (\d+), (\d+) stitches, hole of \d+, (\d+) stitches/.exec(
            fittingOf(worked, 'buttonhole').place,
          )!;
          if (!inFromMm) continue;
          // in from the left of the closed flap, over which a right-side row runs from the left
          const left = Number(Number(row) % 2 === 1 ? before : after);
          expect(left).toBeLessThan(Number(before) + Number(after) - left);
        }
  });

  it('a buttonhole lies in the middle of the flap, and closes in the next row', () => {
    for (const width of [16, 18]) {
      const worked = reckon({ ...phone, picks: { width }, fittings: [{ kind: 'flap' }, { kind: 'buttonhole' }] });
      const [, before, after] = /, (\d+) stitches, hole of \d+, (\d+) stitches/.exec(
        fittingOf(worked, 'buttonhole').place,
      )!;
      expect(before).toBe(after);
      expect(refereePiece(worked.steps, 'body').faults).toEqual([]);
    }
  });

  it('a wide opening has two magnets, and each shows on the far side', () => {
    const worked = withFittings(planOf('notebook'), [{ kind: 'flap' }, { kind: 'magnet' }]);
    expect(worked.supplies.notions.find(({ name }) => name === 'magnet')).toMatchObject({ count: 2, size: '15 mm' });
    expect(worked.advice.map(({ id }) => id)).toContain('magnet-shows');
  });

  it('a zip is the longest sold that is no longer than the opening', () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 700, noNaN: true }), (mouth) => {
        const length = zipFor(mouth)!;
        expect(length).toBeLessThanOrEqual(mouth);
        expect(ZIPS_MM.some((other) => other > length && other <= mouth)).toBe(false);
      }),
    );
    expect(zipFor(80)).toBeUndefined();
  });

  it('a button wider than the flap, and a flap too short for its closure, are told with the repair', () => {
    expect(
      faultOf(phone, [{ kind: 'flap' }, { kind: 'snap', acrossMm: 30 }], { picks: { width: 8 } })!.message,
    ).toMatch(/more than a third of the front/);
    const short = {
      ...phone,
      fittings: [
        { kind: 'flap', overlapMm: 25 },
        { kind: 'button-loop', buttonMm: 10 },
      ],
    };
    const advice = reckon(short).advice.find(({ id }) => id === 'flap-short')!;
    expect(reckon(applyChange(short, advice.change!)).advice.map(({ id }) => id)).not.toContain('flap-short');
  });

  it('a loop typed too small is told, and one press makes it right', () => {
    const small = { ...phone, fittings: [{ kind: 'flap' }, { kind: 'button-loop', chains: 4 }] };
    const advice = reckon(small).advice.find(({ id }) => id === 'loop-too-small')!;
    const mended = applyChange(small, advice.change!);
    expect(mended.fittings![1]).toEqual({ kind: 'button-loop' });
    expect(reckon(mended).advice).toEqual([]);
  });
});

describe('what lies over what', () => {
  const at = (x: [number, number], y: [number, number]): Placed => ({
    figures: {},
    place: '',
    rows: [],
    steps: [],
    parts: {},
    advice: [],
    areas: [{ face: 'front', x, y }],
  });

  it('is found once for each pair, with how far to move', () => {
    const fitted = (kind: string, x: [number, number], y: [number, number]) => ({
      ...at(x, y),
      definition: fittingDefinition(kind)!,
    });
    const one = fitted('snap', [0, 20], [0, 20]);
    const two = fitted('strap', [15, 30], [10, 40]);
    const far = fitted('tag', [50, 60], [0, 9]);
    expect(collisions([one, two, far])).toEqual([
      expect.objectContaining({ id: 'collision-snap-strap', text: expect.stringMatching(/Snap and strap.*front.*5/) }),
    ]);
  });

  it('finds a strap’s anchor on a small pocket', () => {
    const worked = withFittings(phone, [
      { kind: 'flap' },
      { kind: 'stacked-pockets', count: 2, heightMm: 110 },
      { kind: 'strap', loopMm: 900 },
    ]);
    expect(worked.advice.map(({ id }) => id)).toContain('collision-stacked-pockets-strap');
  });
});

describe('supplies', () => {
  it('a tassel takes twice its wraps times its length, and ties', () => {
    expect(tasselYarn(chosen(20, '1', 'x'), mm(50)).value).toBe(2300);
  });

  it('yarn follows the stitches the rows are made of, and a weighed swatch in their place', () => {
    const { supplies } = reckon(phone);
    // 1376 singles of 6.6 × 5.9 mm are 53.6 m; seams and tails besides
    expect(supplies.yarn.metres.value).toBeGreaterThan(53);
    expect(supplies.yarn.metres.value).toBeLessThan(62);
    const weighed = reckon({ ...phone, fabric: { ...phone.fabric, weighed: { grams: 10, stitches: 400 } } });
    expect(weighed.supplies.yarn.grams.sd! / weighed.supplies.yarn.grams.value).toBeLessThan(
      supplies.yarn.grams.sd! / supplies.yarn.grams.value,
    );
    // 10 g over 400 stitches of 190 m in 100 g: 47.5 mm a stitch
    expect(weighed.supplies.yarn.grams.value).toBeGreaterThan(1376 / 40);
  });

  it('what is in the house lasts or does not, surely or perhaps', () => {
    const lasts = (gramsLeft: number) =>
      reckon({ ...phone, fabric: { ...phone.fabric, yarn: { ...phone.fabric.yarn, gramsLeft } } }).supplies.yarn
        .enough!;
    expect(lasts(200)).toBeGreaterThan(0.99);
    expect(lasts(5)).toBeLessThan(0.01);
    const { value } = reckon(phone).supplies.yarn.grams;
    expect(lasts(value)).toBeCloseTo(0.5, 2);
  });

  it('stripes share the yarn by the rows each colour holds', () => {
    const { byColour, yarn } = reckon(tote).supplies;
    expect(byColour.map(({ name }) => name)).toEqual(['kelp', 'sand']);
    expect(byColour.reduce((sum, { metres }) => sum + metres, 0)).toBeCloseTo(yarn.metres.value, 6);
    expect(byColour[0]!.rows + byColour[1]!.rows).toBe(reckon(tote).pieces[0]!.rows);
    expect(byColour[0]!.metres / byColour[1]!.metres).toBeCloseTo(byColour[0]!.rows / byColour[1]!.rows, 1);
  });

  it('time is the stitches at their rate, and minutes for what is done by hand', () => {
    const bare = reckon({ ...phone, fittings: [] });
    expect(reckon(phone).supplies.time.value).toBeGreaterThan(bare.supplies.time.value);
    const tall = reckon({ ...phone, fittings: [], fabric: { ...phone.fabric, stitch: 'double', gauge: {} } });
    expect(tall.supplies.time.value).toBeLessThan(bare.supplies.time.value);
    expect(stitchPattern('double').base).toBe('double');
  });
});
