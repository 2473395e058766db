import type { FieldValues } from '../base/units';

/** Courses one after the other that are worked alike, as they stand. */
export interface BegunRun {
  courses: number;
  /** Columns each of them ends on. */
  stitches: number;
  stitch: string;
  pattern?: FieldValues;
  hookMm?: number;
  colour?: string;
  section: string;
  /** What the tape said of them together, mm. */
  mm?: number;
}

/** The courses of a piece that are worked already, from the first one up (handbook 8). */
export interface BegunSpec {
  piece: string;
  runs: readonly BegunRun[];
  /** What was left before it to sew with, mm; 0 where only a usual end hangs. As asked, where nothing is said. */
  tailMm?: number;
}
