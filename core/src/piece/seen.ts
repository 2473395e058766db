import { rawOf, type Span } from './edge';
import type { RawEdge, Side } from './place';

/** Where a place of a rectangle’s edges lies on it, last row up: across from the left and up from the foundation, in shares. */
function placeOn(edge: RawEdge, at: number, count: number): readonly [x: number, y: number] {
  const share = count > 0 ? at / count : 0;
  if (edge === 'left' || edge === 'right') return [edge === 'left' ? 0 : 1, share];
  return [share, edge === 'foundation' ? 0 : 1];
}

/** The same turned, so that another of its edges is up. */
const TURNED: Readonly<Record<RawEdge, (x: number, y: number) => readonly [number, number]>> = {
  last: (x, y) => [x, y],
  foundation: (x, y) => [1 - x, 1 - y],
  right: (x, y) => [1 - y, x],
  left: (x, y) => [y, 1 - x],
};

/** What the law says of a span as it is held: at which side it lies, whether it rises or falls; nothing of what has no such side. */
export interface Seen {
  /** The side it lies at all along; where it begins and where it ends, if they are at one. */
  side?: Side;
  starts?: Side;
  ends?: Side;
  /** 1 where it goes up, -1 down, 0 level. */
  rises: -1 | 0 | 1;
}

const sideAt = (x: number): Side | undefined => (Math.abs(x - 0.5) < 1e-9 ? undefined : x < 0.5 ? 'left' : 'right');

const isRaw = (edge: string): edge is RawEdge => /^(foundation|last|left|right)$/.test(edge);

/**
 * How a span of a rectangle’s edge is seen (law, handbook 4.4).
 *
 * @param count how many places its edge has
 * @param up the edge of that rectangle which is up
 * @param facing 1 where its right side faces, -1 the wrong one
 * @returns nothing of an edge that is no rectangle’s, or of one place alone
 */
export function seenOf(span: Span, count: number, up: RawEdge, facing: number): Seen | undefined {
  const edge = rawOf(span);
  if (!isRaw(edge) || span.from === span.to) return undefined;
  const ends = span.from < span.to ? [span.from - 1, span.to] : [span.from, span.to - 1];
  const [a, b] = ends.map((at) => {
    const [x, y] = TURNED[up](...placeOn(edge, at!, count));
    return [facing > 0 ? x : 1 - x, y] as const;
  }) as [readonly [number, number], readonly [number, number]];
  const rises = Math.abs(b[1] - a[1]) < 1e-9 ? 0 : b[1] > a[1] ? 1 : -1;
  const [starts, ended] = [sideAt(a[0]), sideAt(b[0])];
  return {
    ...(rises !== 0 && starts ? { side: starts } : {}),
    ...(starts ? { starts } : {}),
    ...(ended ? { ends: ended } : {}),
    rises,
  };
}
