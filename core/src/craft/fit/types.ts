/** One sample of all that is uncertain: girth, height and depth of the thing, stitch, row and fabric thickness; all mm. */
export interface Sample {
  g: number;
  H: number;
  D: number;
  w: number;
  h: number;
  t: number;
  /** Ways the finished inside follows from a sample may name more; they stay as they are. */
  [name: string]: number;
}
