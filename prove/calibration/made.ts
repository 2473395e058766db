import type { Step } from '@keep-snug/core';
import type { Fabric } from './truth';
import type { Made } from './verdict';

/** What joins take of each side, in stitches (handbook 3). */
const TAKE: Readonly<Record<string, number>> = { whip: 0.25, mattress: 0.25, slip: 0, single: 0 };

/** What a sewn line between channels takes of the fabric, in stitches (handbook 6). */
const LINE_TAKES = 0.3;

const isCourse = ({ kind, row }: Step) => kind === 'row' || kind === 'round' || (kind === 'foundation' && row === 1);

/** Courses of a piece by their sections, and their counts; row 1 may be told with its chain. */
interface Courses {
  /** How many courses there are of these sections. */
  of: (...sections: string[]) => number;
  all: number;
  /** Stitches each of a section ends on. */
  ends: (section: string) => number[];
  /** Stitches of the tightest that goes round: of rows the shortest, of rounds the last, which all others led up to. */
  stitches: number;
}

export function coursesOf(steps: readonly Step[], piece = 'body'): Courses {
  const own = steps.filter((step) => step.piece === piece && isCourse(step));
  const ends = (section: string) => own.filter((step) => step.section === section).map(({ ends: n }) => n ?? 0);
  return {
    of: (...sections) => own.filter(({ section }) => sections.includes(section)).length,
    all: own.length,
    ends,
    stitches: own.at(-1)!.kind === 'round' ? own.at(-1)!.ends! : Math.min(...own.map((step) => step.ends ?? Infinity)),
  };
}

/** How wide the stitches between two joins lie, with what is edged, and what that is inside round both faces. */
export function flatRound(n: number, join: string, { piece, border, t }: Fabric, edging = 0): number {
  return 2 * ((n - 2 * TAKE[join]!) * piece.w + 2 * edging * border) - Math.PI * t;
}

/** What a front of so much fabric is deep inside: its bottom turns under half the thing (handbook 3). */
export const frontDepth = (front: number, depth: number, { t }: Fabric): number =>
  front - depth / 2 - (Math.PI * t) / 4;

/**
 * How far what goes up behind, over the thing's top and down in front comes to lie below the front's own top, which stands
 * above the thing's by what it is deeper inside (handbook 3).
 */
export function flapBelow(
  behind: number,
  front: number,
  { height, depth }: { height: number; depth: number },
  { t }: Fabric,
): number {
  const belowThing = behind - (depth / 2 + (Math.PI * t) / 4) - height - (depth + (Math.PI * t) / 2);
  return belowThing + front - height;
}

/** A tube of so many stitches round. */
export const tubeRound = (n: number, { piece, t }: Fabric): number => n * piece.w - Math.PI * t;

/** A flat base by its rounds: what it is round its edge, what its stitches make of it before the last carries the rest. */
export function baseOf(rounds: readonly number[], wall: number, { piece }: Fabric, straight = 0): Made['base'] {
  const [last = 0, before = 0] = rounds.slice(0, -1).reverse();
  return {
    flat: 2 * straight * piece.w + 2 * Math.PI * rounds.length * piece.h,
    stitches: (last + (last - before)) * piece.w,
    wall: wall * piece.w,
  };
}

/** Channels between lines that are told as lying between two stitches: what each holds inside. */
export function channels(steps: readonly Step[], columns: number, { piece, t }: Fabric): number[] {
  const text = steps.find(({ id }) => id === 'sew-dividers')!.text;
  const lines = [...text.matchAll(/between (?:stitch )?(\d+) and \d+/g)].map(([, at]) => Number(at));
  const edges = [0, ...lines, columns];
  return edges.slice(1).map((to, index) => {
    const sides = Number(index > 0) + Number(index < lines.length);
    return 2 * (to - edges[index]! - (sides * LINE_TAKES) / 2) * piece.w - Math.PI * t;
  });
}
