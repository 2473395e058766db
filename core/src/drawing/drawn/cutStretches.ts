import type { CutPart } from '../parts';

type Point = readonly [number, number];

/** A stretch of fabric cut through that is of one colour. */
export interface CutStretch {
  points: readonly Point[];
  /** Which of the piece’s colours it has, from 0. */
  tint: number;
  /** How that looks, where it is known. */
  hex?: string;
}

/** The line of a cut, divided where its colour changes: its rows share out all of it. */
export function cutStretches({ points, rows = [], hex }: CutPart): CutStretch[] {
  const alike = merged(rows.map(({ mm, tint = 0, hex: own = hex }) => ({ mm, tint, ...(own ? { hex: own } : {}) })));
  const whole = alike.reduce((sum, { mm }) => sum + mm, 0);
  const [only] = alike;
  if (!only || whole <= 0) return [{ points, tint: 0, ...(hex ? { hex } : {}) }];
  const share = lengthOf(points) / whole;
  let done = 0;
  return alike.map(({ mm, ...colour }) => {
    const from = done;
    done += mm * share;
    return { points: stretchOf(points, from, done), ...colour };
  });
}

type Coloured = Omit<CutStretch, 'points'> & { mm: number };

function merged(rows: readonly Coloured[]): Coloured[] {
  const all: Coloured[] = [];
  for (const row of rows) {
    const last = all.at(-1);
    if (last && last.tint === row.tint && last.hex === row.hex) last.mm += row.mm;
    else all.push({ ...row });
  }
  return all;
}

const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, [x, y], index) => sum + Math.hypot(x - points[index]![0], y - points[index]![1]), 0);

/** What lies along a line from one length of it to another. */
function stretchOf(points: readonly Point[], from: number, to: number): Point[] {
  const stretch: Point[] = [];
  let reached = 0;
  points.slice(1).forEach((end, index) => {
    const begin = points[index]!;
    const long = lengthOf([begin, end]);
    const at = (mm: number): Point => {
      const share = long === 0 ? 0 : (mm - reached) / long;
      return [begin[0] + share * (end[0] - begin[0]), begin[1] + share * (end[1] - begin[1])];
    };
    const [first, last] = [Math.max(from, reached), Math.min(to, reached + long)];
    if (first < last) stretch.push(...(stretch.length === 0 ? [at(first)] : []), at(last));
    reached += long;
  });
  return stretch;
}
