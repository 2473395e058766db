/** The four edges of a rectangle worked in rows, as they lie with its right side up and the last row on top. */
export type RawEdge = 'foundation' | 'last' | 'left' | 'right';

/** A side as it is seen; its words turn round for a left hand. */
export type Side = 'left' | 'right';

/**
 * Where work begins, ends or hangs, as data: its words are made in one place, and the referee holds its side against where the hook is
 * (handbook 4.4, the hand has sides). Lines and layers go by the names people have for them: “the bottom fold”, “front”.
 */
export type Landmark =
  /** Any corner of what is worked around. */
  | { at: 'corner' }
  /** On a line, at one side of what is held. */
  | { at: 'line'; line: string; side?: Side; as?: 'end' }
  /** At one end of a line; either where no side is said. */
  | { at: 'end'; line: string; side?: Side }
  /** At a side of a layer, so many of its stitches below its top edge. */
  | { at: 'side'; layer: string; side: Side; below: number }
  /** At a side edge of a layer, level with a line of another. */
  | { at: 'level'; layer: string; side: Side; with: string }
  /** Where a row begins or ends; the last row by its name. */
  | { at: 'row'; row: number | 'last'; end: 'beginning' | 'end' }
  /** At the top end of a side edge, or at a top corner. */
  | { at: 'top'; of: 'edge' | 'corner'; side: Side }
  /** At the middle of a line, or so far in from its left end, mm. */
  | { at: 'along'; line: string; inMm?: number }
  /** At a side edge, a row below the opening. */
  | { at: 'below-opening' }
  /** Where rounds begin. */
  | { at: 'round-start'; line: string }
  /** At stitches of a line, counted from where its round begins. */
  | { at: 'stitches'; line: string; from: number; to: number }
  /** In the loops a round left free, upside down. */
  | { at: 'free-loops'; round: number }
  /** Where the edges of a packet meet. */
  | { at: 'meeting' }
  /** Where a tail hangs already. */
  | { at: 'tail' };

/** Which way a part of a way goes as it is held; on and back again where it is one edge after another. */
export type Way = 'up' | 'down' | 'on' | 'back';

/** What a part of a way lies along, as data. */
export interface Lies {
  /** How many layers it goes through, where it is more than one; or the edgings of both. */
  through?: number | 'edgings' | 'both';
  /** A line with a name that it goes along; or across, or around it. */
  line?: string;
  goes?: 'across' | 'around';
  /** The other layers are held level with it. */
  level?: true;
  /** A side of what is held, or an edge of it; or what has such a name. */
  side?: Side;
  of?: 'side' | 'edge' | string;
  way?: Way;
  /** The one layer it goes on along. */
  alone?: string;
  /** The edge of the nearest layer that is up as it is held: its last row, unless said. */
  up?: RawEdge;
}

/** Where something sits on a face of what is made, as data. */
export interface Spot {
  on: 'front' | 'back' | 'flap' | 'flap-edge' | 'top-fold';
  /** Its middle from the left side, mm; said to be in the middle, or nothing. */
  inMm?: number | 'middle';
  /** Of two, one at either side: as far in from its own. */
  pair?: true;
  /** In its lower left corner, as far from both edges, mm. */
  cornerMm?: number;
  /** Its middle below the top edge of that face, mm; or above the flap’s edge. */
  below?: number;
  above?: number;
  /** How large that face is, mm. */
  of: { wide: number; high: number };
}

const OTHER_WAY: Readonly<Record<Way, Way>> = { up: 'down', down: 'up', on: 'back', back: 'on' };

/** The same gone from its other end. */
export const turnedLies = (lies: Lies): Lies => (lies.way ? { ...lies, way: OTHER_WAY[lies.way] } : lies);

const OTHER_SIDE: Readonly<Record<Side, Side>> = { left: 'right', right: 'left' };

const mirrored = <T extends { side?: Side }>(one: T): T => (one.side ? { ...one, side: OTHER_SIDE[one.side] } : one);

/** What is said of places seen from the right side, as it is seen with the wrong side facing. */
export const fromBehind = (lies: Lies): Lies => mirrored(lies);

/** The same of a place. */
export const landmarkFromBehind = (landmark: Landmark): Landmark =>
  'side' in landmark ? (mirrored(landmark as Landmark & { side?: Side }) as Landmark) : landmark;
