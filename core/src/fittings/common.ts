import { BUTTON_THICKNESS_MM, leanAfter, shiftToFold } from '../craft/counts';
import { type Instruction, type WorkedFabric } from '../craft/fabric';
import { chosen, derive, PlanProblem, type Figure } from '../base/figure';
import type { Built, Cloth, Course, MouthPlace, Foundation, Piece, ShapeSchools } from '../shapes';
import { rowPiece } from '../shapes/common/rowPiece';
import type { Free, Work } from '../piece';
import type { Placed } from './definition';
import { type Field, leastToken, mostToken, plural, typedToken } from '../base/units';

type Mm = Figure<'mm'>;

/** The front of the finished piece as it is seen: its size and its counts. */
export interface Face {
  x: number;
  y: number;
  width: number;
  height: number;
  stitches: number;
  rows: number;
}

/** The front face in the folded view, below the flap where there is one. */
export function frontOf(built: Built): Face {
  const cloths = clothsOf(built, 'folded').filter(({ role }) => role !== 'flap');
  const cloth = cloths.find(({ role }) => role !== 'turn' && role !== 'span' && role !== 'back') ?? cloths[0]!;
  const upright = cloth.rows.stacked === 'x';
  return {
    x: cloth.x,
    y: cloth.y,
    width: cloth.w,
    height: cloth.h,
    stitches: upright ? cloth.rows.count : cloth.rows.stitches,
    rows: upright ? cloth.rows.stitches : cloth.rows.count,
  };
}

/** How far the flap comes down in the folded view, mm; none where there is no flap. */
export function flapDown(built: Built): number {
  return clothsOf(built, 'folded').find(({ role }) => role === 'flap')?.h ?? 0;
}

/** The cloth of a view: its flat parts of fabric. */
export function clothsOf(built: Built, view: 'flat' | 'folded'): Cloth[] {
  const parts = built.views.find(({ id }) => id === view)?.parts ?? [];
  return parts.filter((part): part is Cloth => part.type === 'cloth');
}

/** A length as the maker chose it, from an option. */
export function lengthOf(value: unknown, from = 'chosen'): Mm {
  return chosen(Number(value), 'mm', from);
}

/**
 * Refuses a fitting at one of the plan's entries.
 * @throws PlanProblem always
 */
export function refuse(path: string, message: string): never {
  throw new PlanProblem([{ path, message }]);
}

/**
 * Refuses a place that would leave something beyond what it sits on.
 * @param place its middle from an edge, the nearest and the farthest it may be, mm
 * @throws PlanProblem naming both
 */
export function refuseBeside(
  { mm, least, most }: { mm: number; least: number; most: number },
  path: string,
  from = 'from the side',
  on = 'the front',
): void {
  if (mm >= least && mm <= most) return;
  refuse(
    path,
    `${typedToken(mm)} ${from} does not leave it on ${on}. Make it ${leastToken(least)} to ${mostToken(most)}.`,
  );
}

/** How much a chain or wall grows under a load (prior, ours; a hang test replaces it; handbook 6). */
export function growth(stretch: number, loadG: number, columns: number): number {
  return stretch * (1 - Math.exp(-loadG / (40 * Math.max(1, columns))));
}

/** Whole chains for a length, rounded up, and what they measure. */
export function chainsFor(length: Mm, wc: Mm): { chains: Figure<'chains'>; made: Mm } {
  const chains = derive('chains', 'chains = length / wc, rounded up', { length, wc }, (v) =>
    Math.ceil(v.length / v.wc - 1e-9),
  );
  return {
    chains,
    made: derive('mm', 'chains × wc', { n: chosen(chains.value, 'chains', 'whole chains'), wc }, (v) => v.n * v.wc),
  };
}

/** So many chains by themselves, with tails left at both ends; 0 to weave them in. */
export function cord(id: string, lead: string, chains: number, tails: number): Free {
  return {
    do: 'free',
    id,
    lead,
    courses: [[{ do: 'chain', chains, spans: chains, as: 'chains' }]],
    times: 1,
    tails,
  };
}

/** How large the front is, mm: what its flap covers too. */
export function faceOf(built: Built): { wide: number; high: number } {
  const { width, y, height } = frontOf(built);
  return { wide: width, high: built.flap?.frontMm ?? y + height };
}

type Fill = Extract<Work, { do: 'fill' }>;

/** Marked with the thing inside, and sewn on with thread when it is out again (handbook 6). */
export function sewnWhere(id: string, marked: Pick<Fill, 'says' | 'at'>, says: string): Work[] {
  return [{ do: 'fill', ...marked }, { do: 'empty' }, { do: 'sew', id, says, mm: 0, layers: 'front' }];
}

/**
 * A row or round with its stitches dealt out anew; how it begins and ends stays. Only for courses upon stitches.
 * @param segments what takes the place of its stitches, in its own base stitch
 */
export function withStitches(course: Course, segments: readonly Instruction[]): Instruction[] {
  const [first] = course.instructions;
  const joined = course.instructions.filter((one) => one.do === 'join');
  if (first?.do === 'skip' && first.into === 'chain') return [first, ...segments, ...joined];
  if (first?.do !== 'turning-chain') return [...segments, ...joined];
  if (!first.counts) return [first, ...segments, ...joined];
  const [stitches, ...others] = segments;
  // the chain is its first stitch: where something else begins it, it is none
  if (stitches?.do !== 'work' || stitches.times < 2 || stitches.into !== 'stitch')
    return [{ ...first, counts: false }, ...segments, ...joined.map((): Instruction => ({ do: 'join' }))];
  const skip: Instruction = { do: 'skip', times: 1, into: 'stitch' };
  return [first, skip, { ...stitches, times: stitches.times - 1 }, ...others, ...joined];
}

/** The stitch a course is plainly made of; where it is of several, the base of its fabric. */
export function ownStitch({ instructions }: Course, { stitch }: WorkedFabric): string {
  const works = instructions.filter((one) => one.do === 'work');
  const plain = instructions.every((one) => ['work', 'turning-chain', 'skip', 'join'].includes(one.do));
  return plain && works.length === 1 && works[0]!.into === 'stitch' ? works[0]!.stitch : stitch.base;
}

/** What an opening in a wall needs at the least: a plain round, the round it is left in, and the round over it. */
export const LEAST_ROUNDS = 3;

/**
 * The mouth of a tube.
 * @throws PlanProblem where that is the chain it begins on
 */
export function mouthAt({ mouth }: Built, path: string): MouthPlace {
  return (
    mouth ??
    refuse(
      `${path}.kind`,
      'Its opening is the chain it begins on, and nothing is worked there any more. Let the chain become the bottom, or leave this off.',
    )
  );
}

/** An open wall has spaces where a fitting wants stitches. */
export function refuseOpen(fabric: WorkedFabric, what: string, path: string): void {
  if (!fabric.stitch.level) return;
  refuse(
    `${path}.kind`,
    `${what} is worked into plain stitches, and “{${fabric.stitch.id}}” leaves spaces. Use another stitch for the wall, or remove it.`,
  );
}

interface StripWish {
  id: string;
  name: string;
  times?: number;
  fabric: WorkedFabric;
  /** Wanted width and length. */
  width: Mm;
  length: Mm;
  edge?: Foundation['edge'];
  schools: ShapeSchools;
}

/** A small rectangle in plain rows: a pocket, a loop, a tab, a strap worked across. */
export function smallPiece({ id, name, times = 1, fabric, width, length, edge = 'seam', schools }: StripWish): Piece {
  const { repeat, edge: plus } = fabric.stitch.rows;
  const count = (mm: number) =>
    plus + repeat * Math.max(1, Math.round((mm / fabric.stitchWidth.value - plus) / repeat));
  const stitches = derive('stitches', 'n = width / w, to the nearest', { width, w: fabric.stitchWidth }, () =>
    count(width.value),
  );
  return rowPiece({ id, name, times, fabric, stitches, lengths: [{ name: id, figure: length }], edge }, { schools });
}

/** The same yarn and hook in plain single rows, for what is sewn on. */
export function plainRows(fabric: WorkedFabric): WorkedFabric {
  return fabric.also('single', 'rows');
}

/** Places either side of the middle of so many stitches: for something centred that takes up some of them. */
export function centredOn(total: number, taken: number): { before: number; after: number } {
  const before = Math.floor((total - taken) / 2);
  return { before, after: total - taken - before };
}

/**
 * Where the fold lies that something on a face is counted from, and what to do to find it: its rounds lean, so that it has wandered from
 * where they begin. Nothing where the piece lies no way more than another.
 *
 * @param row the round it is worked in
 * @param back stitches it may be moved back, and `on` further on
 */
export function toTheFold(
  { lies, piece, stitches }: MouthPlace,
  row: number,
  { back, on }: { back: number; on: number },
): { shift: number; notes: NonNullable<Placed['notes']> } {
  if (lies !== 'flat') return { shift: 0, notes: [] };
  const shift = shiftToFold(leanAfter(row - 1), Math.floor(stitches / 2), back, on);
  const where =
    shift === 0
      ? 'at the beginning of the round'
      : `about ${plural(Math.abs(shift), 'stitch', 'stitches')} ${shift > 0 ? 'on from' : 'before'} the beginning of the round`;
  const text = `Lay it flat along its bottom and mark both folds: rounds lean, and one of them lies ${where} now. If yours lies elsewhere, begin as many stitches sooner or later.`;
  return { shift, notes: [{ piece, row: row - 1, text }] };
}

/** Where a closure sits across the front. */
export const IN_FROM: Field = {
  key: 'inFromMm',
  kind: 'length',
  label: 'In from the side',
  help: 'To its middle. Left empty: in the middle, or two a quarter in.',
  min: 0,
  max: 2000,
  optional: true,
};

/** A button as it is measured. */
export const BUTTON_FIELDS: readonly Field[] = [
  { key: 'buttonMm', kind: 'length', label: 'Button diameter', min: 5, max: 80, default: 20 },
  {
    key: 'buttonThicknessMm',
    kind: 'length',
    label: 'Button thickness',
    min: 1,
    max: 20,
    default: BUTTON_THICKNESS_MM,
  },
];

/** Cut length of a twisted pair of strands against its finished length (prior, handbook 6). */
export const TWIST = 2 * 1.35;
