interface PickUp {
  stitches: number;
  /** The nearest simple ratio: so many stitches for so many rows. */
  ratio: { stitches: number; rows: number };
}

const LARGEST_PART = 6;

/**
 * Stitches to pick up along row ends: `p = round(R h / w)`, with the simple ratio nearest to it (law, handbook 4.2).
 *
 * @param rows row ends along the edge
 * @param rowHeight mm
 * @param stitchWidth width of the edge's stitches, mm
 */
export function pickUp(rows: number, rowHeight: number, stitchWidth: number): PickUp {
  const stitches = Math.max(1, Math.round((rows * rowHeight) / stitchWidth));
  return { stitches, ratio: simpleRatio(rowHeight / stitchWidth) };
}

/** The fraction with parts up to 6 nearest to a ratio; the smaller parts win a tie. */
function simpleRatio(ratio: number): { stitches: number; rows: number } {
  let best = { stitches: 1, rows: 1 };
  for (let rows = 1; rows <= LARGEST_PART; rows += 1) {
    for (let stitches = 1; stitches <= LARGEST_PART; stitches += 1) {
      const nearer = Math.abs(stitches / rows - ratio) < Math.abs(best.stitches / best.rows - ratio) - 0.02;
      if (nearer) best = { stitches, rows };
    }
  }
  return best;
}
