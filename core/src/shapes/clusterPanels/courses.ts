import { inOne, repeat, uncounted, work, type GroupPart, type Instruction } from '../../craft/fabric';
import type { Course, ShapeSchools } from '../definition';
import { roundOf } from '../common/courses';

/** Doubles in a cluster, and so the columns it stands over. */
export const CLUSTER = 3;

/** What a strip is begun from: groups along a chain, or two of them a row from a ring (handbook 5.7). */
export type StripStart = 'chain' | 'ring';

/**
 * Groups along the long and the short sides of round j, from corner to corner: round a strip of c groups on a chain `c + j` and
 * `j`, round m rows from a ring `(m - 1)/2 + j` and `2 + j` (law, handbook 5.7 and 14).
 */
export function clusterSides(start: StripStart, length: number, j: number): { long: number; short: number } {
  return start === 'chain' ? { long: length + j, short: j } : { long: (length - 1) / 2 + j, short: 2 + j };
}

/** Stitches of round j: three a group, and a chain at each corner (law, handbook 5.7). */
export function clusterRound(start: StripStart, length: number, j: number): number {
  const { long, short } = clusterSides(start, length, j);
  return CLUSTER * 2 * (long + short) + 4;
}

const THREE: GroupPart = { stitch: 'double', count: CLUSTER };
const SPACE: GroupPart = { chains: 1, spans: 1 };

const inPlace = (parts: readonly GroupPart[], into: 'ring' | 'space' | 'end' | 'start'): Instruction => ({
  do: 'group',
  parts,
  over: into === 'space' ? 1 : 0,
  into,
  times: 1,
});

const CORNER = inPlace([THREE, SPACE, THREE], 'space');

/** Half a corner and its chain, where the round ends; its other half began the round. */
const LAST_CORNER = inPlace([THREE, SPACE], 'space');

/** A cluster between two corners, around an end of the strip. */
const BETWEEN_CORNERS: readonly GroupPart[] = [SPACE, THREE, SPACE];

const skipThree: Instruction = { do: 'skip', times: CLUSTER, into: 'stitch' };

const clusters = (into: 'gap' | 'row-end' | 'corner' | 'space', over: number, times = 1) =>
  inOne('double', CLUSTER, into, over, times);

/** Along a side of so many clusters: one in each gap between them. */
const alongSide = (side: number): Instruction[] =>
  side > 1 ? [skipThree, clusters('gap', CLUSTER, side - 1)] : [skipThree];

/** A round upon a round: from the corner it ended in, along a long side, a short one, and the same again. */
function furtherRound(before: { long: number; short: number }): Instruction[] {
  const [long, short] = [alongSide(before.long), alongSide(before.short)];
  return [clusters('corner', 0), ...long, CORNER, ...short, CORNER, ...long, CORNER, ...short, LAST_CORNER];
}

/** Clusters in every third chain, and a double in the last one: so that there is a gap after the last of them too. */
function chainStrip(c: number): Instruction[] {
  const skip: Instruction = { do: 'skip', times: 1, into: 'chain' };
  return [
    { do: 'skip', times: 3, into: 'chain' },
    ...repeat([skip, inOne('double', CLUSTER, 'chain'), skip], c),
    work('double', 1, 'chain'),
  ];
}

/**
 * The first round around them: in each of the gaps, round the strip's end, the same along the chain's other side, and round the
 * end it began at. The double the row ended with, and the chain below it, are left out.
 */
function roundTheChain(c: number): Instruction[] {
  const side = [clusters('gap', CLUSTER, c), clusters('gap', 0)];
  const end = inPlace(BETWEEN_CORNERS, 'end');
  const leftOut = (into: 'stitch' | 'chain'): Instruction => ({ do: 'skip', times: 1, into });
  return [
    leftOut('stitch'),
    ...side,
    end,
    { do: 'other-side', chains: CLUSTER * c + 1 },
    ...side,
    leftOut('chain'),
    end,
  ];
}

/** A row of two clusters with a chain between them, into a ring or into that chain's space of the row before. */
function ringRow(first: boolean): Instruction[] {
  const up = uncounted('double', 'plain');
  if (first) return [up, inPlace([THREE, SPACE, THREE], 'ring')];
  return [up, skipThree, CORNER, skipThree];
}

/**
 * The first round around them, not turned: from the last row's end a cluster in every second row end, two in that of row 1, one in
 * the ring, the other side alike, one in the last row's space, and half a corner where it began (handbook 14).
 */
function roundTheRows(m: number): Instruction[] {
  const skip: Instruction = { do: 'skip', times: 1, into: 'row-end' };
  const between = (m - 3) / 2;
  const corner: Instruction = { do: 'group', parts: [THREE, SPACE, THREE], over: 1, into: 'row-end', times: 1 };
  return [
    { do: 'along-sides', rows: m },
    clusters('row-end', 1),
    ...repeat([skip, clusters('row-end', 1)], between),
    skip,
    corner,
    inPlace([THREE], 'ring'),
    corner,
    ...repeat([skip, clusters('row-end', 1)], between),
    skip,
    corner,
    skipThree,
    clusters('space', 1),
    skipThree,
    inPlace([THREE, SPACE], 'start'),
  ];
}

/** Columns of a row of two clusters: those, and the chain between them. */
const RING_ROW = 2 * CLUSTER + 1;

function stripRows(start: StripStart, length: number): Course[] {
  const row = (instructions: Instruction[], ends: number, turned: boolean): Course => ({
    instructions,
    ends,
    kind: 'row',
    turned,
    section: 'strip',
  });
  if (start === 'chain') return [row(chainStrip(length), CLUSTER * length + 1, false)];
  const further = row(ringRow(false), RING_ROW, true);
  return [row(ringRow(true), RING_ROW, false), ...Array.from({ length: length - 1 }, () => further)];
}

/**
 * The strip and so many rounds around it, each joined; the first begins where the strip ends: turned back along the row of one
 * from a chain, and straight on down the ends of rows from a ring (law, handbook 4.4).
 * @param length groups along a chain, or rows from a ring: an odd number, 3 or more
 */
export function clusterCourses(
  start: StripStart,
  length: number,
  rounds: number,
  schools: ShapeSchools,
  section: string,
): { strip: Course[]; around: Course[] } {
  const joined: ShapeSchools = { ...schools, rounds: 'joined', turningChainCounts: false };
  const first = start === 'chain' ? roundTheChain(length) : roundTheRows(length);
  const around = Array.from({ length: rounds }, (_, index): Course => {
    const j = index + 1;
    const body = j === 1 ? first : furtherRound(clusterSides(start, length, j - 1));
    const course = roundOf(body, clusterRound(start, length, j), 'double', joined, section);
    return { ...course, turned: j === 1 && start === 'chain' };
  });
  return { strip: stripRows(start, length), around };
}
