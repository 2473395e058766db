export interface Span {
  name: string;
  mm: number;
  /** This section must come out to a multiple of so many rows; the boundary moves to the nearest that fits. */
  rowsIn?: number;
  /** Its last row must be a right-side (odd) or wrong-side (even) row. */
  endsOn?: 'right' | 'wrong';
  /** It lies on the one before it, edge to edge, and has as many rows. */
  asBefore?: boolean;
}

export interface RowSpan {
  name: string;
  /** Rows in this section. */
  rows: number;
  /** The row it begins on, from 1. */
  from: number;
  to: number;
  /** What its rows measure, mm. */
  mm: number;
}

/** How high so many rows reach, mm; rows of unlike height add up. */
export type Reach = (rows: number) => number;

/**
 * Rows of one height, or of a repeat of heights.
 * @param rowHeight the mean, mm
 * @param shares each row of the repeat against the mean
 */
export function reachOf(rowHeight: number, shares?: readonly number[]): Reach {
  if (!shares || shares.length < 2) return (rows) => rows * rowHeight;
  const upTo = shares.reduce<number[]>((sums, share) => [...sums, sums.at(-1)! + share], [0]);
  const whole = upTo.at(-1)!;
  return (rows) => (Math.floor(rows / shares.length) * whole + upTo[rows % shares.length]!) * rowHeight;
}

/**
 * Sections of a strip in whole rows. Boundaries fall on the row nearest to the length so far, so that no boundary is
 * ever more than half a row from where it should be, however long the strip (law, handbook 4). A section shorter than a
 * row still gets one. Row repeats and the side of the last row move a boundary to the nearest row that is free.
 *
 * @param spans lengths in mm, in the order they are worked
 * @param reach how high so many rows reach, or the height of every row, mm
 */
export function cumulativeRows(spans: readonly Span[], reach: Reach | number): RowSpan[] {
  const heightOf = typeof reach === 'number' ? reachOf(reach) : reach;
  let reached = 0;
  let done = 0;
  let last = 0;
  return spans.map((span) => {
    reached += span.mm;
    const end = span.asBefore ? done + last : boundary(span, reached, done, heightOf);
    last = end - done;
    const section = {
      name: span.name,
      rows: end - done,
      from: done + 1,
      to: end,
      mm: heightOf(end) - heightOf(done),
    };
    done = end;
    return section;
  });
}

function boundary({ rowsIn = 1, endsOn }: Span, reached: number, done: number, heightOf: Reach): number {
  const free = (row: number) =>
    row > done && (row - done) % rowsIn === 0 && (endsOn === undefined || row % 2 === (endsOn === 'right' ? 1 : 0));
  const near = Math.max(done + 1, nearestRow(reached, heightOf));
  // a repeat of rows and a side together leave something free within twice the repeat, unless they never meet
  for (let off = 0; off <= 2 * rowsIn + 2; off += 1) {
    const [low, high] = [near - off, near + off].filter(free);
    if (low !== undefined && high !== undefined)
      return Math.abs(heightOf(low) - reached) <= Math.abs(heightOf(high) - reached) ? low : high;
    if (low !== undefined) return low;
  }
  return near;
}

/** The number of rows whose height is nearest to a length. */
export function nearestRow(mm: number, heightOf: Reach): number {
  let best = Math.max(0, Math.floor(mm / Math.max(1e-9, heightOf(1000) / 1000)));
  const off = (row: number) => Math.abs(heightOf(row) - mm);
  while (best > 0 && off(best - 1) <= off(best) + 1e-9) best -= 1;
  while (off(best + 1) < off(best) - 1e-9) best += 1;
  return best;
}
