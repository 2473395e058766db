import { inOne, repeat, uncounted, type GroupPart, type Instruction } from '../../craft/fabric';
import type { Course, ShapeSchools } from '../definition';
import { roundOf } from '../common/courses';

/** Doubles in a cluster, and so the columns it stands over. */
export const CLUSTER = 3;

/** What a strip is begun from: groups along a chain, or two of them a row from a ring (handbook 5.7). */
export type StripStart = 'chain' | 'ring';

/**
 * Stitches of round j round a strip of c clusters: `3 (2c + 4j) + 4`. The long sides have c + j clusters, the short ones
 * j, and each corner a chain between two of them (law, handbook 5.7). A strip of m rows from a ring has as many as one of
 * m − 1 clusters.
 */
export function clusterRound(c: number, j: number): number {
  return CLUSTER * (2 * c + 4 * j) + 4;
}

const THREE: GroupPart = { stitch: 'double', count: CLUSTER };
const SPACE: GroupPart = { chains: 1, spans: 1 };

const inPlace = (parts: readonly GroupPart[], into: 'ring' | 'space' | 'end'): Instruction => ({
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

const clusters = (into: 'gap' | 'row-end' | 'corner', over: number, times = 1) =>
  inOne('double', CLUSTER, into, over, times);

/** Along a side of so many clusters: one in each gap between them. */
const alongSide = (side: number): Instruction[] =>
  side > 1 ? [skipThree, clusters('gap', CLUSTER, side - 1)] : [skipThree];

/** A round upon a round: from the corner it ended in, along a long side, a short one, and the same again. */
function furtherRound(c: number, j: number): Instruction[] {
  const long = alongSide(c + j - 1);
  const short = alongSide(j - 1);
  return [clusters('corner', 0), ...long, CORNER, ...short, CORNER, ...long, CORNER, ...short, LAST_CORNER];
}

/** Clusters in every third chain. */
function chainStrip(c: number): Instruction[] {
  const skip: Instruction = { do: 'skip', times: 1, into: 'chain' };
  return [{ do: 'skip', times: 3, into: 'chain' }, ...repeat([skip, inOne('double', CLUSTER, 'chain'), skip], c)];
}

/**
 * The first round around them: before and after each cluster, round the strip's end, the same along the chain's other side, and
 * round the end it began at.
 */
function roundTheChain(c: number): Instruction[] {
  const side = [clusters('gap', CLUSTER, c), clusters('gap', 0)];
  const end = inPlace(BETWEEN_CORNERS, 'end');
  return [...side, end, { do: 'other-side', chains: CLUSTER * c }, ...side, end];
}

/** A row of two clusters with a chain between them, into a ring or into that chain's space of the row before. */
function ringRow(first: boolean): Instruction[] {
  const up = uncounted('double', 'plain');
  if (first) return [up, inPlace([THREE, SPACE, THREE], 'ring')];
  return [up, skipThree, CORNER, skipThree];
}

/** The first round around them: a cluster at the end of each row, one in the ring, the other side alike, one in the last row. */
function roundTheRows(m: number): Instruction[] {
  const side = clusters('row-end', 1, m);
  return [
    { do: 'along-sides', rows: m },
    side,
    inPlace(BETWEEN_CORNERS, 'ring'),
    side,
    skipThree,
    inPlace(BETWEEN_CORNERS, 'space'),
    skipThree,
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
  if (start === 'chain') return [row(chainStrip(length), CLUSTER * length, false)];
  const further = row(ringRow(false), RING_ROW, true);
  return [row(ringRow(true), RING_ROW, false), ...Array.from({ length: length - 1 }, () => further)];
}

/**
 * The strip and so many rounds around it, each joined; the first begins where the strip ends, turned.
 * @param length groups along a chain, or rows from a ring
 */
export function clusterCourses(
  start: StripStart,
  length: number,
  rounds: number,
  schools: ShapeSchools,
  section: string,
): { strip: Course[]; around: Course[] } {
  const c = start === 'chain' ? length : length - 1;
  const joined: ShapeSchools = { ...schools, rounds: 'joined', turningChainCounts: false };
  const first = start === 'chain' ? roundTheChain(length) : roundTheRows(length);
  const around = Array.from({ length: rounds }, (_, index): Course => {
    const j = index + 1;
    const body = j === 1 ? first : furtherRound(c, j);
    return { ...roundOf(body, clusterRound(c, j), 'double', joined, section), turned: j === 1 };
  });
  return { strip: stripRows(start, length), around };
}
