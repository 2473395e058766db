import type { AuditPlan, StitchId } from './plans';

/**
 * Sizes of a finished piece from a plan and the counts it was given, derived from the handbook alone. Nothing here is shared with
 * what reckons plans.
 */

/** Handbook 2.2: row and round height, width, thickness over yarn. */
const TABLE: Readonly<Record<'slip' | 'single' | 'half-double' | 'double', readonly [number, number, number, number]>> =
  {
    slip: [0.35, 0.35, 1, 1.2],
    single: [0.88, 0.98, 1, 1.8],
    'half-double': [1.25, 1.3, 1.03, 2],
    double: [1.8, 1.9, 1.05, 1.6],
  };

interface Stitch {
  row: number;
  round: number;
  wide: number;
  thick: number;
  /** Of rows of unlike heights, each against their mean. */
  shares: readonly [rows: number[], rounds: number[]];
}

function stitchOf(id: StitchId, rows: readonly StitchId[] = []): Stitch {
  const all = (id === 'stripes' ? rows : [id]).map((one) => TABLE[one as 'single']);
  const mean = (at: 0 | 1 | 2 | 3) => all.reduce((sum, one) => sum + one[at], 0) / all.length;
  return {
    row: mean(0),
    round: mean(1),
    wide: mean(2),
    thick: Math.max(...all.map((one) => one[3])),
    shares: [all.map((one) => one[0] / mean(0)), all.map((one) => one[1] / mean(1))],
  };
}

/** Handbook 2.1, on logarithms: a belief, and measures with what one way of working lends another. */
interface Belief {
  log: number;
  variance: number;
}

function narrowed(belief: Belief, told: Belief | undefined): Belief {
  if (!told) return belief;
  const [a, b] = [1 / belief.variance, 1 / told.variance];
  return { log: (a * belief.log + b * told.log) / (a + b), variance: 1 / (a + b) };
}

/** What another size that was measured says, both straying together by 0.6. */
function along(own: Belief, before: Belief, after: Belief): Belief {
  const slope = 0.6 * Math.sqrt(own.variance / before.variance);
  return {
    log: own.log + slope * (after.log - before.log),
    variance: own.variance - slope ** 2 * (before.variance - after.variance),
  };
}

export interface Fabric {
  w: number;
  /** A round of single on it, as high as one that is not turned. */
  round: number;
  t: number;
  /** How high so many courses reach. */
  reach: (courses: number) => number;
}

/** A fabric in the way it is worked, with its bands in a piece of so many courses. */
export function fabricOf(plan: AuditPlan, way: 'rows' | 'rounds', courses: number): Fabric {
  const { fabric } = plan;
  const yarn = 3.4 * (120 / fabric.yarn.metresPer100g) ** 0.75;
  const base = 0.8 * fabric.hookMm + 1.3 * yarn;
  const own = stitchOf(fabric.stitch, fabric.pattern?.rows);
  const high = way === 'rows' ? own.row : own.round;
  const width: Belief = { log: Math.log(base * own.wide), variance: 0.12 ** 2 };
  const height: Belief = { log: Math.log(base * high), variance: 0.15 ** 2 };
  const [across, up] = [fabric.gauge.stitches?.[0], fabric.gauge.rows?.[0]];
  // swatches are worked in rows: in rounds they count with 4 % more
  const lent = way === 'rows' ? 0 : 0.04 ** 2;
  const read = (one: typeof across, ratio: number): Belief | undefined =>
    one && {
      log: Math.log((one.overMm / one.count) * ratio),
      variance: (1 / one.overMm) ** 2 + (0.25 / one.count) ** 2 + lent,
    };
  const [widths, heights] = [read(across, 1), read(up, high / own.row)];
  const w = Math.exp(narrowed(along(width, height, narrowed(height, heights)), widths).log);
  const h = Math.exp(narrowed(along(height, width, narrowed(width, widths)), heights).log);
  const of = (id: StitchId) => {
    const stitch = stitchOf(id);
    return {
      w: (w * stitch.wide) / own.wide,
      h: (h * (way === 'rows' ? stitch.row : stitch.round)) / high,
      t: stitch.thick * yarn,
    };
  };
  const shares = own.shares[way === 'rows' ? 0 : 1];
  const plainReach = (count: number) =>
    Array.from({ length: count }, (_, row) => h * shares[row % shares.length]!).reduce((sum, one) => sum + one, 0);
  // its own stitch in rounds is known by its swatch in rows, another by how it stands to it
  const round =
    fabric.stitch === 'single' && way === 'rows'
      ? fabricOf(
          { ...plan, fabric: { stitch: 'single', hookMm: fabric.hookMm, yarn: fabric.yarn, gauge: fabric.gauge } },
          'rounds',
          1,
        ).reach(1)
      : (h * TABLE.single[1]) / high;
  if (!fabric.bands) return { w, round, t: own.thick * yarn, reach: plainReach };
  const bands = fabric.bands.map((band) => ({ ...of(band.stitch), courses: band.courses }));
  const given = bands.reduce((sum, band) => sum + (band.courses ?? 0), 0);
  const each = bands.flatMap((band) => Array.from({ length: band.courses ?? courses - given }, () => band.h));
  return {
    w: Math.min(...bands.map((band) => band.w)),
    round,
    t: Math.max(...bands.map((band) => band.t)),
    reach: (count) => each.slice(0, count).reduce((sum, one) => sum + one, 0),
  };
}

/** Handbook 1: girth, height, depth as the thing gives way. */
export function thingOf({ thing }: AuditPlan): { girth: number; height: number; depth: number; wide: number } {
  const of = (key: string) => (thing[key] as { mm: number } | undefined)?.mm ?? 0;
  if (thing.kind === 'cylinder')
    return { girth: Math.PI * of('diameter'), height: of('height'), depth: of('diameter'), wide: of('diameter') };
  const depth = of('depth') * (1 - ((thing.soft as number | undefined) ?? 0));
  const [wide, height] = [of('width'), of('height')];
  if (thing.kind === 'slab') {
    const r = Math.min(of('edgeRadius'), Math.min(wide, depth) / 2);
    return { girth: 2 * (wide + depth) - (8 - 2 * Math.PI) * r, height, depth, wide };
  }
  // a superellipse of exponent 2.5, gone round in small steps
  const STEPS = 20_000;
  const at = (step: number) => {
    const angle = (2 * Math.PI * step) / STEPS;
    const power = (value: number) => Math.sign(value) * Math.abs(value) ** 0.8;
    return [(wide / 2) * power(Math.cos(angle)), (depth / 2) * power(Math.sin(angle))] as const;
  };
  let girth = 0;
  for (let step = 0; step < STEPS; step += 1) {
    const [[ax, ay], [bx, by]] = [at(step), at(step + 1)];
    girth += Math.hypot(bx - ax, by - ay);
  }
  return { girth, height, depth, wide };
}

/** What is known of the piece that was reckoned: how many stitches and courses, and of its front. */
export interface Counts {
  stitches: number;
  rows: number;
  front: number;
}

export interface Sizes {
  girth: number;
  depth: number;
}

const TAKES = ['whip', 'mattress'];

/** How high an edging of so many rounds is: plain ones, never turned, and the last of its own stitch (handbook 2.2 and 3). */
function edged(of: unknown, rounds: number, round: number): number {
  if (rounds === 0) return 0;
  const last = { slip: 0.35, single: 0.98, reverse: 0.6 }[of as 'slip' | 'single' | 'reverse'];
  return (rounds - 1 + last / 0.98) * round;
}

/** Inside sizes of the finished piece (handbook 3 and 5). */
export function sizesOf(plan: AuditPlan, counts: Counts): Sizes {
  const { shape } = plan;
  const inRounds = ['ring-tube', 'round-chain', 'disc-wall'].includes(shape.kind);
  const fabric = fabricOf(plan, inRounds ? 'rounds' : 'rows', shape.kind === 'disc-wall' ? counts.front : counts.rows);
  const { w, t, round, reach } = fabric;
  const { depth } = thingOf(plan);
  const take = TAKES.includes(shape.join as string) ? 0.25 : 0;
  const around = edged(shape.edgingOf ?? 'single', (shape.edging as number | undefined) ?? 0, round);
  const mouth = plan.fittings.find(({ kind }) => kind === 'edging');
  const rim = mouth ? edged(mouth.edging, mouth.rounds as number, round) : 0;
  const face = (counts.stitches - 2 * take) * w + 2 * around;
  const bottom = depth / 2 + (Math.PI * t) / 4;
  switch (shape.kind) {
    case 'strip-across':
      return { girth: 2 * face - Math.PI * t, depth: reach(counts.front) + around + rim - bottom };
    case 'two-panels':
      return { girth: 2 * face - Math.PI * t, depth: reach(counts.rows) + 2 * around - bottom };
    case 'layered':
      return { girth: 2 * face - Math.PI * t, depth: reach(counts.front) - bottom };
    case 'packet':
      return {
        girth: reach(counts.rows) + 2 * around - (shape.overlapMm as number) - Math.PI * t,
        depth: face - depth - (Math.PI * t) / 2,
      };
    case 'strip-along': {
      const own = plan.fabric.stitch === 'stripes' ? NaN : reach(1);
      return { girth: 2 * (reach(counts.rows) - 2 * take * own) - Math.PI * t, depth: counts.front * w - bottom };
    }
    case 'disc-wall':
      return { girth: counts.stitches * w - Math.PI * t, depth: reach(counts.front) + rim - (Math.PI * t) / 4 };
    default:
      return { girth: counts.stitches * w - Math.PI * t, depth: reach(counts.rows) + rim - bottom };
  }
}
