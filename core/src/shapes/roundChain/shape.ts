import { MARK_FIRST_STITCH } from '../common/markers';
import {
  changeRound,
  flatIncrease,
  ovalCounts,
  ovalFloor,
  type CountCondition,
  refuseBeyond,
} from '../../craft/counts';
import { firstFabric, work, type Instruction, type WorkedFabric } from '../../craft/fabric';
import { chosen, derive, PlanProblem, type Advice, type Figure } from '../../base/figure';
import { baseSuits, bottomGive, type Want } from '../../craft/fit';
import { type Field, formatNumber, leastToken, mmToken } from '../../base/units';
import type { Built, Course, Foundation, ShapeContext, ShapeDefinition } from '../definition';
import { floorDrawn, floorTail, panel, type Part } from '../../drawing';
import { aroundChain } from '../common/aroundChain';
import { baseSizes } from '../common/baseSizes';
import { chosenCount, pickAdvice } from '../common/choice';
import { BASE_ROUNDS, baseSchools, bandRounds, closedUnder, roundOf, staggered } from '../common/courses';
import { lessRim, sizedWithRim, wantedFront, withRim } from '../common/flat';
import { roundPiece, wallBands, type RoundRun } from '../common/roundPiece';
import { alikeRows } from '../common/rowPiece';
import { alsoOf, sized } from '../common/sized';
import { facingOf, LEVEL_SLIPS, mouthOf, SHOWS, tubeEnd, tubeMouth } from '../common/tubeWork';
import { flatWidth, tubeRound, tubeViews } from '../common/tube';

/** Stitches more at both ends together when a flat floor begins, in single (law, handbook 4.1). */
const FLOOR_ENDS = 6;

/** So many stitches more than lie flat the last round of a floor takes in its stride, one at each quarter (prior, ours). */
const FLOOR_SLACK = 4;

const options: readonly Field[] = [
  {
    key: 'floor',
    kind: 'choice',
    label: 'Bottom',
    help: 'A fold needs no base; what stands or is thick needs one.',
    options: [
      { id: 'none', name: 'no floor' },
      { id: 'flat', name: 'a flat oval floor' },
    ],
    default: 'none',
  },
  BASE_ROUNDS,
  {
    key: 'chainLoops',
    kind: 'choice',
    label: 'Into the chain',
    options: [
      { id: 'as-usual', name: 'as usual' },
      { id: 'shared', name: 'the back loops one way, the front loops the other' },
    ],
    default: 'as-usual',
  },
  {
    key: 'ends',
    kind: 'choice',
    label: 'At the ends of the chain',
    help: 'Without a floor: sharp corners, or eased by a stitch each.',
    options: [
      { id: '0', name: 'nothing more' },
      { id: '2', name: 'one stitch more at each' },
    ],
    default: '2',
  },
  SHOWS,
  LEVEL_SLIPS,
];

/** Both sides alike, the bottom a line instead of a ridge (handbook 14, round a chain). */
const SHARED_LOOPS =
  'Along the first side work into the back loop of each chain, along the other into the loop that is left.';

interface Bottom {
  side: number;
  ends: number;
  /** Rounds of the floor after the first, growing, the last of them to the wall's count. */
  counts: number[];
  /** The last of them as it grew, before the wall’s count is carried. */
  own: number;
}

/** As many along one side of the chain as along the other, the rest at its ends. */
function alongBoth(count: number, ends: number): Bottom {
  const side = Math.max(1, Math.floor((count - ends) / 2));
  return { side, ends: count - 2 * side, counts: [count], own: count };
}

/** How the first rounds go: straight from the chain, or a floor that grows to the wall's count. */
function bottomOf(context: ShapeContext, floor: WorkedFabric, count: number): Bottom {
  const { thing, options: given } = context;
  if (given.floor !== 'flat') {
    return alongBoth(count, Number(given.ends));
  }
  const h = floor.rowHeight.value;
  const w = floor.stitchWidth.value;
  const { rounds, side } = ovalFloor(thing.width.value, thing.depth.value, h, w);
  if (rounds === 1) return alongBoth(count, FLOOR_ENDS);
  const each = Math.max(1, Math.round(flatIncrease(h, w)));
  refuseBeyond(rounds, 'courses', 'thing');
  refuseBeyond(2 * side + FLOOR_ENDS + each * rounds, 'stitches', 'thing');
  // what the last round cannot carry lying flat makes the chain longer
  const over = count - (2 * side + FLOOR_ENDS + each * (rounds - 1)) - FLOOR_SLACK;
  const long = side + Math.max(0, Math.ceil(over / 2));
  const counts = ovalCounts({ side: long, ends: FLOOR_ENDS }, each, rounds);
  const own = counts[rounds - 1]!;
  counts[rounds - 1] = count;
  return { side: long, ends: FLOOR_ENDS, counts, own };
}

/**
 * A further round of an oval floor: what it grows by belongs to its ends, half to each; along the straight sides it goes on plain (law,
 * handbook 4.1).
 */
function ovalRound({ side }: Bottom, before: number, ends: number, stitch: string, phase: number): Instruction[] {
  const straight = side - 1;
  const half = (count: number, end: 0 | 1) => {
    const both = count - 2 * straight;
    return end === 0 ? Math.floor(both / 2) : Math.ceil(both / 2);
  };
  const shrinks = ends < before;
  if (straight < 1 || shrinks || half(before, 0) < 1) return changeRound(before, ends, stitch, phase);
  return ([0, 1] as const).flatMap((end) => [
    work(stitch, straight),
    ...changeRound(half(before, end), half(ends, end), stitch, phase),
  ]);
}

/**
 * Rounds worked on both sides of a chain: a seamless bottom, folded flat or with an oval floor (handbook 5.4).
 *
 * @throws PlanProblem when a floor is asked for under something flat, or round
 */
function build(context: ShapeContext): Built {
  const { fabric, thing, options: given, schools } = context;
  const withFloor = given.floor === 'flat';
  refuseFloor(context, withFloor);
  const first = firstFabric(fabric).stitch;
  const floor = fabric.also(first.base, 'rounds');
  const { choice, n, girth } = tubeRound(context, fabric, withFloor ? 10 : 4, [], [evenEnds(context)]);
  const count = chosenCount(choice);
  const bottom = bottomOf(context, floor, count);
  const { skipped } = first.foundation(false);

  const floorSchools = withFloor ? baseSchools(context) : schools;
  const floorCourses: Course[] = bottom.counts.map((ends, index) => {
    const section = withFloor ? 'base' : 'wall';
    const before = bottom.counts[index - 1];
    const body =
      before === undefined
        ? aroundChain(first.base, skipped, bottom.side, bottom.ends)
        : ovalRound(bottom, before, ends, first.base, staggered(index));
    return before === undefined && floorSchools.rounds === 'joined'
      ? {
          ...roundOf(body, ends, first.base, { ...floorSchools, rounds: 'spiral' }, section),
          instructions: [...body, { do: 'join' }],
        }
      : roundOf(body, ends, first.base, floorSchools, section);
  });
  const wanted = withFloor ? wallAboveFloor(context) : wantedFront(context);
  const wallCount = bottom.counts.at(-1)!;
  // without a floor the round on the chain is the wall's first
  const done = withFloor ? 0 : 1;
  const { bands } = wallBands(wanted, fabric, done + 1);
  const wall = bandRounds(bands, wallCount, schools, 'wall', { upon: 'plain', done, on: first.base });
  const wallRounds = wall.length;
  const banded = fabric.bands ? { bands } : {};
  const runs: RoundRun[] = withFloor
    ? [
        {
          name: 'base',
          courses: closedUnder(floorCourses, floorSchools, schools),
          fabric: floor,
          wanted: thing.depth,
        },
        { name: 'wall', courses: wall, fabric, wanted, ...banded },
      ]
    : [{ name: 'wall', courses: [...floorCourses, ...wall], fabric, wanted, ...banded }];
  const chainCount = bottom.side + skipped;
  const foundation: Foundation = { kind: 'chain-both-sides', count: chainCount, edge: 'closed' };
  const rounds = runs.at(-1)!.courses.length;
  const r = alikeRows(chosen(rounds, 'rows', 'rounds of the wall'), fabric);
  const h = fabric.rowHeight;
  const t = fabric.thickness;
  const depth = sizedWithRim(
    withFloor
      ? sized('inside = rounds × h − πt/4', { r, h, t }, (v) => v.r * v.h - (Math.PI * v.t) / 4)
      : sized(
          'inside = rounds × h − D/2 − πt/4',
          { r, h, D: thing.depth, t },
          (v) => v.r * v.h - v.D / 2 - (Math.PI * v.t) / 4,
        ),
    context,
  );
  const height = derive('mm', 'height = rounds × h', { r, h }, (v) => v.r * v.h);
  const width = flatWidth(n, fabric.stitchWidth);
  const side = chosen(bottom.side, 'stitches', 'along each side of the chain');
  const piece = roundPiece({
    facing: facingOf(given),
    id: 'body',
    name: 'Pouch',
    foundation,
    foundationFigure: derive(
      'chains',
      'chain = s + skipped',
      { s: side, skipped: chosen(skipped, 'chains', 'skipped') },
      (v) => v.s + v.skipped,
    ),
    stitches: n,
    runs,
    main: fabric,
    width,
    height,
    summary: `Chain ${chainCount}, worked along both sides: ${bottom.counts.join(', ')}; ${wallRounds} rounds of ${wallCount}`,
    notes: { 1: given.chainLoops === 'shared' ? `${SHARED_LOOPS} ${MARK_FIRST_STITCH}` : MARK_FIRST_STITCH },
  });
  const up = withFloor ? height.value : height.value - bottomGive(thing.depth, t).value;
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width,
      height: withRim(height, context),
      thickness: sized('D + 2t', { D: thing.depth, t }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      depth: depth.of,
      wander: { courses: rounds, lies: 'round' },
      stretch: fabric.stitch.factors.stretchAcross,
      also: alsoOf(girth, depth),
      ...(withFloor ? { wants: [floorWant(bottom, floor, fabric)] } : {}),
    },
    mouth: { ...mouthOf(piece, bands.at(-1)!, wallCount), lies: 'flat' },
    assembly: tubeEnd(piece, 'Is the last round the height you want with the item in it?', given),
    ...tubeMouth(piece, schools),
    advice: [...pickAdvice(choice, fabric.stitch.rounds), ...floorAdvice(bottom, floor)],
    views: tubeViews({
      context,
      wall: fabric,
      n: wallCount,
      rounds,
      piece,
      height: height.value,
      up,
      ...(withFloor ? floorParts(bottom, floor) : {}),
      words: 'The pouch laid flat',
      begins: withFloor ? 'floor' : 'bottom',
    }),
  };
}

/** Half the count, less the ends, lies along each side of the chain. */
function evenEnds({ options: given }: ShapeContext): CountCondition {
  const ends = given.floor === 'flat' ? FLOOR_ENDS : Number(given.ends);
  return {
    id: 'both-sides',
    text: `even, with ${ends} at the ends and as many along one side of the chain as along the other`,
    allows: (count) => count % 2 === 0 && count > ends,
  };
}

/** A wall above a floor turns up by a quarter of the fabric's thickness (law, handbook 3). */
function wallAboveFloor(context: ShapeContext): Figure<'mm'> {
  const { thing, fit, fabric } = context;
  const wall = derive(
    'mm',
    'wall = H + cover ease + πt/4',
    { H: thing.height, cover: fit.coverEase, t: fabric.thickness },
    (v) => v.H + v.cover + (Math.PI * v.t) / 4,
  );
  return lessRim(wall, context);
}

/** Its floor, flat, as large round as the wall: along both sides of the chain and around its ends. */
function floorWant({ side, counts, own }: Bottom, floor: WorkedFabric, wall: WorkedFabric): Want {
  const { w, h, also } = baseSizes(floor, wall);
  return baseSuits(
    {
      flat: (sample) => 2 * side * w(sample) + 2 * Math.PI * counts.length * h(sample),
      stitches: (sample) => own * w(sample),
      wall: (sample) => counts.at(-1)! * sample.w,
    },
    also,
  );
}

/** What the last round of a floor has to make up for, where it is too much to lie flat. */
function floorAdvice({ counts }: Bottom, floor: WorkedFabric): Advice[] {
  const [last = 0, before] = [counts.at(-1), counts.at(-2)];
  if (before === undefined) return [];
  const flat = flatIncrease(floor.rowHeight.value, floor.stitchWidth.value);
  const more = last - before;
  if (more >= 0 && more <= flat + FLOOR_SLACK + 1) return [];
  return [
    {
      id: 'floor-against-wall',
      severity: 'advice',
      text:
        more < 0
          ? `The floor ends on ${before} and the wall has ${last}: its last round takes in ${-more}, and cups.`
          : `The floor’s last round grows by ${more}, where ${formatNumber(flat)} lie flat: it ruffles.`,
      repair:
        more < 0
          ? 'Use a looser fit, or no floor.'
          : 'Use a closer fit, or a stitch for the wall that is as wide as the floor’s.',
      at: 'shape.floor',
    },
  ];
}

function floorParts(
  { side, counts }: Bottom,
  floor: WorkedFabric,
): { base: Part[]; baseSize: { width: number; height: number } } {
  const across = 2 * counts.length * floor.rowHeight.value;
  const width = side * floor.stitchWidth.value + across;
  const base: Part[] = [
    panel({
      role: 'base',
      label: 'base',
      sub: `${counts.length} rounds to ${counts.at(-1)}`,
      form: 'oval',
      w: width,
      h: across,
      rows: counts.length,
      stitches: counts.at(-1)!,
      stacked: 'out',
      ...floorDrawn(counts, floor.stitch.id),
    }),
    floorTail(across / 2, across / 2),
  ];
  return { base, baseSize: { width, height: across } };
}

function refuseFloor({ thing, fabric }: ShapeContext, withFloor: boolean): void {
  if (!withFloor) return;
  const { depth, width } = thing;
  const least = fabric.also(fabric.stitch.base, 'rounds').rowHeight.value;
  if (depth.value < least)
    throw new PlanProblem([
      {
        path: 'shape.floor',
        message: `A base needs ${leastToken(least)} of depth or more, a round each side of the chain; this is ${mmToken(depth.value)} deep. Leave the base out.`,
      },
    ]);
  if (width.value - depth.value < fabric.stitchWidth.value)
    throw new PlanProblem([
      {
        path: 'shape.floor',
        message: `An oval base is longer than it is deep; ${mmToken(width.value)} by ${mmToken(depth.value)} needs a round one. Use a round base with sides, or no base.`,
      },
    ]);
}

export const roundChain: ShapeDefinition = {
  id: 'round-chain',
  name: 'Oval base, in the round',
  summary: 'Rounds along both sides of a chain: a seamless bottom, flat or with a floor.',
  why: 'No seam at all.',
  worked: 'rounds',
  bands: true,
  options,
  takes: {
    flat: true,
    round: true,
    rods: true,
    several: true,
    given: true,
  },
  offers: ['open-mouth', 'straight-mouth', 'round-mouth', 'upright-columns', 'free-back', 'bundle'],
  build,
};
