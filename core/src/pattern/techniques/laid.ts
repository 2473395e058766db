import { BASES, type BaseId, type Instruction, type StitchPattern } from '../../craft/fabric';
import { placesOf, tracedRow, type WorkedPlace } from '../referee';
import type { Into } from './moves';
import { TECHNIQUES } from './techniques';

/** A place in a drawn piece of fabric: x in columns from its left edge, y in heights of a short stitch from the chain, upwards. */
export interface LaidPoint {
  x: number;
  y: number;
}

/** One stitch, space or chain as it lies in a piece of fabric. */
export interface LaidStitch {
  row: number;
  /** Whether its back is seen. */
  wrong: boolean;
  one: Instruction;
  place: WorkedPlace;
  top: LaidPoint;
  foot: LaidPoint;
  /** Chains that bring the hook up and are no stitch: they lie beside the row, at the edge it begins from. */
  beside?: true;
}

/** Rows or rounds of a stitch pattern, each stitch in its place. */
export interface LaidCloth {
  stitches: LaidStitch[];
  /** The tops of each row as they lie from left to right. */
  tops: LaidPoint[][];
  /** How high each row reaches above the chain. */
  floors: number[];
}

/** Turns of yarn around a post, by its height. */
export const TURNS: Partial<Record<BaseId, number>> = { 'half-double': 1, double: 1, treble: 2 };

interface Laying {
  columns: number;
  rows: number;
  turningChainCounts: boolean;
  /** Rows that are turned, or rounds with the same side always in front. */
  turned: boolean;
}

/** A stitch in its place on the way there, whose column is known. */
type LaidPlace = WorkedPlace & LaidPoint;

/**
 * A stitch pattern worked over a chain, stitch by stitch, by the referee's own hook; the right-hander's first row runs from
 * the right.
 *
 * @returns as many rows as could be worked
 * @source handbook 14
 */
export function laidCloth(pattern: StitchPattern, { columns, rows, turningChainCounts, turned }: Laying): LaidCloth {
  const { skipped } = pattern.foundation(turningChainCounts);
  const laid: LaidCloth = { stitches: [], tops: [], floors: [] };
  let there: LaidPlace[] = groundOf(columns, turned ? 'chain' : 'stitch');
  let floor = 0;
  for (let row = 1; row <= rows; row += 1) {
    const below = row > 1 ? 'pattern' : turned ? 'chain' : 'plain';
    const context = { stitches: columns, course: row, below, turningChainCounts } as const;
    const course = turned ? pattern.row(context) : pattern.round(context);
    const high = rowHigh(pattern, row, turned);
    const fromRight = !turned || row % 2 === 1;
    const met = fromRight ? [...there].reverse() : there;
    const traced = tracedOver(course, met, row === 1 && turned ? skipped : 0);
    if (!traced) break;
    const y = floor + high;
    const made: LaidPlace[] = [];
    let at = 0;
    for (const { one, into, made: places } of traced) {
      if (one.do === 'turning-chain' && !one.counts) {
        const x = fromRight ? columns : 0;
        const place: WorkedPlace = { kind: 'chain', columns: 1 };
        laid.stitches.push({ row, wrong: false, one, place, beside: true, top: { x, y }, foot: { x, y: floor } });
      }
      const feet = into.filter((place): place is LaidPlace => 'x' in place);
      for (const [index, place] of places.entries()) {
        const column = at + place.columns / 2;
        at += place.columns;
        const x = fromRight ? columns - column : column;
        made.push({ ...place, x, y });
        const stands = { x: feet.length > 0 ? middleOf(feet) : x, y: floor };
        const lower = row > 1 ? rowHigh(pattern, row - 1, turned) : 0;
        const foot = footOf(one, stands, { feet, index, before: made.at(-2), below: lower });
        laid.stitches.push({ row, wrong: turned && row % 2 === 0, one, place, top: { x, y }, foot });
      }
    }
    floor = y;
    laid.floors.push(floor);
    there = fromRight ? [...made].reverse() : made;
    laid.tops.push(there.map(({ x, y: top }) => ({ x, y: top })));
  }
  return laid;
}

/** How high a row of it is drawn, in heights of a short stitch: never so low that its yarn could not be told apart. */
export function rowHigh(pattern: StitchPattern, row: number, turned = true): number {
  const { rowShares, roundShares, factors } = pattern;
  const shares = turned ? rowShares : roundShares;
  const share = shares?.[(row - 1) % shares.length] ?? 1;
  const high = turned ? factors.rowHeight / BASES.single.rowHeight : factors.roundHeight / BASES.single.roundHeight;
  return Math.max(0.7, high * share);
}

/** A row worked over what it meets; the chains that row 1 skips lie beyond it. */
function tracedOver(course: readonly Instruction[], met: LaidPlace[], skipped: number) {
  const instructions: readonly Instruction[] = met.at(-1)?.kind === 'top' ? [...course, { do: 'last-in-top' }] : course;
  const beyond = Math.max(0, chainsBefore(instructions, skipped));
  return tracedRow(instructions, [...placesOf(beyond, 'chain'), ...met]) ?? tracedRow(instructions, met);
}

interface Around {
  /** The tops it is worked into, and which of the stitches made there it is. */
  feet: readonly LaidPoint[];
  index: number;
  /** The stitch made before it, and how high the row below is. */
  before: LaidPoint | undefined;
  below: number;
}

/** Where the hook first goes in for a stitch, as its technique tells it. */
const firstInto = (stitch: string): Into | undefined =>
  TECHNIQUES.find((one) => one.stitch === stitch)?.moves?.flatMap((move) => (move.do === 'in' ? [move.into] : []))[0];

/** Where a stitch’s legs come from: crossed ones from each other’s place, a spike from a row farther down. */
function footOf(one: Instruction, stands: LaidPoint, { feet, index, before, below }: Around): LaidPoint {
  if (one.do === 'crossed') return { x: feet[feet.length - 1 - index]?.x ?? stands.x, y: stands.y };
  if (one.do === 'wrapped' && before) return { x: before.x, y: (before.y + stands.y) / 2 };
  if (one.do !== 'work') return stands;
  const into = firstInto(one.stitch);
  if (into?.kind === 'below') return { x: stands.x, y: stands.y - 0.85 * below };
  // it begins where the stitch before it ended
  if (into?.kind === 'stitch' && into.at === 0 && before) return { x: (stands.x + before.x) / 2, y: stands.y };
  return stands;
}

/** Chains that row 1 leaves out before its first stitch. */
function chainsBefore(instructions: readonly Instruction[], skipped: number): number {
  const [first] = instructions;
  if (first?.do !== 'skip') return 0;
  return first.counts ? skipped - 1 : skipped;
}

const groundOf = (columns: number, kind: 'chain' | 'stitch'): LaidPlace[] =>
  Array.from({ length: columns }, (_, index) => ({ kind, columns: 1, x: index + 0.5, y: 0 }));

const middleOf = (places: readonly LaidPoint[]): number => places.reduce((sum, { x }) => sum + x, 0) / places.length;
