import type { Cloth, Part } from '../parts';

/** From where a finished piece is seen. */
export type SideId = 'front' | 'back' | 'side' | 'open';

/** Fabric drawn together by a cord: all round the opening into one bundle. */
export interface Gather {
  /** Where the cord lies, mm. */
  at: number;
  /** How wide the bundle is there, as a share of the width. */
  neck: number;
  /** From where on it narrows. */
  from: number;
}

export interface SideCloth extends Cloth {
  /** Which of its ends is an edge that is seen, and no fold. */
  rim?: 'top' | 'low';
  /** A border or a join lies along its sides, up to its corners. */
  bordered?: true;
  /** Ends at which it goes round what it holds, on to the other side. */
  folded?: readonly ('top' | 'low')[];
  /** How round the corners of what lies in a folded end are, mm. */
  corner?: number;
  /** Drawn together by a cord. */
  gather?: Gather;
  /** How far both its sides are pressed out in the middle, mm. */
  bow?: number;
}

export type SidePart = Exclude<Part, Cloth> | SideCloth;

export interface Side {
  id: SideId;
  name: string;
  /** What is seen, in its own mm; parts in the order they lie over each other. */
  parts: readonly SidePart[];
  /** All that is seen, mm. */
  box: { x: number; y: number; width: number; height: number };
  text: string;
}

/** Whether a part is fabric. */
export const isCloth = (part: SidePart): part is SideCloth => part.type === 'cloth';
