import { pickUp, type Reach } from '../craft/counts';
import type { Place, WorkedFabric } from '../craft/fabric';
import { bandsOf, type Piece } from './piece';
import type { RawEdge } from './place';

/** The side of a back that a side of the front lies on, wrong sides together. */
export const OPPOSITE = { left: 'right', right: 'left' } as const;

/** A line of places along a piece. */
export interface Edge {
  kind: Extract<Place, 'stitch' | 'chain' | 'space' | 'row-end'>;
  count: number;
  /** mm from place to place, on the whole. */
  pitch: number;
  /** How far so many places reach, mm, where they are unlike. */
  reach?: Reach;
}

/**
 * Places of an edge, counted from 1: stitches from the left, rows from the foundation. `from` over `to` runs backwards.
 * An edge of a border is named by the border, a point and the edge it lies along: `edging.left`.
 */
export interface Span {
  piece: string;
  edge: string;
  from: number;
  to: number;
}

/** How many places a span takes in. */
export const placesIn = ({ from, to }: Span): number => Math.abs(to - from) + 1;

/** A span gone from its other end. */
export const backwards = ({ from, to, ...span }: Span): Span => ({ ...span, from: to, to: from });

/** What a span lies along, whatever was worked on it. */
export const rawOf = ({ edge }: Pick<Span, 'edge'>): string => edge.slice(edge.lastIndexOf('.') + 1);

/** Edges whose places are counted against the way their outline goes. */
const COUNTED_BACK: ReadonlySet<string> = new Set(['left', 'last', 'ring']);

/**
 * Which way a span goes: 1 counter-clockwise on the outline of its piece as its right side is seen, or to the left round an
 * opening as it is seen from outside; -1 the other way; 0 of one place alone (law, handbook 4.4, the hand has sides).
 */
export function goesAlong(span: Span): 1 | -1 | 0 {
  if (span.from === span.to) return 0;
  return span.from < span.to !== COUNTED_BACK.has(rawOf(span)) ? 1 : -1;
}

/** How long a span of an edge is, mm: places unlike each other by their own sizes. */
export function lengthOf({ pitch, reach }: Edge, span: Span): number {
  if (!reach) return placesIn(span) * pitch;
  return reach(Math.max(span.from, span.to)) - reach(Math.min(span.from, span.to) - 1);
}

/** The edges of a rectangle worked in rows: the only source of its places and their mm (handbook 4.4). */
export function edgesOf({
  stitches,
  firstStitches = stitches,
  rows,
  fabric,
  bands,
  reach,
}: Pick<Piece, 'stitches' | 'firstStitches' | 'rows' | 'fabric' | 'bands' | 'reach'>): Record<RawEdge, Edge> {
  const across = { count: stitches, pitch: fabric.stitchWidth.value };
  const pitch = bands ? reach(rows) / rows : fabric.rowHeight.value;
  const up: Edge = { kind: 'row-end', count: rows, pitch, ...(bands ? { reach } : {}) };
  const foundation: Edge = { kind: 'chain', ...across, count: firstStitches };
  return { foundation, last: { kind: 'stitch', ...across }, left: up, right: up };
}

/**
 * The edges of a tube: its mouth, the last round; and the chain joined to a ring it was begun on. Each comes round to where it
 * begins (handbook 4.4).
 */
export type RoundEdge = 'mouth' | 'ring';

/** Every edge of a piece by its name, worked in rows or in rounds. */
export function allEdges(piece: Piece): [string, Edge][] {
  if (piece.worked === 'rows') return Object.entries(edgesOf(piece));
  if (piece.rectangle) return rectangleEdges(piece.rectangle, piece.fabric.stitchWidth.value);
  const last = piece.roundCounts?.at(-1) ?? piece.stitches;
  const { fabric } = bandsOf(piece).at(-1)!;
  const mouth: Edge = { kind: 'stitch', count: last, pitch: fabric.stitchWidth.value };
  const lips = (piece.lips ?? []).map(({ name, kind, count }): [string, Edge] => [
    name,
    { kind, count, pitch: piece.fabric.stitchWidth.value },
  ]);
  if (piece.foundation.kind !== 'joined-chain') return [['mouth', mouth], ...lips];
  const ring: Edge = {
    kind: 'chain',
    count: piece.firstStitches ?? piece.stitches,
    pitch: piece.fabric.stitchWidth.value,
  };
  return [
    ['mouth', mouth],
    ['ring', ring],
  ];
}

/** A rectangle worked in rounds has the edges of one worked in rows, and a space of chains at each corner. */
function rectangleEdges({ side, end }: { side: number; end: number }, pitch: number): [string, Edge][] {
  const line = (count: number): Edge => ({ kind: 'stitch', count, pitch });
  const corner: Edge = { kind: 'space', count: 1, pitch };
  return [
    ['foundation', line(end)],
    ['last', line(end)],
    ['left', line(side)],
    ['right', line(side)],
    ...(['foundation-left', 'foundation-right', 'last-left', 'last-right'] as const).map((name): [string, Edge] => [
      name,
      corner,
    ]),
  ];
}

/** Width of the stitches that are picked up along a piece, mm: those of a border, whatever the piece is worked in. */
export const pickedUpWidth = (fabric: WorkedFabric): number => fabric.also('single', 'rows').stitchWidth.value;

/**
 * Stitches of a border along a span of an edge: one for one, or along row ends by their height (law, handbook 4.2).
 * @param fabric the piece's
 */
export function pickedUp(edge: Edge, span: Span, fabric: WorkedFabric): number {
  const places = placesIn(span);
  if (edge.kind !== 'row-end') return places;
  return pickUp(places, lengthOf(edge, span) / places, pickedUpWidth(fabric)).stitches;
}

/**
 * Where a rectangle's places end, as points that neighbours share: the boundary before place 1 is 0. Its corners have one
 * name each, whichever edge comes to them.
 */
export function pointsOf(span: Span, count: (edge: string) => number): readonly [string, string] {
  const [first, last] = span.from <= span.to ? [span.from - 1, span.to] : [span.from, span.to - 1];
  return [pointAt(span, first, count), pointAt(span, last, count)];
}

function pointAt({ piece, edge }: Span, at: number, count: (edge: string) => number): string {
  const dot = edge.lastIndexOf('.') + 1;
  const [layer, raw] = [edge.slice(0, dot), edge.slice(dot)];
  const corner = /^(foundation|last)-(left|right)$/.exec(raw);
  if (corner) return `${piece}:${layer}${corner[2]}:${corner[1] === 'foundation' ? 0 : count(layer + corner[2])}`;
  // a round ends where it begins
  if (raw === 'mouth' || raw === 'ring') return `${piece}:${edge}:${at === count(edge) ? 0 : at}`;
  if (raw !== 'foundation' && raw !== 'last') return `${piece}:${edge}:${at}`;
  if (at !== 0 && at !== count(edge)) return `${piece}:${edge}:${at}`;
  const side = `${layer}${at === 0 ? 'left' : 'right'}`;
  return `${piece}:${side}:${raw === 'foundation' ? 0 : count(side)}`;
}
