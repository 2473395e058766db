import type { Instruction } from '../craft/fabric';
import { backwards, type Span } from './edge';
import { fromBehind, landmarkFromBehind, turnedLies, type Landmark, type Lies, type Spot } from './place';

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
  /** Stitches into that corner, where not as many as usual. */
  into?: 2;
  /** What it lies along; of a corner nothing is said. */
  lies: Lies;
  /** Where it begins and where it ends; of the first and the last of a way. */
  between?: readonly [Landmark, Landmark];
  /** What its first course is worked of, where the places are unlike: loops and stitches of an open fabric. */
  upon?: readonly Instruction[];
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
  /** Where it begins; nothing where the first part of its way says it. */
  from?: Landmark;
  /** What it is worked in, where that is said: with a loop on the hook, the colour of that loop. */
  colour?: string;
  /** The tail it is worked with, which hangs where it begins: where that is, and how much it takes, mm. */
  tail?: { name: string; at: Landmark; mm: number };
  /** Whether its rounds are turned after each join, so that they go back and forth. */
  turned?: true;
  /** Which side faces of the nearest layer, the first of each part's, as it begins; the right one where nothing is said. */
  side?: 'wrong';
  /** The layer that lies towards the maker, by its name; nothing where it is the right side. */
  near?: string;
}

/** Two edges sewn to each other with a needle, place by place. */
export interface Seam {
  do: 'seam';
  how: 'whip' | 'mattress';
  spans: readonly [Span, Span, ...Span[]];
  /** Yarn against the seam's length (handbook 4.4). */
  factor: number;
  mm: number;
  /** What of each layer is sewn. */
  through: 'the row ends' | 'the edge loops' | 'the outer edge loops';
  /** What it lies along, where it begins if that is said, and where it ends; nothing where the step says it. */
  lies?: Lies;
  between?: { from?: Landmark; to: Landmark };
  /** The tail it is sewn with, which hangs where it begins, and where that is; else it has yarn of its own. */
  tail?: { name: string; at: Landmark };
}

/** What sewing goes through (handbook 4.4). */
export type Layers = 'front' | 'both' | 'inside' | 'mouth';

/** Made by itself, or joined on at one place: a tie, a cord, a loop, a line worked on the fabric. */
export interface Free {
  do: 'free';
  id: string;
  /** What it is for, in words; nothing where that is plain. */
  lead: string;
  /** Where the yarn is joined; nothing where it begins by itself, or goes on. */
  from?: Landmark;
  /** Joined there with a slip stitch. */
  slipped?: true;
  /** The line it is worked along, of several: one of the columns of a face, so long, mm. */
  line?: { number: number; column: number; of: number; mm: number };
  courses: readonly (readonly Instruction[])[];
  /** How many alike. */
  times: number;
  /** What hangs at both ends to sew or tie it on with, mm; nothing where it is woven in. */
  tails: number;
  /** Worked in rounds, never turned. */
  rounds?: true;
  /** Gone on with from where the hook is, before that yarn is cut. */
  onward?: true;
  colour?: string;
  /** Worked through both layers in a line. */
  layers?: Extract<Layers, 'both'>;
}

/** Done with a needle or by hand with so much yarn: something sewn on, a line stitched, a tassel wound. */
export interface Sewing {
  do: 'sew';
  id: string;
  /** The piece, or what was made by itself, that is held by it; nothing where it only sews, or is no crochet. */
  what?: string;
  /** What is done, in words that can follow “with so much yarn”; places are tokens: `{at}` its first one, `{at:2}`, `{columns}`. */
  says: string;
  at?: readonly Spot[];
  /** Lines between columns of a face, each so long, mm. */
  lines?: { between: readonly number[]; of: number; mm: number; high: number };
  /** Yarn it takes, mm; none where it is sewn with thread. */
  mm: number;
  /** Whether it is yarn made into something: strands twisted to a cord. */
  made?: true;
  colour?: string;
  /** Sewn through one layer that is not reached any more when its sides are joined. */
  open?: true;
  /**
   * What the needle goes through and must reach: the front alone, from inside; both layers in a line; the whole inside, which it
   * covers; or the mouth, over what covers the inside.
   */
  layers?: Layers;
  /** The tails that yarn hangs there as, shared out among them; nothing where it is cut for it. */
  tails?: readonly string[];
}

/** What is left to hang where yarn begins or is cut, mm (prior, handbook 7). */
export const TAIL_MM = 150;

/** Yarn to cut for a seam is told in whole 50 mm, rounded up (ours). */
export const yarnToCut = (mm: number): number => 50 * Math.ceil(mm / 50);

/** A part of a way gone from its other end. */
export function turned({ spans: [first, ...others], lies, between, loop, ...stretch }: Stretch): Stretch {
  // a loop that leaves and comes back to one stitch leaves from it either way
  const same = loop?.closes === 'same-stitch' ? 1 : 0;
  return {
    ...stretch,
    lies: turnedLies(lies),
    spans: [backwards(first), ...others.map(backwards)],
    ...(between ? { between: [between[1], between[0]] } : {}),
    ...(loop ? { loop: { ...loop, after: stretch.stitches - loop.after + same } } : {}),
  };
}

/** A part of a way as it is seen with the wrong side facing. */
export const seenFromBehind = ({ lies, between, ...stretch }: Stretch): Stretch => ({
  ...stretch,
  lies: fromBehind(lies),
  ...(between ? { between: [landmarkFromBehind(between[0]), landmarkFromBehind(between[1])] } : {}),
});

/** A way gone from its other end. */
export const reversed = (path: readonly Stretch[]): Stretch[] => path.map(turned).reverse();

/**
 * A way as the hook goes along it: as it stands, counter-clockwise seen from the side that faces, for plain stitches; from its
 * other end for those that are worked backwards (law, handbook 4.4).
 */
export const wayFor = (path: readonly Stretch[], stitch: BorderStitch): Stretch[] =>
  stitch === 'reverse' ? reversed(path) : [...path];

/** Where a border begins, where that is said. */
export const beginningOf = ({ from, path }: Border): Landmark | undefined => from ?? path[0]?.between?.[0];

/** What the shape knows and nobody else: which edges come to lie on each other, and are joined. */
export interface Fold {
  id: string;
  /** How the layers are laid on each other, in words; nothing where the step says it. */
  says?: string;
  /** The sides that touch then; edges alone where it is bent over to what lies opposite. */
  inside: 'wrong' | 'right' | 'edges';
  lays: readonly (readonly [Span, Span])[];
}

/** What the hands do beside rows, as data: worded, refereed and tallied from one source. */
export type Work =
  | {
      do: 'make';
      piece: string;
      /** What hangs before its beginning, mm; a usual tail where nothing is said. */
      leave?: number;
      /** What its last row is worked in, where it is of colours. */
      endsIn?: string;
    }
  | Border
  | Seam
  | Free
  | Sewing
  | { do: 'fold'; fold: Fold }
  | { do: 'fasten-off'; leave?: number }
  /** Another colour drawn through the loop on the hook, whose own yarn is cut (handbook 4.4). */
  | { do: 'change'; to: string }
  /** The step at the end of a spiral, levelled by so many slip stitches over the beginning of its rounds (handbook 4.4). */
  | { do: 'level'; slips: number }
  /** A tube turned through, so that the side that faced comes inside; a loop on the hook is kept (handbook 4.4). */
  | { do: 'turn-through'; piece: string; name: string }
  /** Ends woven in: of pieces before a layer closes over them, or all that are left. */
  | { do: 'weave-in'; pieces: readonly { id: string; name: string }[] | 'all' }
  /** Columns marked in rows of a piece, each counted from where its row begins, by what they are for. */
  | {
      do: 'mark';
      piece: string;
      rows: readonly { row: number; after: readonly number[] }[];
      names: readonly string[];
      /** The rows have chains among their stitches, and each counts as a place. */
      chains?: true;
    }
  /** The thing put in to see or mark something by it, in words, its places as tokens; and taken out again. */
  | { do: 'fill'; says: string; at?: readonly Spot[] }
  | { do: 'empty' }
  /** A piece made once more, with all that was worked on it. */
  | { do: 'again'; piece: string; as: string; works: readonly Work[] };
