import type { Plan, Step } from '@keep-snug/core';
import { baseOf, channels, coursesOf, flapBelow, flatRound, frontDepth, tubeRound } from './made';
import type { Dice } from './random';
import type { Fabric, Way } from './truth';
import type { Made, Thing } from './verdict';

/** A round of slip stitches against one of single (handbook 2.2). */
const SLIP_HIGH = 0.35 / 0.98;

/** A length as the maker measures it. */
export type Measure = (mm: number) => { mm: number; by: 'ruler' | 'calliper' };

/** A thing as it is, what of it is typed into the plan, and how the steps of that plan become a piece in a hand. */
export interface Drawn {
  thing: Thing;
  typed: (measure: Measure) => Plan['thing'];
  plan: Omit<Partial<Plan>, 'fabric'> & Pick<Plan, 'shape'> & { fabric?: Partial<Plan['fabric']> };
  /** `shape`: what was decided of it on the way, where anything was. */
  made: (steps: readonly Step[], fabric: Fabric, shape?: Decided) => Made;
}

/** Another join, another edging than was drawn. */
type Decided = Readonly<Record<string, unknown>>;

/** Rounds of edging, in rounds of single: the last may be one of slip stitches. */
function edgedBy({ edging, edgingOf }: Decided, drawn: number): number {
  const rounds = Number(edging ?? drawn);
  return rounds > 0 && edgingOf === 'slip' ? rounds - 1 + SLIP_HIGH : rounds;
}

export interface Scene {
  id: string;
  way: Way;
  stitch: 'single' | 'cluster';
  /** Comfortable stretch the way it runs round the thing (handbook 2.2). */
  stretch: number;
  /** Ways of mending besides counts that its pieces can be built of. */
  mends?: RegExp;
  draw: (dice: Dice) => Drawn;
}

/** Stretch of single across and along its rows, and of clusters (handbook 2.2). */
const ACROSS = 0.08;
const ALONG = 0.06;
const OF_CLUSTERS = 0.2;

interface Box {
  width: number;
  height: number;
  depth: number;
}

const boxOf = ({ between }: Dice): Box => ({
  width: between(50, 160),
  height: between(70, 220),
  depth: between(5, 35),
});

/** Round a box with square edges. */
const boxThing = ({ width, height, depth }: Box): Thing => ({ girth: 2 * (width + depth), height, depth });

const boxTyped =
  ({ width, height, depth }: Box) =>
  (measure: Measure) =>
    ({ kind: 'slab', width: measure(width), height: measure(height), depth: measure(depth) }) as Plan['thing'];

/** What is the same of all that hold one box. */
const boxed = (dice: Dice) => {
  const box = boxOf(dice);
  return { box, thing: boxThing(box), typed: boxTyped(box) };
};

/** Nothing besides counts. */
const COUNTS_ONLY = /^$/;

const joins = ['whip', 'slip'] as const;

/** A flap asked to come down so far, half of which must: with so much fabric in front and behind. */
function flapOver(dice: Dice, box: Box) {
  const overlapMm = Math.round(dice.between(30, 60));
  const closed = (front: number, behind: number, fabric: Fabric): Pick<Made, 'depth' | 'flap'> => {
    const depth = frontDepth(front, box.depth, fabric);
    return { depth, flap: { reach: flapBelow(behind, depth, box, fabric), least: overlapMm / 2 } };
  };
  return { overlapMm, closed };
}

const strip: Scene = {
  id: 'strip-across',
  way: 'rows',
  stitch: 'single',
  stretch: ACROSS,
  mends: /^(border-|join-|other-hook)/,
  draw: (dice) => {
    const { box, ...of } = boxed(dice);
    const join = dice.oneOf(joins);
    const edging = dice.uniform() < 0.3 ? 1 + Math.floor(2 * dice.uniform()) : 0;
    return {
      ...of,
      plan: { shape: { kind: 'strip-across', join, ...(edging > 0 ? { edging } : {}) } },
      made: (steps, fabric, shape = {}) => {
        const { of: rows, stitches } = coursesOf(steps);
        const rounds = Number(shape.edging ?? edging);
        const front = rows('front') * fabric.piece.h + rounds * fabric.border;
        const girth = flatRound(stitches, String(shape.join ?? join), fabric, rounds);
        const narrow = fabric.narrow(rows('front'), 'one piece folded');
        return { girth, narrow, depth: frontDepth(front, box.depth, fabric) };
      },
    };
  },
};

const flapped: Scene = {
  ...strip,
  id: 'strip with a flap',
  draw: (dice) => {
    const { box, ...of } = boxed(dice);
    const join = dice.oneOf(joins);
    const { overlapMm, closed } = flapOver(dice, box);
    return {
      ...of,
      plan: { shape: { kind: 'strip-across', join }, fittings: [{ kind: 'flap', overlapMm }] },
      made: (steps, fabric, shape = {}) => {
        const { of: rows, stitches } = coursesOf(steps);
        const { h } = fabric.piece;
        const rounds = Number(shape.edging ?? 0);
        const high = rounds * fabric.border;
        return {
          ...closed(rows('front') * h + high, rows('back', 'turn', 'flap') * h + high, fabric),
          girth: flatRound(stitches, String(shape.join ?? join), fabric, rounds),
          narrow: fabric.narrow(rows('front'), 'one piece folded'),
        };
      },
    };
  },
};

const banded: Scene = {
  ...strip,
  id: 'strip with a band',
  draw: (dice) => {
    const { box, ...of } = boxed(dice);
    const join = dice.oneOf(joins);
    const courses = 1 + Math.floor(4 * dice.uniform());
    return {
      ...of,
      plan: {
        shape: { kind: 'strip-across', join },
        fabric: {
          bands: [
            { stitch: 'half-double', courses },
            { stitch: 'single', fill: true },
          ],
        },
      },
      made: (steps, fabric, shape = {}) => {
        const { of: rows, stitches } = coursesOf(steps);
        const rounds = Number(shape.edging ?? 0);
        const plain = (rows('front') - courses) * fabric.piece.h;
        const front = courses * fabric.halfDouble + plain + rounds * fabric.border;
        return {
          girth: flatRound(stitches, String(shape.join ?? join), fabric, rounds),
          narrow: fabric.narrow(rows('front'), 'one piece folded'),
          depth: frontDepth(front, box.depth, fabric),
        };
      },
    };
  },
};

const divided: Scene = {
  ...strip,
  id: 'strip with dividers',
  draw: (dice) => {
    const grips = Array.from({ length: 2 + Math.floor(3 * dice.uniform()) }, () => dice.between(8, 22));
    const height = dice.between(120, 200);
    // the longest first, as unlike as tools are
    const lengths = grips.map((_, at) => (at === 0 ? height : dice.between(0.7, 0.95) * height));
    const join = dice.oneOf(joins);
    return {
      thing: { girth: 0, height, depth: Math.max(...grips) },
      typed: (measure) =>
        ({
          kind: 'tools',
          tools: grips.map((grip, at) => ({ length: measure(lengths[at]!), grip: measure(grip) })),
        }) as unknown as Plan['thing'],
      plan: { shape: { kind: 'strip-across', join }, fittings: [{ kind: 'dividers' }] },
      made: (steps, fabric) => {
        const { of: rows, stitches } = coursesOf(steps);
        const rooms = channels(steps, stitches, fabric).map((inside, at) => ({ inside, holds: Math.PI * grips[at]! }));
        const narrow = fabric.narrow(rows('front'), 'one piece folded');
        const depth = frontDepth(rows('front') * fabric.piece.h, Math.max(...grips), fabric);
        return { girth: 0, narrow, depth, rooms };
      },
    };
  },
};

const twoPanels: Scene = {
  ...strip,
  id: 'two-panels',
  mends: /^(border-|other-hook)/,
  draw: (dice) => {
    const { box, ...of } = boxed(dice);
    const edging = 1 + Math.floor(2 * dice.uniform());
    return {
      ...of,
      plan: { shape: { kind: 'two-panels', edging } },
      made: (steps, fabric, shape = {}) => {
        const { all, stitches } = coursesOf(steps);
        const rounds = edgedBy(shape, edging);
        const front = all * fabric.piece.h + 2 * rounds * fabric.border;
        const girth = flatRound(stitches, 'single', fabric, rounds);
        return { girth, narrow: fabric.narrow(all, 'two pieces'), depth: frontDepth(front, box.depth, fabric) };
      },
    };
  },
};

const along: Scene = {
  ...strip,
  id: 'strip-along',
  mends: COUNTS_ONLY,
  stretch: ALONG,
  draw: (dice) => {
    const { box, ...of } = boxed(dice);
    const join = dice.oneOf(joins);
    return {
      ...of,
      plan: { shape: { kind: 'strip-along', join } },
      made: (steps, { piece: { w, h }, ...fabric }) => {
        const { all, stitches } = coursesOf(steps);
        const turned = { ...fabric, piece: { w: h, h: w } };
        // of an odd number the front has one more
        const front = Math.ceil(stitches / 2) * w;
        return {
          girth: flatRound(all, join, turned),
          depth: frontDepth(front, box.depth, turned),
        };
      },
    };
  },
};

const packet: Scene = {
  ...strip,
  id: 'packet',
  mends: COUNTS_ONLY,
  stretch: ALONG,
  draw: (dice) => {
    const { box, ...of } = boxed(dice);
    const overlapMm = Math.round(dice.between(-20, 30));
    return {
      ...of,
      plan: { shape: { kind: 'packet', join: 'slip', overlapMm } },
      made: (steps, { piece: { w, h }, t }) => {
        const { all, stitches } = coursesOf(steps);
        return {
          girth: all * h - overlapMm - Math.PI * t,
          depth: stitches * w - box.depth - (Math.PI * t) / 2,
        };
      },
    };
  },
};

const layered: Scene = {
  ...strip,
  id: 'layered',
  draw: (dice) => {
    const { box, ...of } = boxed(dice);
    const join = dice.oneOf(joins);
    const { overlapMm, closed } = flapOver(dice, box);
    return {
      ...of,
      plan: { shape: { kind: 'layered', join, beltMm: 0 }, fittings: [{ kind: 'flap', overlapMm }] },
      made: (steps, fabric, shape = {}) => {
        const { h } = fabric.piece;
        const back = coursesOf(steps);
        const front = coursesOf(steps, 'pocket-1').all * h;
        const narrow = fabric.narrow(coursesOf(steps, 'pocket-1').all, 'two pieces');
        return {
          ...closed(front, back.all * h, fabric),
          narrow,
          girth: flatRound(back.stitches, String(shape.join ?? join), fabric),
        };
      },
    };
  },
};

const clusters: Scene = {
  id: 'cluster-panels',
  mends: /^(border-|rounds-)/,
  way: 'rounds',
  stitch: 'cluster',
  stretch: OF_CLUSTERS,
  draw: (dice) => {
    const box = { ...boxOf(dice), height: 0 };
    box.height = box.width * dice.between(1.2, 1.9);
    return {
      thing: boxThing(box),
      typed: boxTyped(box),
      plan: { shape: { kind: 'cluster-panels', strip: 'chain' } },
      made: (steps, { piece: { w, h }, t, ...fabric }, shape = {}) => {
        const { of: courses, ends } = coursesOf(steps, 'front');
        const rounds = courses('front');
        const strip = ends('strip')[0]!;
        const edge = 2 * rounds * h + 2 * edgedBy(shape, 0) * fabric.border;
        return {
          girth: 2 * (h + edge) - Math.PI * t,
          depth: frontDepth(strip * w + edge, box.depth, { ...fabric, piece: { w, h }, t }),
        };
      },
    };
  },
};

const tube: Scene = {
  id: 'ring-tube',
  mends: /^other-hook/,
  way: 'rounds',
  stitch: 'single',
  stretch: ACROSS,
  draw: (dice) => {
    const { box, ...of } = boxed(dice);
    const kind = dice.oneOf(['ring-tube', 'round-chain']);
    return {
      ...of,
      plan: { shape: { kind } },
      made: (steps, fabric) => {
        const { of: rounds, stitches } = coursesOf(steps);
        return {
          girth: tubeRound(stitches, fabric),
          narrow: fabric.narrow(rounds('wall'), 'round'),
          depth: frontDepth(rounds('wall') * fabric.piece.h, box.depth, fabric),
        };
      },
    };
  },
};

/** A wall stands on a base: nothing of it turns under the thing but a quarter turn of fabric. */
const standing = (rounds: number, { piece, t }: Fabric) => rounds * piece.h - (Math.PI * t) / 4;

/** A base that grew for three rounds or more tells what it grows by. */
const GROWN = 3;

const floored: Scene = {
  ...tube,
  id: 'round-chain with a floor',
  draw: (dice) => {
    const box = { ...boxOf(dice), width: dice.between(90, 180), depth: dice.between(36, 60) };
    return {
      thing: boxThing(box),
      typed: boxTyped(box),
      plan: { shape: { kind: 'round-chain', floor: 'flat' } },
      made: (steps, fabric) => {
        const { of: rounds, ends, stitches } = coursesOf(steps);
        const base = ends('base');
        const straight = (base[0]! - 6) / 2;
        return {
          girth: tubeRound(stitches, fabric),
          narrow: fabric.narrow(rounds('wall'), 'round'),
          depth: standing(rounds('wall'), fabric),
          ...(base.length >= GROWN ? { base: baseOf(base, stitches, fabric, straight)! } : {}),
        };
      },
    };
  },
};

const disc: Scene = {
  ...tube,
  id: 'disc-wall',
  mends: COUNTS_ONLY,
  draw: (dice) => {
    const diameter = dice.between(55, 120);
    const height = dice.between(90, 240);
    return {
      thing: { girth: Math.PI * diameter, height, depth: diameter },
      typed: (measure) => ({ kind: 'cylinder', height: measure(height), diameter: measure(diameter) }) as Plan['thing'],
      plan: { shape: { kind: 'disc-wall' } },
      made: (steps, fabric) => {
        const { of: rounds, ends } = coursesOf(steps);
        const wall = ends('wall')[0]!;
        return {
          girth: tubeRound(wall, fabric),
          narrow: fabric.narrow(rounds('wall'), 'round'),
          depth: standing(rounds('wall'), fabric),
          base: baseOf(ends('base'), wall, fabric)!,
        };
      },
    };
  },
};

const saddle: Scene = {
  ...tube,
  id: 'saddle',
  draw: (dice) => {
    const [front, behind] = [boxOf(dice), boxOf(dice)];
    return {
      // what stands in a caddy is not covered: its height is met by whatever there is
      thing: { girth: 0, height: 0, depth: 0 },
      typed: (measure) =>
        ({ kind: 'set', members: [boxTyped(front)(measure), boxTyped(behind)(measure)] }) as unknown as Plan['thing'],
      plan: {
        shape: { kind: 'saddle', behind: 1, pocketMm: 110 },
        carrier: { kind: 'bar', diameter: { mm: 45 }, dropFront: { mm: 110 }, dropBack: { mm: 110 } },
      },
      made: (steps, fabric) => {
        const pocket = coursesOf(steps).ends('pocket in front');
        const round = tubeRound(pocket[0]!, fabric);
        const rooms = [front, behind].map((box) => ({ inside: round, holds: boxThing(box).girth }));
        return { girth: 0, narrow: fabric.narrow(pocket.length, 'round'), depth: 0, rooms };
      },
    };
  },
};

export const SCENES: readonly Scene[] = [
  strip,
  flapped,
  banded,
  divided,
  twoPanels,
  along,
  packet,
  layered,
  clusters,
  tube,
  floored,
  disc,
  saddle,
];
