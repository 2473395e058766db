import { MARK_FIRST_STITCH } from './common/markers';
import { changeRound, flatIncrease, ovalCounts, ovalFloor, type CountCondition, refuseBeyond } from '../counts';
import { inOne, work, type Instruction, type WorkedFabric } from '../fabric';
import { chosen, derive, PlanProblem, type Figure } from '../figure';
import { bottomGive } from '../fit';
import { formatLength, type Field } from '../units';
import type { Built, Course, Foundation, ShapeContext, ShapeDefinition } from './definition';
import { panel, type Part } from '../drawing';
import { chosenCount, pickAdvice } from './common/choice';
import { roundCourses, roundOf } from './common/courses';
import { wantedFront } from './common/flat';
import { fastenOff } from './common/joins';
import { roundPiece, roundsFor, type RoundRun } from './common/roundPiece';
import { sized } from './common/sized';
import { flatWidth, tubeRound, tubeViews } from './common/tube';

/** Stitches more at both ends together when a flat floor begins, in single (law, handbook 4.1). */
const FLOOR_ENDS = 6;

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
];

/**
 * The first round, along both sides of a chain (handbook 4.1, oval).
 * @param side stitches along each side
 * @param ends stitches more at the two ends together, even
 */
export function aroundChain(stitch: string, skipped: number, side: number, ends: number): Instruction[] {
  const last = inOne(stitch, 1 + ends / 2, 'chain');
  const straight = side > 1 ? [work(stitch, side - 1, 'chain'), last] : [last];
  const along = ends === 0 ? [work(stitch, side, 'chain')] : straight;
  return [{ do: 'skip', times: skipped, into: 'chain' }, ...along, { do: 'other-side', chains: side }, ...along];
}

interface Bottom {
  side: number;
  ends: number;
  /** Rounds of the floor after the first, growing, the last of them to the wall's count. */
  counts: number[];
}

/** How the first rounds go: straight from the chain, or a floor that grows to the wall's count. */
function bottomOf(context: ShapeContext, floor: WorkedFabric, count: number): Bottom {
  const { thing, options: given } = context;
  if (given.floor !== 'flat') {
    const ends = Number(given.ends);
    return { side: (count - ends) / 2, ends, counts: [count] };
  }
  const h = floor.rowHeight.value;
  const w = floor.stitchWidth.value;
  const { rounds, side } = ovalFloor(thing.width.value, thing.depth.value, h, w);
  if (rounds === 1) return { side: Math.max(1, (count - FLOOR_ENDS) / 2), ends: FLOOR_ENDS, counts: [count] };
  const each = Math.max(1, Math.round(flatIncrease(h, w)));
  refuseBeyond(rounds, 'courses', 'thing');
  refuseBeyond(2 * side + FLOOR_ENDS + each * rounds, 'stitches', 'thing');
  const counts = ovalCounts({ side, ends: FLOOR_ENDS }, each, rounds);
  counts[rounds - 1] = count;
  return { side, ends: FLOOR_ENDS, counts };
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
  const floor = fabric.also(fabric.stitch.base, 'rounds');
  const { choice, n, girth } = tubeRound(context, fabric, withFloor ? 10 : 4, [evenEnds(context)]);
  const count = chosenCount(choice);
  const bottom = bottomOf(context, floor, count % 2 === 0 ? count : count + 1);
  const { stitch } = fabric;
  const { skipped } = stitch.foundation(false);

  const floorCourses: Course[] = bottom.counts.map((ends, index) => {
    const section = withFloor ? 'base' : 'wall';
    const before = bottom.counts[index - 1];
    const body =
      before === undefined
        ? aroundChain(stitch.base, skipped, bottom.side, bottom.ends)
        : changeRound(before, ends, stitch.base, index % 2 === 0 ? 0.5 : 0);
    return roundOf(body, ends, stitch.base, before === undefined ? { ...schools, rounds: 'spiral' } : schools, section);
  });
  const wanted = withFloor ? wallAboveFloor(context) : wantedFront(context);
  // without a floor the round on the chain is the wall's first
  const wallRounds = Math.max(1, roundsFor(wanted, fabric) - (withFloor ? 0 : 1));
  const wallCount = bottom.counts.at(-1)!;
  const wall = roundCourses(stitch, wallCount, wallRounds, schools, 'wall', 'plain');
  const runs: RoundRun[] = withFloor
    ? [
        { name: 'base', courses: floorCourses, fabric: floor, wanted: thing.depth },
        { name: 'wall', courses: wall, fabric, wanted },
      ]
    : [{ name: 'wall', courses: [...floorCourses, ...wall], fabric, wanted }];
  const chainCount = bottom.side + skipped;
  const foundation: Foundation = { kind: 'chain-both-sides', count: chainCount, edge: 'closed' };
  const rounds = runs.at(-1)!.courses.length;
  const r = chosen(rounds, 'rows', 'rounds of the wall');
  const h = fabric.rowHeight;
  const t = fabric.thickness;
  const depth = withFloor
    ? sized('inside = rounds × h − πt/4', { r, h, t }, (v) => v.r * v.h - (Math.PI * v.t) / 4)
    : sized(
        'inside = rounds × h − D/2 − πt/4',
        { r, h, D: thing.depth, t },
        (v) => v.r * v.h - v.D / 2 - (Math.PI * v.t) / 4,
      );
  const height = derive('mm', 'height = rounds × h', { r, h }, (v) => v.r * v.h);
  const width = flatWidth(n, fabric.stitchWidth);
  const side = chosen(bottom.side, 'stitches', 'along each side of the chain');
  const piece = roundPiece({
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
    summary: `Chain ${chainCount}, round both its sides: ${bottom.counts.join(', ')}; ${wallRounds} rounds of ${wallCount}`,
    notes: { 1: MARK_FIRST_STITCH },
  });
  const up = withFloor ? height.value : height.value - bottomGive(thing.depth, t).value;
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: { width, height, thickness: sized('D + 2t', { D: thing.depth, t }, (v) => v.D + 2 * v.t).figure },
    choices: [choice],
    model: { girth: girth.of, depth: depth.of, stretch: stitch.factors.stretchAcross },
    mouth: { piece: 'body', from: piece.rows - wall.length + 1, to: piece.rows, stitches: wallCount },
    assembly: [
      {
        ...fastenOff(0, 'nothing'),
        text: 'Fasten off.',
        check: {
          look: 'Is the last round the height you want with the thing in it?',
          repair: 'Work or take back a round before you cut.',
        },
      },
    ],
    advice: pickAdvice(choice, stitch.rounds),
    views: tubeViews({
      context,
      wall: fabric,
      n: wallCount,
      rounds,
      height: height.value,
      up,
      ...(withFloor ? floorParts(bottom, floor) : {}),
      words: 'The pouch laid flat',
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
function wallAboveFloor({ thing, fit, fabric }: ShapeContext): Figure<'mm'> {
  return derive(
    'mm',
    'wall = H + cover ease + πt/4',
    { H: thing.height, cover: fit.coverEase, t: fabric.thickness },
    (v) => v.H + v.cover + (Math.PI * v.t) / 4,
  );
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
    }),
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
        message: `A floor takes ${formatLength(least)} of depth or more, a round each side of the chain; this is ${formatLength(depth.value)} deep. Take it without a floor.`,
      },
    ]);
  if (width.value - depth.value < fabric.stitchWidth.value)
    throw new PlanProblem([
      {
        path: 'shape.floor',
        message: `An oval floor is longer than it is deep; ${formatLength(width.value)} by ${formatLength(depth.value)} wants a round one. Take a disc and wall, or no floor.`,
      },
    ]);
}

export const roundChain: ShapeDefinition = {
  id: 'round-chain',
  name: 'Round a chain',
  summary: 'Rounds along both sides of a chain: a seamless bottom, flat or with a floor.',
  why: 'No seam at all.',
  worked: 'rounds',
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
