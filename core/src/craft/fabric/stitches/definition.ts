import type { Field, FieldValues } from '../../../base/units';
import type { Instruction, Place } from '../instruction';
import type { BaseId } from './base';
import type { ChartSymbol } from './symbols';

/** Counts of the form `repeat * k + edge` are the ones a stitch pattern can be worked over. */
export interface Multiple {
  repeat: number;
  edge: number;
}

/** Factors against the width of single crochet, the yarn's diameter and so on (prior, handbook 2.2). */
export interface Factors {
  width: number;
  /** Heights against the width of single crochet: turned rows, and rounds. */
  rowHeight: number;
  roundHeight: number;
  thickness: number;
  /** Comfortable stretch, as a fraction: across the stitches, along the rows' height. */
  stretchAcross: number;
  stretchAlong: number;
  /** Yarn in a column of one row against a stitch's width. */
  yarn: number;
}

export interface CourseContext {
  /** Columns the row or round ends on. */
  stitches: number;
  /** Its number since the pattern began, from 1. */
  course: number;
  /** What it is worked into: the foundation, plain stitches, or itself. */
  below: 'chain' | 'plain' | 'pattern';
  turningChainCounts: boolean;
  /** Of rounds: whether each is joined. */
  joined?: boolean;
}

/** A stitch pattern made ready for one plan: what it needs, and the rows and rounds it writes. */
export interface StitchPattern {
  id: string;
  name: { US: string; UK: string };
  summary: string;
  /** What it is mostly built of: how high the hook must come up, how fast it goes. */
  base: BaseId;
  rows: Multiple;
  rounds: Multiple;
  rowsInRepeat: number;
  factors: Factors;
  /** Height of each row of the repeat against the mean one; left out where all are alike. */
  rowShares?: readonly number[];
  roundShares?: readonly number[];
  /** The hole it leaves beside that of plain stitches, as a factor of a stitch's width. */
  gap: number;
  /** Chart symbols of one repeat, each row of the repeat from the bottom up. */
  symbols: readonly (readonly ChartSymbol[])[];
  /** What people count of it beside stitches: groups in one place, or else loops of chains and holes. */
  counted?: { one: string; many: string; stitches?: number; loops?: true };
  /** It curls at first, and lies in the course of it that is named here. */
  settlesIn?: number;
  /** Chains skipped at the start of row 1; whether they count as its first stitch. */
  foundation: (turningChainCounts: boolean) => { skipped: number; counts: boolean };
  row: (context: CourseContext) => Instruction[];
  /** A round's stitches; how it begins and ends is the school's. */
  round: (context: CourseContext) => Instruction[];
  /** A plain round of as many columns upon a round of the pattern; left out where each stitch takes one. */
  level?: (stitches: number, course: number, joined: boolean) => Instruction[];
  /** Whether its joined rounds close by themselves, so that nothing is slip stitched to their first stitch. */
  closesItself?: true;
  /** The same in rows, upon so many of them, in a base stitch; left out where each stitch takes one. */
  levelRow?: (stitches: number, course: number, stitch: BaseId) => Instruction[];
}

/** A stitch pattern as a file defines it. */
export interface StitchDefinition {
  /** The US name in kebab case. */
  id: string;
  name: { US: string; UK: string };
  /** What one stitch of it is called, where the pattern's own name is not that. */
  one?: { US: string; UK: string };
  /** What the maker may set of it. */
  options: readonly Field[];
  /** Whether a swatch must be given, because nothing is known of it otherwise. */
  wantsSwatch?: boolean;
  make: (options: FieldValues) => StitchPattern;
}

/** What a course is worked into, in words of places. */
export function placeBelow(below: CourseContext['below']): Place {
  return below === 'chain' ? 'chain' : 'stitch';
}
