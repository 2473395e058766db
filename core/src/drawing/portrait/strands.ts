/** A stitch as it lies in a repeat: x in columns, y upwards in the same unit, from the repeat’s lower left corner. */
export interface LyingStitch {
  /** A stitch with its legs, chains stretched between stitches, or a chain that stands upright. */
  kind: 'stitch' | 'chain' | 'upright';
  /** Yarn laid over the hook before it: turns seen about its post. */
  turns: number;
  /** Of stretched chains: how many, over how many columns, and whether they hang in a bow. */
  chains: number;
  columns: number;
  bows: boolean;
  /** Whether its back is seen. */
  wrong: boolean;
  top: Point;
  foot: Point;
}

export interface Point {
  x: number;
  y: number;
}

/** What lies over what: chains and legs, turns about them, then tops. */
export type Depth = 'behind' | 'legs' | 'turns' | 'tops';

/** One strand of yarn as a smooth line through points, the first with its hands: x y, then two hands and an end for each stretch. */
export interface Strand {
  depth: Depth;
  points: readonly Point[];
}

/** How wide the strands of a depth are, in columns (ours, by eye). */
export const STRAND_WIDE: Readonly<Record<Depth, number>> = { behind: 0.34, legs: 0.36, turns: 0.28, tops: 0.35 };

/** From this height on a stitch stands on a post, in columns. */
const TALL = 1.3;

/** The strands of one stitch. */
export function strandsOf(stitch: LyingStitch): Strand[] {
  if (stitch.kind === 'chain') return stitch.bows ? bow(stitch) : stretched(stitch);
  if (stitch.kind === 'upright') return upright(stitch);
  const { top, foot } = stitch;
  if (top.y - foot.y > TALL) return tall(stitch);
  return stitch.wrong ? backOf(stitch) : frontOf(stitch);
}

const at = (x: number, y: number): Point => ({ x, y });

/** A curve of one stretch. */
const curve = (depth: Depth, ...points: [Point, Point, Point, Point]): Strand => ({ depth, points });

/** Two legs that spread from one hole to both ends of the top: the V that makers count. */
function frontOf({ top, foot }: LyingStitch): Strand[] {
  const high = top.y - foot.y;
  const legs = [-1, 1].map((side) =>
    curve(
      'tops',
      at(foot.x + side * 0.06, foot.y - 0.06 * high),
      at(foot.x + side * 0.2, foot.y + 0.22 * high),
      at(top.x + side * 0.32, top.y - 0.52 * high),
      at(top.x + side * 0.36, top.y - 0.06 * high),
    ),
  );
  const y = top.y - 0.04;
  const bar = curve('legs', at(top.x - 0.5, y), at(top.x - 0.2, y - 0.1), at(top.x + 0.2, y - 0.1), at(top.x + 0.5, y));
  return [bar, ...legs];
}

/** The bar across, and what is seen of the legs below it. */
function backOf({ top, foot }: LyingStitch): Strand[] {
  const high = top.y - foot.y;
  const legs = [-1, 1].map((side) =>
    curve(
      'behind',
      at(foot.x + side * 0.3, foot.y),
      at(foot.x + side * 0.26, foot.y + 0.2 * high),
      at(top.x + side * 0.12, top.y - 0.6 * high),
      at(top.x + side * 0.1, top.y - 0.4 * high),
    ),
  );
  const y = top.y - 0.3 * high;
  const bar = curve(
    'tops',
    at(top.x - 0.5, y - 0.06),
    at(top.x - 0.2, y + 0.14),
    at(top.x + 0.24, y + 0.12),
    at(top.x + 0.5, y - 0.06),
  );
  return [...legs, bar];
}

/** A post of two strands with its turns, under a top that lies along the row like a link of chain. */
function tall({ top, foot, turns }: LyingStitch): Strand[] {
  const high = top.y - foot.y;
  const along = (share: number, dx: number): Point => at(foot.x + (top.x - foot.x) * share + dx, foot.y + high * share);
  const legs = [-1, 1].map((side) =>
    curve(
      'legs',
      along(-0.03, side * 0.12),
      along(0.3, side * 0.26),
      along(0.6, side * 0.14),
      along(0.93, side * 0.22),
    ),
  );
  const slants = Array.from({ length: turns }, (_, index) => {
    const share = (index + 1) / (turns + 1.35);
    const slope = 0.13;
    const [x, y] = [foot.x + (top.x - foot.x) * share, foot.y + high * share];
    return curve(
      'turns',
      at(x - 0.34, y - slope),
      at(x - 0.1, y - slope * 0.1),
      at(x + 0.1, y + slope * 0.6),
      at(x + 0.34, y + slope),
    );
  });
  return [...legs, ...slants, ...linkAlong(top)];
}

/** The two loops of a top, one a little over the next. */
function linkAlong({ x, y }: Point): Strand[] {
  return [
    curve('turns', at(x - 0.48, y - 0.02), at(x - 0.2, y + 0.12), at(x + 0.2, y + 0.12), at(x + 0.46, y + 0.02)),
    curve('tops', at(x - 0.5, y - 0.02), at(x - 0.22, y - 0.2), at(x + 0.22, y - 0.16), at(x + 0.5, y - 0.02)),
  ];
}

/** Chains that lie level with the tops beside them. */
function stretched({ top, columns }: LyingStitch): Strand[] {
  return Array.from({ length: Math.max(1, Math.round(columns)) }, (_, index) =>
    linkAlong(at(top.x - columns / 2 + index + 0.5, top.y)),
  ).flat();
}

/** Chains in a bow between two stitches that hold it: link by link. */
function bow({ top, foot, columns, chains }: LyingStitch): Strand[] {
  const low = foot.y + 0.55;
  const half = columns / 2 + 0.45;
  const onBow = (share: number): Point => {
    const turn = 1 - 2 * share;
    return at(top.x - half * turn, low + (top.y - low) * Math.sqrt(Math.max(0, 1 - Math.abs(turn) ** 2.4)));
  };
  return linksAlong(onBow, Math.max(3, chains), 'legs');
}

/** Chains upon each other that bring the hook up. */
function upright({ top, foot }: LyingStitch): Strand[] {
  const many = Math.max(1, Math.round((top.y - foot.y) / 0.7));
  return linksAlong((share) => at(foot.x + (top.x - foot.x) * share, foot.y + (top.y - foot.y) * share), many, 'legs');
}

/** Links of a chain along a way: each from a narrow beginning to where the next comes out of it, its two sides apart. */
function linksAlong(way: (share: number) => Point, links: number, depth: Depth): Strand[] {
  return Array.from({ length: links }, (_, index) => {
    const [from, to] = [way(index / links), way((index + 1.15) / links)];
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    const long = Math.max(1e-6, Math.hypot(dx, dy));
    const [nx, ny] = [(-dy / long) * 0.17, (dx / long) * 0.17];
    return [-1, 1].map((side) =>
      curve(
        depth,
        from,
        at(from.x + dx * 0.3 + side * nx * 1.3, from.y + dy * 0.3 + side * ny * 1.3),
        at(from.x + dx * 0.75 + side * nx, from.y + dy * 0.75 + side * ny),
        at(to.x + side * nx * 0.2, to.y + side * ny * 0.2),
      ),
    );
  }).flat();
}
