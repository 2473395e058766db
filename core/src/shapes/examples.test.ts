import { PlanProblem } from '../base/figure';
import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import type { Worked } from '../reckon/types';

/** A fabric whose sizes are easy to reckon by head: 5 mm a stitch, 5 mm a row and round, 2 mm of yarn. */
const evenly = (count: number, overMm: number) => [{ count, overMm, by: 'calliper' as const }];
const fabric: Plan['fabric'] = {
  stitch: 'single',
  hookMm: 3,
  yarn: { wrapsPerInch: 12.7 },
  gauge: {
    stitches: evenly(200, 1000),
    rows: evenly(200, 1000),
    roundStitches: evenly(200, 1000),
    rounds: evenly(200, 1000),
    chains: evenly(200, 1000),
  },
};
const slab = { kind: 'slab', width: { mm: 80 }, height: { mm: 150 }, depth: { mm: 10 } };
const plan = (change: Partial<Plan>): Plan => ({
  format: PLAN_FORMAT,
  title: 'by hand',
  thing: slab,
  fabric,
  shape: { kind: 'strip-across' },
  fit: { name: 'snug', easeMm: 0, coverMm: 0 },
  ...change,
});
const made = (change: Partial<Plan>): Worked => reckon(plan(change));
const sections = ({ pieces }: Worked, piece = 0) => pieces[piece]!.sections.map(({ name, rows }) => `${name} ${rows}`);
/** 2 mm of yarn in single is 3.6 mm thick. */
const T = 3.6;

describe('a folded strip, rows across', () => {
  it('is (2 (80 + 10) + 3.6 π) / 2 wide and 150 + 5 + 2.8 high on each face', () => {
    // 191.3 round, 95.7 flat: 19 stitches; 157.8: 32 rows, and as many behind, so that both end level
    const worked = made({});
    expect([worked.pieces[0]!.foundation.count, worked.pieces[0]!.stitches, worked.pieces[0]!.rows]).toEqual([
      20, 19, 64,
    ]);
    expect(sections(worked)).toEqual(['front 32', 'back 32']);
    expect(worked.inside.girth.value).toBeCloseTo(190 - Math.PI * T, 0);
  });

  it('loses half a stitch of its face to a whip stitched seam', () => {
    // 95.7 / 5 + 0.5
    expect(made({ shape: { kind: 'strip-across', join: 'whip' } }).pieces[0]!.stitches).toBe(20);
  });

  it('takes an edging off the strip before counting', () => {
    const edged = made({ shape: { kind: 'strip-across', edging: 2 } });
    // 2 rounds of 5 mm on each side
    expect(edged.pieces[0]!.stitches).toBe(15);
    expect(edged.steps.find(({ id }) => id === 'edging')!.text).toMatch(
      /Round 1: .*each of the next 13 chains; 3 single crochet in the corner.*Round 2: .*\(166 stitches\)/,
    );
  });

  it('has a caddy’s pocket as deep as chosen, and its back above it', () => {
    const caddy = made({ shape: { kind: 'strip-across', pocketMm: 100 } });
    expect(sections(caddy)).toEqual(['front 22', 'back 31']);
    expect(caddy.inside.depth.value).toBeCloseTo(110 - 5 - (Math.PI * T) / 4, 0);
  });
});

describe('a folded strip, rows along', () => {
  it('chains the strip’s length and works its width in rows', () => {
    const worked = made({ shape: { kind: 'strip-along' } });
    const piece = worked.pieces[0]!;
    // 2 × 157.8 mm long; 95.7 mm of rows
    expect([piece.foundation.count, piece.stitches, piece.rows]).toEqual([65, 64, 19]);
    expect(piece.sections.map(({ name, stitches }) => `${name} ${stitches}`)).toEqual(['front 32', 'back 32']);
    expect(worked.steps.filter(({ row }) => row)).toHaveLength(19);
    expect(worked.steps.find(({ id }) => id === 'mark-folds')!.text).toMatch(/after stitch 32 \(bottom fold\)/);
  });
});

describe('a ring tube', () => {
  it('is 191.3 mm round in an even number, and sewn flat at one end', () => {
    const worked = made({ shape: { kind: 'ring-tube' } });
    expect(worked.pieces[0]).toMatchObject({
      stitches: 38,
      rows: 32,
      foundation: { kind: 'joined-chain', count: 38, edge: 'closed' },
    });
    expect(worked.steps.at(0)!.text).toMatch(/Chain 38. Being careful not to twist the chain, join/);
    expect(worked.steps.find(({ id }) => id === 'close-bottom')!.text).toMatch(/19 stitches from side to side/);
  });

  it('may begin at its opening', () => {
    const worked = made({ shape: { kind: 'ring-tube', begins: 'opening' } });
    expect(worked.pieces[0]!.foundation.edge).toBe('opening');
    expect(worked.steps.find(({ id }) => id === 'close-bottom')!.text).toMatch(/together along the last round\./);
  });
});

describe('round a chain', () => {
  it('without a floor works 2 s + 2 from the chain and goes straight up', () => {
    const { pieces } = made({ shape: { kind: 'round-chain', floor: 'none', ends: '2' } });
    expect(pieces[0]).toMatchObject({ foundation: { kind: 'chain-both-sides', count: 19 }, stitches: 38 });
    expect(new Set(pieces[0]!.roundCounts)).toEqual(new Set([38]));
  });

  it('with a floor begins with 2 s + 6 and grows by 6 to the wall', () => {
    const deep = { ...slab, depth: { mm: 40 }, edgeRadius: { mm: 20 } };
    const worked = made({ thing: deep, shape: { kind: 'round-chain', floor: 'flat' } });
    const [first, second, third, last] = worked.pieces[0]!.roundCounts!;
    // 40 / (2 × 5) rounds; (80 − 40) / 5 stitches along each side
    expect([first, second, third]).toEqual([22, 28, 34]);
    // 2 (80 − 40) + 40 π + 3.6 π = 216.9 round
    expect(last).toBe(44);
    expect(worked.pieces[0]!.sections.map(({ name, rows }) => `${name} ${rows}`)).toEqual(['base 4', 'wall 31']);
  });

  it('refuses a floor under something flat, and under something round', () => {
    const floor = { shape: { kind: 'round-chain', floor: 'flat' } };
    expect(() => made({ ...floor, thing: { ...slab, depth: { mm: 2 } } })).toThrow(/A base needs 5 mm of depth/);
    expect(() => made({ ...floor, thing: { kind: 'cylinder', height: { mm: 100 }, diameter: { mm: 60 } } })).toThrow(
      /needs a round one/,
    );
  });
});

describe('a disc and wall', () => {
  const bottle = {
    kind: 'cylinder',
    height: { mm: 200 },
    diameter: { mm: 70 },
    shoulderHeight: { mm: 150 },
    neckDiameter: { mm: 40 },
  };

  it('is the published flat disc, 6 by 6, and the wall that stands on it', () => {
    const worked = made({ thing: bottle, shape: { kind: 'disc-wall' } });
    // 35 mm of 5 mm rounds; 70 π + 3.6 π = 231.2 mm round: 46
    expect(worked.pieces[0]!.roundCounts!.slice(0, 8)).toEqual([6, 12, 18, 24, 30, 36, 46, 46]);
    // 200 + 2.8 mm of wall
    expect(worked.pieces[0]!.sections.map(({ name, rows }) => `${name} ${rows}`)).toEqual(['base 7', 'wall 41']);
    expect(worked.steps[1]!.text).toBe('6 single crochet into the ring.');
    expect(worked.steps[2]!.text).toBe('2 single crochet in each of the next 6 stitches.');
  });

  it('starts and grows as the maker likes, and tells what that does', () => {
    const nine = made({ thing: bottle, shape: { kind: 'disc-wall', start: 9, each: 9 } });
    expect(nine.pieces[0]!.roundCounts!.slice(0, 4)).toEqual([9, 18, 27, 36]);
    expect(nine.advice.map(({ id }) => id)).toContain('base-ruffles');
    const doubled = made({ thing: bottle, shape: { kind: 'disc-wall', start: 6, doublings: 2 } });
    expect(doubled.pieces[0]!.roundCounts!.slice(0, 4)).toEqual([6, 12, 24, 30]);
  });

  it('is taken in at the shoulder to the neck, evenly', () => {
    const worked = made({ thing: bottle, shape: { kind: 'disc-wall', takeIn: 'shoulder' } });
    const shoulder = worked.pieces[0]!.sections.find(({ name }) => name === 'shoulder')!;
    const counts = worked.pieces[0]!.roundCounts!.slice(shoulder.from - 2);
    expect(counts[0]).toBe(46);
    // 40 π + 3.6 π = 137 mm
    expect(counts.at(-1)).toBe(27);
    const falls = counts.slice(1).map((count, index) => counts[index]! - count);
    expect(Math.max(...falls) - Math.min(...falls)).toBeLessThanOrEqual(1);
  });

  it('with a wall of Vs is levelled before it is taken in', () => {
    const worked = made({
      thing: bottle,
      fabric: { ...fabric, stitch: 'double-v', gauge: {} },
      shape: { kind: 'disc-wall', takeIn: 'shoulder' },
    });
    const first = worked.steps.find(({ section }) => section === 'shoulder')!;
    expect(first.text).toMatch(/in the next space/);
  });

  it('is sized to a neck wider than the body, and says so; a flat thing is sent elsewhere', () => {
    const funnel = made({ thing: { ...bottle, neckDiameter: { mm: 110 } }, shape: { kind: 'disc-wall' } });
    expect(funnel.advice.map(({ id }) => id)).toContain('wider-above');
    expect(funnel.inside.girth.value).toBeGreaterThan(Math.PI * 105);
    expect(() => made({ shape: { kind: 'disc-wall' } })).toThrow(/use an oval base instead/);
  });
});

describe('two panels', () => {
  it('are alike, edged, and joined on three sides', () => {
    const worked = made({ shape: { kind: 'two-panels', edging: 1, slitMm: 30 } });
    // 95.7 − 2 × 5 wide; 157.8 − 2 × 5 high
    expect(worked.pieces).toHaveLength(1);
    expect(worked.pieces[0]).toMatchObject({ times: 2, stitches: 17, rows: 30 });
    const textOf = (id: string) => worked.steps.find((step) => step.id === id)!.text;
    expect(textOf('edging')).toMatch(/each of the next 15 stitches.* along 30 row ends/);
    expect(textOf('second-panel')).toMatch(/second panel in the same way, with its edging/);
    // slits are counted in stitches
    expect(textOf('join-panels')).toMatch(/left side of the front, 6 stitches below its top edge/);
  });
});

describe('a packet', () => {
  it('is as long as what goes round it, and as wide as height and depth with both seams', () => {
    const worked = made({ shape: { kind: 'packet', join: 'whip' } });
    // 180 + 11.3: 38 rows; 150 + 10 + 5.7 + 2.5: 34 stitches
    expect(worked.pieces[0]).toMatchObject({ rows: 38, stitches: 34 });
  });

  it('overlaps, or leaves a gap, by what is chosen', () => {
    const rows = (overlapMm: number) => made({ shape: { kind: 'packet', overlapMm } }).pieces[0]!.rows;
    expect([rows(20), rows(-15)]).toEqual([42, 35]);
    expect(made({ shape: { kind: 'packet', overlapMm: -15 } }).steps.find(({ id }) => id === 'fold')!.text).toMatch(
      /leave 15 mm between/,
    );
  });

  it('is the bare 2 (W + D) + overlap where neither ease nor fabric is added: a worked one is longer by πt', () => {
    const { pieces } = made({ shape: { kind: 'packet' } });
    const bare = 2 * (80 + 10);
    expect(pieces[0]!.height.value).toBeGreaterThan(bare + Math.PI * T - 2.6);
  });
});

describe('a layered belt pouch', () => {
  it('has its pockets lower by a quarter each, and a loop for its belt', () => {
    const worked = made({ shape: { kind: 'layered', inner: 2, beltMm: 40 } });
    expect(worked.pieces.map(({ id }) => id)).toEqual(['body', 'pocket-1', 'pocket-2', 'loop']);
    expect(worked.pieces[2]!.rows / worked.pieces[1]!.rows).toBeCloseTo(0.75, 1);
    // 40 + 12 + 11.3
    expect(worked.pieces[3]!.rows).toBe(13);
    expect(worked.steps.find(({ id }) => id === 'sew-round')!.text).toMatch(/through all 3 layers, down the left side/);
  });

  it('warns of more layers than fold, with a repair', () => {
    const thick = made({ shape: { kind: 'layered', inner: 4 } });
    expect(thick.advice.find(({ id }) => id === 'too-many-layers')).toMatchObject({ change: { 'shape.inner': 2 } });
  });

  it('leaves the loop off where there is no belt', () => {
    expect(made({ shape: { kind: 'layered', beltMm: 0 } }).pieces.map(({ id }) => id)).toEqual(['body', 'pocket-1']);
  });
});

describe('things at the ends of what can be made', () => {
  const sizes = {
    thimble: { thing: { kind: 'cylinder', height: { mm: 22 }, diameter: { mm: 17 } }, shape: { kind: 'disc-wall' } },
    sofa: {
      thing: { kind: 'slab', width: { mm: 2200 }, height: { mm: 900 }, depth: { mm: 300 } },
      shape: { kind: 'strip-across' },
    },
    card: {
      thing: { kind: 'slab', width: { mm: 86 }, height: { mm: 54 }, depth: { mm: 0 } },
      shape: { kind: 'strip-across' },
    },
    'deeper than wide': {
      thing: { kind: 'slab', width: { mm: 20 }, height: { mm: 90 }, depth: { mm: 60 } },
      shape: { kind: 'strip-across' },
    },
  };

  it.each(Object.entries(sizes))('%s is sized sensibly', (_, change) => {
    const worked = made({ ...change, fit: { name: 'slides' } });
    const { girth } = worked.thing;
    const step = worked.fabric.stitchWidth.value;
    expect(Math.abs(worked.inside.girth.value - girth.value - worked.wanted.girth.value)).toBeLessThan(2 * step);
    expect(worked.supplies.yarn.metres.value).toBeGreaterThan(0);
  });

  it.each([
    ['lace', 1, { metresPer100g: 900 }],
    ['jumbo', 20, { metresPer100g: 25 }],
  ])('%s is worked as well', (_, hookMm, yarn) => {
    const worked = made({ fabric: { stitch: 'single', hookMm, yarn } });
    expect(worked.pieces[0]!.stitches).toBeGreaterThanOrEqual(2);
  });

  it('what no shape can be is refused by name', () => {
    const refused = (change: Partial<Plan>) => {
      try {
        made(change);
        return '';
      } catch (error) {
        if (error instanceof PlanProblem) return error.errors[0]!.message;
        throw error;
      }
    };
    expect(
      refused({ thing: { kind: 'cylinder', height: { mm: 200 }, diameter: { mm: 70 } }, shape: { kind: 'packet' } }),
    ).toMatch(/lies flat round a flat thing/);
    expect(refused({ shape: { kind: 'packet' }, fittings: [{ kind: 'drawstring' }] })).toMatch(
      /runs through rounds near an opening/,
    );
  });
});
