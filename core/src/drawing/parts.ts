import type { BorderStitch } from '../piece';
import type { FieldValues } from '../base/units';

/** Geometry of a drawing in millimetres, x to the right and y down. The app paints it; nothing here knows pixels. */
export type Part = (
  | Cloth
  | { type: 'fold'; x1: number; y1: number; x2: number; y2: number; label: string }
  | ThingPart
  | Dimension
  | { type: 'loop'; x: number; y: number; reach: number; towards: 'right' | 'left' | 'down' | 'up' }
  | { type: 'button'; x: number; y: number; diameter: number }
  /** A line sewn, or an opening left: dividers, slots, seams. */
  | {
      type: 'line';
      kind: 'seam' | 'slot' | 'cord';
      x1: number;
      y1: number;
      x2: number;
      y2: number;
      label: string;
      /** Of a slot: what it holds goes in there, and nowhere else. */
      mouth?: true;
    }
  /** Small open rings: eyelets, anchors. */
  | {
      type: 'dots';
      points: readonly (readonly [number, number])[];
      diameter: number;
      label: string;
      /** A cord through them draws the mouth together. */
      draws?: true;
    }
  | CutPart
  | BorderPart
  | RibbonPart
  /** An end of yarn where it hangs. */
  | { type: 'tail'; x: number; y: number; towards: 'left' | 'right' }
  | { type: 'words'; x: number; y: number; text: string }
) &
  Hue;

/** What colour something is worked in, by name, and how it looks, where that is known. */
export interface Hue {
  colour?: string;
  hex?: string;
}

/**
 * A strip of fabric that hangs from the piece or lies on it: a strap, a handle, a tab. Where it runs is not to scale, so that
 * only portraits show it: as a curve, its first end, then two hands and an end for each stretch.
 */
export interface RibbonPart extends Hue {
  type: 'ribbon';
  way: readonly (readonly [number, number])[];
  wide: number;
  /** Where it lies: on the front, on the back, along an edge that both show, or behind all of it. */
  on: 'front' | 'back' | 'edge' | 'behind';
  /** A seam by needle: what is seen of it are its stitches, or an edge drawn in. */
  sewn?: 'whip' | 'mattress';
  label: string;
}

/** Rounds worked all along a box, outwards from it; `x`, `y`, `w`, `h` are what they are worked on. */
export interface BorderPart extends Hue {
  type: 'border';
  x: number;
  y: number;
  w: number;
  h: number;
  /** How deep each round is. */
  depth: number;
  /**
   * Stitches of each round along its four sides, clockwise from the top, and into each corner. A side without any has no
   * border, and no corner where it would meet the next.
   */
  rounds: readonly { stitch: BorderStitch; sides: readonly [number, number, number, number]; corner: number }[];
}

/** Fabric cut through: its middle line, drawn as thick as it is. */
export interface CutPart extends Hue {
  type: 'cut';
  role: ClothRole;
  points: readonly (readonly [number, number])[];
  thickness: number;
  /** What the cut meets from its first point on. */
  rows: readonly CutRow[];
}

/** Rows of one colour as a cut meets them. */
export interface CutRow extends Hue {
  mm: number;
  own?: true;
  /** What they belong to, of which the piece may say a colour. */
  role: ClothRole;
  /** The first of them, and from where to where along it the cut runs, shares of it from the left; across it both are the same. */
  row: number;
  share: readonly [number, number];
  /** Which of the piece's colours it has, counted from 0; left out where there is one. */
  tint?: number;
}

/** A thing as it lies or stands in the piece; `outline` runs round it within its box where it is no rounded box. */
export interface ThingPart {
  type: 'thing';
  x: number;
  y: number;
  w: number;
  h: number;
  r: number;
  outline?: readonly (readonly [number, number])[];
}

/** A flat part of the fabric: a rectangle, a disc or an oval in it, or a piece that narrows upwards. */
export interface Cloth extends Hue {
  type: 'cloth';
  role: ClothRole;
  /** `disc` and `oval` fill their box; `taper` is `top` wide at its upper edge. */
  form?: 'rect' | 'disc' | 'oval' | 'taper';
  top?: number;
  x: number;
  y: number;
  w: number;
  h: number;
  rows: RowLines;
  label: string;
  sub: string;
}

export type ClothRole = 'front' | 'back' | 'turn' | 'flap' | 'base' | 'wall' | 'pocket' | 'span';

/** How rows lie in a piece of cloth: how many, and which way they are stacked. */
export interface RowLines {
  count: number;
  stacked: 'x' | 'y' | 'out';
  /** Rows stacked upwards whose first lies on top: what hangs down from where it began. */
  down?: true;
  /** Which row of its piece the first of them is, where that is not its first. */
  first?: number;
  /** Stitches in a row, so that single ones can be drawn. */
  stitches: number;
  /** Where they are of several stitches, one after the other as they are stacked: a stitch, its rows, their mm together. */
  bands?: readonly RowBand[];
  /** Where they differ in count: each from the middle outwards, or from the bottom up, with as many stitches as are seen of it. */
  rounds?: readonly DrawnRound[];
  /** How high one of them is, mm, where they lie around something in the middle. */
  high?: number;
}

/** One round as it is drawn. */
export interface DrawnRound extends Hue {
  /** Which row of its piece it is, where it is seen whole. */
  row?: number;
  /** Of a yarn that repeats: its colours round it. */
  runs?: readonly Run[];
  stitch: string;
  count: number;
  /** Round a rectangle: how many of them lie along each side, clockwise from the top; a chain is at each corner besides. */
  sides?: readonly [number, number, number, number];
  /** Which of the piece's colours it has, counted from 0; left out where there is one. */
  tint?: number;
}

/** Stitches of one colour, one after the other. */
export interface Run {
  hex: string;
  stitches: number;
}

export interface RowBand extends Hue {
  /** Whether its colour is its own, whatever its piece is worked in. */
  own?: true;
  /** Which row it is, where each is drawn by itself. */
  row?: number;
  /** Of a yarn that repeats: its colours along the row, each over so many of the stitches that are seen. */
  runs?: readonly Run[];
  stitch: string;
  pattern?: FieldValues;
  rows: number;
  mm: number;
  /** Which of the piece's colours it has, counted from 0 in the order they are first worked; left out where there is one. */
  tint?: number;
}

export interface Dimension {
  type: 'dimension';
  along: 'x' | 'y';
  from: number;
  to: number;
  /** Where its line stands, for pieces beside each other; the drawing's own edge where left out. */
  at?: number;
  mm: number;
  /** How well it is known, mm: it is told no finer. */
  sd?: number;
  /** The count behind the length, with its noun. */
  count?: string;
  /** The choice that changes this dimension. */
  choice?: string;
  /** The plan's entry that changes it, what it is now, and the steps it comes in; all mm. */
  drives?: Drive;
}

export interface Drive {
  path: string;
  value: number;
  step: number;
  min: number;
  max: number;
}

export interface View {
  id: 'flat' | 'folded' | 'cut' | 'parts';
  name: string;
  width: number;
  height: number;
  parts: Part[];
  /** The same in words: what, size, count. Lengths are written as tokens for the reader's unit. */
  text: string;
}
