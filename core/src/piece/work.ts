import type { Instruction } from '../fabric';
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

/** Made by itself, or joined on at one place: a tie, a cord, a loop, a line worked on the fabric. */
export interface Free {
  do: 'free';
  id: string;
  /** What it is for, or along what it is worked, in words; nothing where that is plain. */
  lead: string;
  /** Where the yarn is joined, in words; nothing where it begins by itself. */
  from: string;
  courses: readonly (readonly Instruction[])[];
  /** How many alike. */
  times: number;
  /** What hangs at both ends to sew or tie it on with, mm; nothing where it is woven in. */
  tails: number;
}

/** Done with a needle or by hand with so much yarn: something sewn on, a line stitched, a tassel wound. */
export interface Sewing {
  do: 'sew';
  id: string;
  /** The piece, or what was made by itself, that is held by it; nothing where it only sews, or is no crochet. */
  what?: string;
  /** What is done, in words that can follow “with so much yarn”. */
  says: string;
  /** Yarn it takes, mm; none where it is sewn with thread or with a tail that hangs there. */
  mm: number;
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
  /** How the layers are laid on each other, in words; nothing where the step says it. */
  says?: string;
  lays: readonly (readonly [Span, Span])[];
}

/** What the hands do beside rows, as data: worded, refereed and tallied from one source. */
export type Work =
  | { do: 'make'; piece: string }
  | Border
  | Seam
  | Free
  | Sewing
  | { do: 'fold'; fold: Fold }
  | { do: 'fasten-off' }
  /** Ends of pieces woven in, before a layer closes over them. */
  | { do: 'weave-in'; pieces: readonly { id: string; name: string }[] }
  /** A piece made once more, with all that was worked on it. */
  | { do: 'again'; piece: string; as: string; works: readonly Work[] };
