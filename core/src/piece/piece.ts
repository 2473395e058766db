import type { Reach } from '../craft/counts';
import type { Instruction, WorkedFabric } from '../craft/fabric';
import type { Figure } from '../base/figure';
import type { FieldValues } from '../base/units';
import type { Landmark } from './place';

/** A part of a piece between folds, corners or seams. */
export interface Section {
  name: string;
  /** Rows or rounds it spans, and which. */
  rows: number;
  from: number;
  to: number;
  /** Stitches it spans. */
  stitches: number;
  /** Its length the way it is divided off: along the rows' height, or across the stitches. */
  mm: number;
  /** How it is worked, where not as the piece is on the whole. */
  worked?: 'rows';
  /** The count that divides it off, with how it came about. */
  count: Figure<'rows' | 'stitches'>;
}

/** One row or round. Courses alike share one object. */
export interface Course {
  instructions: Instruction[];
  /** Columns it ends on. */
  ends: number;
  kind: 'row' | 'round';
  /** Whether the work was turned before it, so that the hook meets the row below from its other end. */
  turned: boolean;
  section: string;
}

export interface Foundation {
  kind: 'chain' | 'ring' | 'chain-both-sides' | 'joined-chain' | 'picked-up';
  /** Chains, with those skipped; for a ring the stitches worked into it. */
  count: number;
  /** Whether chain and row 1 are worked in one, as foundation stitches. */
  inOne?: true;
  /** What its edge becomes. */
  edge: 'opening' | 'closed' | 'seam' | 'free';
  /** What the chain is worked with, where it is another hook than the rest. */
  hookMm?: number;
  /** For stitches picked up: where. */
  from?: Landmark;
}

/** Courses of a piece that are worked in one fabric, from the first to the last. */
export interface Band {
  fabric: WorkedFabric;
  from: number;
  to: number;
  colour?: string;
  /** What is set of its stitch pattern. */
  pattern?: FieldValues;
  /** Where the hook is another than the plan's. */
  hookMm?: number;
  /** Its width was read across it on the piece. */
  taped?: true;
}

export interface Piece {
  id: string;
  name: string;
  /** How many of it are made. */
  times: number;
  /** What was left before it to sew with, mm, where it is begun: 0 of a usual end. */
  leftMm?: number;
  /** Its base is meant to cup or to ruffle. */
  cupped?: true;
  /** Made for a fitting: nothing goes into it. */
  beside?: true;
  worked: 'rows' | 'rounds';
  /** Which side faces while its rounds are worked, where it is not the one that comes outside. */
  facing?: 'wrong';
  foundation: Foundation;
  stitches: number;
  /** Of its first courses, where they are on another count. */
  firstStitches?: number;
  /** Rows or rounds in all. */
  rows: number;
  /** Stitches of each round, for pieces in rounds. */
  roundCounts?: number[];
  /** The same counts with how they came about. */
  counts: { foundation: Figure<'chains' | 'stitches'>; stitches: Figure<'stitches'>; rows: Figure<'rows'> };
  width: Figure<'mm'>;
  height: Figure<'mm'>;
  sections: Section[];
  /** What to make of it in a line: chain, stitches, rows. */
  summary: string;
  courses: Course[];
  /** How high so many courses reach, mm. */
  reach: Reach;
  fabric: WorkedFabric;
  /** Its fabrics one after the other, where it is of several. */
  bands?: readonly Band[];
  /** What it is worked in, where that is said of it alone. */
  colour?: string;
  /** What the second of two is worked in, where not as the first. */
  secondColour?: string;
  /** Of a rectangle worked outwards in rounds: stitches along each side and each end, between the spaces at its corners. */
  rectangle?: { side: number; end: number };
  /** Edges left open in the middle of it, by name. */
  lips?: readonly { name: string; kind: 'stitch' | 'chain'; count: number }[];
  /** What to do on reaching the end of a row, by row. */
  notes: Record<number, string>;
}

/** Whether a round is neither joined nor closed, so that it ends in a step. */
export const isSpiral = ({ kind, instructions }: Course): boolean =>
  kind === 'round' && !instructions.some((one) => one.do === 'join' || one.do === 'close-loop');

/** What a row of a piece is worked in, counted from 1. */
export const fabricAt = ({ bands, fabric }: Piece, row: number): WorkedFabric =>
  bands?.find(({ from, to }) => row >= from && row <= to)?.fabric ?? fabric;

/** The bands of a piece: of one fabric it is a single one. */
export const bandsOf = ({ bands, fabric, rows, colour }: Piece): readonly Band[] =>
  bands ?? [{ fabric, from: 1, to: rows, ...(colour ? { colour } : {}) }];

/** The colour that a row of a piece has from its top, where any of its rows are one that says its own. */
export function topColourOf({ id, fabric }: Piece): ((row: number) => string | undefined) | undefined {
  const tops = (fabric.stripes?.tops ?? []).filter(({ piece }) => piece === id);
  if (tops.length === 0) return undefined;
  return (row) => tops.find(({ from, to }) => row >= from && row <= to)?.colour;
}
