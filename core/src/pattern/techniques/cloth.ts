import {
  BASES,
  baseStitch,
  stitchDefinition,
  stitchPattern,
  type BaseId,
  type StitchPattern,
} from '../../craft/fabric';
import type { Schools } from '..';
import type { WorkedPlace } from '../referee';
import { laidCloth, rowHigh, TURNS, type LaidPoint } from './laid';

/** A line of yarn in a piece of fabric, and what it is part of. */
export interface YarnLine {
  /** `post`, the `back` and `front` strand of a top, a `chain`, the `bar` that shows on the wrong side. */
  part: 'post' | 'back' | 'front' | 'chain' | 'bar';
  row: number;
  d: string;
}

/** Something to be pointed at: where it is, what it is called, what there is to know of it. */
interface Pointer {
  id: string;
  name: string;
  says: string;
  x: number;
  y: number;
}

/** Four rows of a stitch as yarn lies in them. */
export interface YarnCloth {
  lines: YarnLine[];
  pointers: Pointer[];
  width: number;
  height: number;
}

const ROWS = 4;
/** About so many columns are shown. */
const COLUMNS = 7;
/** A column’s width and a short stitch’s height, in the picture’s units. */
const W = 34;
const H = 40;
const MARGIN = 30;

type Reads = Pick<Schools, 'turningChainCounts' | 'hand'>;

interface Top {
  x: number;
  y: number;
}

/**
 * Four turned rows of a stitch pattern, drawn as yarn: legs, tops, chains, and the bars of wrong sides; with what a maker
 * asks about to be pointed at.
 *
 * @param id the stitch pattern; undefined for one that is the maker’s own, whose rows nobody knows
 * @source handbook 14
 */
export function yarnCloth(id: string, reads: Reads): YarnCloth | null {
  if (id === 'own' || (!stitchDefinition(id) && !baseStitch(id))) return null;
  const pattern = stitchPattern(stitchDefinition(id) ? id : 'single');
  const { repeat, edge } = pattern.rows;
  const stitches = Math.max(1, Math.round((COLUMNS - edge) / repeat)) * repeat + edge;
  const counts = reads.turningChainCounts && !BASES[pattern.base].neverCounts;
  const { lines, tops, floors, ground } = worked(pattern, stitches, counts);
  const width = stitches * W + 2 * MARGIN;
  const height = ground + MARGIN;
  const drawn: YarnCloth = {
    lines,
    width,
    height,
    pointers: pointersOf(pattern, { tops, floors, ground }, counts, stitches),
  };
  return reads.hand === 'left' ? mirrored(drawn) : drawn;
}

interface Worked {
  lines: YarnLine[];
  /** The tops of each row as they lie from left to right. */
  tops: Top[][];
  /** How high each row reaches above the chain. */
  floors: number[];
  /** Where the chain lies. */
  ground: number;
}

function worked(pattern: StitchPattern, stitches: number, counts: boolean): Worked {
  const laid = laidCloth(pattern, { columns: stitches, rows: ROWS, turningChainCounts: counts, turned: true });
  const high = Array.from({ length: ROWS }, (_, index) => rowHigh(pattern, index + 1));
  const ground = H * high.reduce((sum, one) => sum + one, 0) + MARGIN + 14;
  const seen = ({ x, y }: LaidPoint): Top => ({ x: MARGIN + x * W, y: ground - y * H });
  const chain = Array.from({ length: stitches }, (_, index) => seen({ x: index + 0.5, y: 0 }));
  const lines = laid.stitches.flatMap((stitch) => {
    const [top, foot] = [seen(stitch.top), seen(stitch.foot)];
    if (!stitch.beside) return drawnPlace(stitch.one, stitch.place, top, foot, stitch.row, pattern.base);
    const x = top.x + (stitch.top.x > 0 ? 2 : -2);
    return column({ x, y: top.y + 6 }, { x, y: foot.y }, stitch.row);
  });
  return {
    lines: [...chain.map(({ x, y }): YarnLine => ({ part: 'chain', row: 0, d: oval(x, y) })), ...lines],
    tops: laid.tops.map((row) => row.map(seen)),
    floors: laid.floors.map((floor) => floor * H),
    ground,
  };
}

const n = (value: number) => Number(value.toFixed(1));
const oval = (x: number, y: number) =>
  `M${n(x - 14)} ${n(y)}C${n(x - 8)} ${n(y - 9)} ${n(x + 8)} ${n(y - 9)} ${n(x + 14)} ${n(y)}C${n(x + 8)} ${n(y + 9)} ${n(x - 8)} ${n(y + 9)} ${n(x - 14)} ${n(y)}`;
const strand = (x: number, y: number, bow: number) =>
  `M${n(x + 16)} ${n(y)}C${n(x + 8)} ${n(y + bow)} ${n(x - 8)} ${n(y + bow)} ${n(x - 16)} ${n(y)}`;

function drawnPlace(
  one: { do: string; stitch?: string },
  place: WorkedPlace,
  top: Top,
  foot: Top,
  row: number,
  base: BaseId,
): YarnLine[] {
  if (place.kind === 'space' || one.do === 'chain') return [{ part: 'chain', row, d: arc(top, place.columns) }];
  if (one.do === 'turning-chain' || one.do === 'skip') return column(top, foot, row);
  const wrong = row % 2 === 0;
  const legs = [-5, 5].map((dx): YarnLine => ({
    part: 'post',
    row,
    d: `M${n(foot.x + dx / 2)} ${n(foot.y)}C${n(foot.x + dx)} ${n(foot.y - 12)} ${n(top.x + dx)} ${n(top.y + 14)} ${n(top.x + dx)} ${n(top.y + 3)}`,
  }));
  const stitch = (one.stitch as BaseId | undefined) ?? base;
  const turns = Array.from({ length: TURNS[stitch] ?? 0 }, (_, index): YarnLine => {
    const share = (index + 1) / ((TURNS[stitch] ?? 0) + 1);
    const [x, y] = [foot.x + (top.x - foot.x) * share, foot.y + (top.y - foot.y) * share];
    return { part: 'bar', row, d: `M${n(x - 9)} ${n(y + 5)}L${n(x + 9)} ${n(y - 5)}` };
  });
  const bar: YarnLine[] = wrong ? [{ part: 'bar', row, d: `M${n(top.x - 13)} ${n(top.y + 11)}H${n(top.x + 13)}` }] : [];
  return [
    ...legs,
    ...turns,
    ...bar,
    { part: 'back', row, d: strand(top.x, top.y, -9) },
    { part: 'front', row, d: strand(top.x, top.y, 9) },
  ];
}

const arc = ({ x, y }: Top, columns: number) => {
  const half = (columns * W) / 2;
  return `M${n(x - half)} ${n(y + 16)}C${n(x - half * 0.6)} ${n(y - 12)} ${n(x + half * 0.6)} ${n(y - 12)} ${n(x + half)} ${n(y + 16)}`;
};

/** Chains upon each other that stand for a stitch. */
function column(top: Top, foot: Top, row: number): YarnLine[] {
  const many = Math.max(2, Math.round((foot.y - top.y) / 20));
  return Array.from({ length: many }, (_, index): YarnLine => {
    const y = foot.y + ((top.y - foot.y) * (index + 0.5)) / many;
    return { part: 'chain', row, d: oval(top.x, y) };
  });
}

/** What is asked about most: the last stitch, the chain beside it, what a ridge counts, loops and legs. */
function pointersOf(
  pattern: StitchPattern,
  { tops, floors, ground }: Pick<Worked, 'tops' | 'floors' | 'ground'>,
  counts: boolean,
  stitches: number,
): Pointer[] {
  const top = tops.at(-1) ?? [];
  // the fourth row runs from left to right: it ends at the right
  const last = top.at(-1);
  const first = top[0];
  const inner = top[Math.floor(top.length / 2)];
  const pointers: Pointer[] = [];
  if (last)
    pointers.push({
      id: 'last',
      name: 'Last stitch',
      says: counts
        ? 'The row ends in the top of the turning chain of the row below: it counts as a stitch.'
        : 'The row ends in the last upright V of the row below; the turning chain lies behind it and is left alone.',
      ...last,
    });
  if (first)
    pointers.push({
      id: 'turning-chain',
      name: 'Turning chain',
      says: counts ? 'It stands for the first stitch of the row.' : 'It brings the hook up, and is no stitch.',
      x: counts ? first.x : MARGIN - 2,
      y: first.y + 16,
    });
  if (inner) {
    pointers.push({ id: 'back', name: 'Back loop', says: 'The strand farther from you.', x: inner.x, y: inner.y - 7 });
    pointers.push({ id: 'front', name: 'Front loop', says: 'The strand nearer to you.', x: inner.x, y: inner.y + 7 });
  }
  const ridge = floors[1];
  if (ridge !== undefined && pattern.base === 'single')
    pointers.push({
      id: 'ridge',
      name: 'Ridge',
      says: 'Two rows of short stitches make one ridge: count the ridges and double them.',
      x: MARGIN + 0.5 * W,
      y: ground - ridge + 11,
    });
  pointers.push({
    id: 'chain',
    name: 'Foundation chain',
    says: 'Count its Vs without the loop on the hook.',
    x: MARGIN + (stitches - 0.5) * W,
    y: ground,
  });
  return pointers;
}

/** Seen by whoever holds the hook in the left hand. */
function mirrored({ lines, pointers, width, height }: YarnCloth): YarnCloth {
  return {
    width,
    height,
    pointers: pointers.map((one) => ({ ...one, x: width - one.x })),
    lines: lines.map((line) => ({ ...line, d: flipped(line.d, width) })),
  };
}

/** A path with its crossways points mirrored; it is made of M, L, C and H alone. */
function flipped(d: string, width: number): string {
  return d.replace(/([MLCH])([^MLCH]+)/g, (_whole, command: string, points: string) => {
    const numbers = points.trim().split(/\s+/).map(Number);
    const turned = numbers.map((value, index) => (command === 'H' || index % 2 === 0 ? n(width - value) : value));
    return command + turned.join(' ');
  });
}
