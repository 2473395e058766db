import { derive, type Figure } from '../../../base/figure';
import { formatNumber } from '../../../base/units';
import type { Free } from '../../../piece';
import type { Piece, ShapeSchools, WorkStep } from '../../../shapes';
import { chainsFor, cord } from '../../common';
import type { FittingContext, Notion } from '../../definition';

export type Mm = Figure<'mm'>;

/** Sewn to each anchor over so many mm (prior, handbook 6). */
export const SEWN_MM = 25;

/** Tails of what is made by itself, to sew it on with (prior, handbook 4.4). */
export const STRAP_TAIL_MM = 300;

/** What is made of a strap: its figures, steps and pieces, and what is bought for it. */
export interface Made {
  figures: Record<string, Figure>;
  steps: WorkStep[];
  piece?: Piece;
  notions: Notion[];
  /** Where it is held, in words, where that follows from how it is made. */
  anchors?: string;
}

/** One kind of strap. A new one is a file of its own and a line in `kinds/index.ts`. */
export interface StrapKind {
  id: string;
  name: string;
  /** Columns that carry the load. */
  columns: (rows: number) => number;
  /** Growth of one column under a load, as is usual; 0 for what does not grow. */
  stretch: number;
  /**
   * How it hangs: by ends that are sewn, folded over hooks or tied; by hooks it was bought with; or it is held already, since it is
   * chained on where it hangs.
   */
  hangs: 'ends' | 'own-hooks' | 'already';
  /** Whether it brings tails to be held by: crocheted ones do; of a twisted cord the ends themselves can be tied. */
  tails?: 'sewn' | 'tied';
  /** Whether more rows or stitches make it wider, and so grow less. */
  widens?: true;
  /** Whether both its tails hang at one end. */
  tailsAtOneEnd?: (rows: number, foundation: ShapeSchools['foundation']) => boolean;
  /** Makes one of a length, mm, before it is loaded. */
  make: (length: Mm, context: FittingContext) => Made;
}

/** The step that makes a strap, with the check of its length. */
export const strapStep = (length: Mm, work: Pick<WorkStep, 'does' | 'text'>, minutes: number): WorkStep => ({
  id: 'make-strap',
  section: 'strap',
  kind: 'assembly',
  ...work,
  check: {
    look: `Does it measure {mm:${formatNumber(length.value)}} before it is loaded?`,
    repair: 'Lengthen or shorten it before you sew it on.',
  },
  minutes,
});

/** A strap worked along a chain by itself; its tails are what it is sewn on with. */
export function alongChain(
  length: Mm,
  { fabric }: FittingContext,
  courses?: (chains: number, laid: Free['courses']) => Free['courses'],
): Made {
  const { chains, made } = chainsFor(length, fabric.chain);
  const plain: Free = cord('strap', 'The strap.', chains.value, STRAP_TAIL_MM);
  const strap = courses ? { ...plain, courses: courses(chains.value, plain.courses) } : plain;
  return { figures: { chains, made }, notions: [], steps: [strapStep(length, { does: [strap] }, 4)] };
}

/** What is cut for a strap, so many times as long as it is in the end. */
export const cutFor = (formula: string, times: number, length: Mm): Mm =>
  derive('mm', formula, { length }, (v) => times * v.length);
