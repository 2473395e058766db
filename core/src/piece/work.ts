import { backwards, type Span } from './edge';

/** Stitches a border or a crocheted join is worked in: a base stitch, or worked backwards, or loops of chains. */
export type BorderStitch = 'slip' | 'single' | 'reverse' | 'loops';

/**
 * A part of a border's way: along places of one layer, or of several that lie on each other, which it then joins. `corner` are
 * stitches worked into its one place, where the way turns.
 */
export interface Stretch {
  spans: readonly [Span, ...Span[]];
  /** Stitches along it in all. */
  stitches: number;
  corner?: boolean;
  /** What it lies along, in words: “down the {side:left} side”. */
  name: string;
  /** A free loop of chains after so many of its stitches; with an odd count it leaves and comes back to one of them. */
  loop?: { after: number; chains: number; closes: 'same-stitch' | 'next-stitch' };
}

/** One or more courses of real stitches along edges (handbook 4.4). */
export interface Border {
  do: 'border';
  id: string;
  stitch: BorderStitch;
  courses: number;
  path: readonly Stretch[];
  /** Whether it comes round to where it began. */
  closed: boolean;
  /** Where it begins, in words. */
  from: string;
}

/** Two edges sewn to each other with a needle, place by place. */
export interface Seam {
  do: 'seam';
  how: 'whip' | 'mattress';
  spans: readonly [Span, Span, ...Span[]];
  /** Yarn against the seam's length (handbook 4.4). */
  factor: number;
  mm: number;
  /** What of each layer is sewn, and where, in words; nothing where the step says it. */
  through: 'the row ends' | 'the edge loops' | 'the outer edge loops';
  along: string;
}

/** Yarn to cut for a seam is told in whole 50 mm, rounded up (ours). */
export const yarnToCut = (mm: number): number => 50 * Math.ceil(mm / 50);

/** A way gone from its other end. */
export const reversed = (path: readonly Stretch[]): Stretch[] =>
  path
    .map(({ spans: [first, ...others], ...stretch }): Stretch => ({
      ...stretch,
      spans: [backwards(first), ...others.map(backwards)],
    }))
    .reverse();

/** What the shape knows and nobody else: which edges come to lie on each other, and are joined. */
export interface Fold {
  id: string;
  lays: readonly (readonly [Span, Span])[];
}

/** What the hands do beside rows, as data: worded, refereed and tallied from one source. */
export type Work =
  | { do: 'make'; piece: string }
  | Border
  | Seam
  | { do: 'fold'; fold: Fold }
  | { do: 'fasten-off' }
  /** A piece made once more, with all that was worked on it. */
  | { do: 'again'; piece: string; as: string; works: readonly Work[] };
