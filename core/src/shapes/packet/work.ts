import {
  edgesOf,
  lengthOf,
  outerEdges,
  pickedUp,
  placesIn,
  reversed,
  wayFor,
  type Border,
  type Edge,
  type BorderStitch,
  type Fold,
  type Landmark,
  type Lies,
  type Seam,
  type Span,
  type Stretch,
} from '../../piece';
import type { Piece } from '../definition';

/** A rectangle folded to the middle from both ends: so many places of its long edges turned over at its beginning and at its end. */
interface FoldedPacket {
  piece: Piece;
  /** Its edges: the rows' own, or what its edging gave it. */
  edge: (side: Side) => Edge;
  layer: string;
  places: number;
  first: number;
  second: number;
}

/** The rows turned over at both ends, or the stitches of its edging, so that its edges overlap by so many mm as near as they come to it. */
export function foldedPacket(piece: Piece, overlapMm: number, edging: number): FoldedPacket {
  const raw = edgesOf(piece);
  const w = piece.fabric.stitchWidth.value;
  const whole = { piece: piece.id, edge: 'left', from: 1, to: piece.rows };
  const edged: Edge = { kind: 'stitch', count: pickedUp(raw.left, whole, piece.fabric) + 2 * edging, pitch: w };
  const edge = (side: Side) => (edging > 0 ? edged : raw[side]);
  const { count: places, pitch } = edge('left');
  // an end turned over no further than the back reaches
  const most = Math.max(2, Math.floor((2 * places) / 3));
  const turned = Math.min(most, Math.max(2, Math.floor((places + Math.round(overlapMm / pitch)) / 2)));
  const first = Math.floor(turned / 2);
  return { piece, edge, layer: edging > 0 ? 'edging.' : '', places, first, second: turned - first };
}

type Side = 'left' | 'right';

/** Where a place of the back has the first end before it, the second, both, or none. */
function layersAt({ places, first, second }: FoldedPacket, place: number): number[] {
  const one = 2 * first + 1 - place;
  const two = 2 * (places - second) + 1 - place;
  return [...(one >= 1 ? [one] : []), ...(two <= places ? [two] : [])];
}

/** One closed end, from the first fold to the second, through as many layers as lie there. */
function closedEnd(packet: FoldedPacket, side: Side): Stretch[] {
  const { piece, layer, places, first, second } = packet;
  const runs: number[][] = [];
  for (let row = first + 1; row <= places - second; row += 1) {
    const before = runs.at(-1);
    const alike =
      before &&
      layersAt(packet, before[0]!)
        .map((at) => at > first)
        .join() ===
        layersAt(packet, row)
          .map((at) => at > first)
          .join();
    if (alike) before.push(row);
    else runs.push([row]);
  }
  const edge = packet.edge(side);
  return runs.map((rows): Stretch => {
    const [from, to] = [rows[0]!, rows.at(-1)!];
    const at = (a: number, b: number): Span => ({ piece: piece.id, edge: layer + side, from: a, to: b });
    const [starts, ends] = [layersAt(packet, from), layersAt(packet, to)];
    const layers = starts.length + 1;
    return {
      spans: [at(from, to), ...starts.map((start, index) => at(start, ends[index]!))],
      stitches: pickedUp(edge, at(from, to), piece.fabric),
      lies: layers === 1 ? { line: 'the gap' } : { through: layers },
    };
  });
}

/** The two edges that meet along the opening, each from its right to its left as its right side is seen. */
export function packetLips({ piece, layer }: FoldedPacket, edging: Border | undefined): { path: Stretch[] }[] {
  const w = piece.fabric.stitchWidth.value;
  const edges = edging ? outerEdges(edging, w) : new Map(Object.entries(edgesOf(piece)));
  return (['foundation', 'last'] as const).map((end) => {
    const which = `the edge of the ${end === 'foundation' ? 'first' : 'second'} end`;
    const lies: Lies = { line: which, up: end };
    const { count } = edges.get(layer + end)!;
    const at = (edge: string, from: number, to: number): Stretch => {
      const span: Span = { piece: piece.id, edge: layer + edge, from, to };
      return { spans: [span], stitches: placesIn(span), lies };
    };
    const middle = count > 0 ? [at(end, count, 1)] : [];
    const path = edging ? [at(`${end}-right`, 1, 1), ...middle, at(`${end}-left`, 1, 1)] : middle;
    // with the right side facing and its edge up either end is gone along from right to left
    const way = end === 'last' ? path : reversed(path);
    const between: [Landmark, Landmark] = [
      { at: 'end', line: which, side: 'right' },
      { at: 'end', line: which, side: 'left' },
    ];
    return { path: way.map((stretch) => ({ ...stretch, between })) };
  });
}

/** Both ends turned over, their row ends on those of the back. */
export function packetFold(packet: FoldedPacket): Fold {
  const { piece, layer, places: rows, first, second } = packet;
  const lays = (['left', 'right'] as const).flatMap((edge): (readonly [Span, Span])[] => {
    const at = (from: number, to: number): Span => ({ piece: piece.id, edge: layer + edge, from, to });
    return [
      [at(first, 1), at(first + 1, 2 * first)],
      [at(rows - second + 1, rows), at(rows - second, rows - 2 * second + 1)],
    ];
  });
  return { id: 'packet', inside: 'wrong', lays };
}

/** Both ends closed by crochet, each from fold to fold. */
export function packetJoins(packet: FoldedPacket, stitch: BorderStitch): Border[] {
  return (['left', 'right'] as const).map((side) => {
    const fold = (which: string): Landmark => ({ at: 'line', line: `the ${which} fold`, side, as: 'end' });
    const path = closedEnd(packet, side).map((stretch): Stretch => ({
      ...stretch,
      between: [fold('first'), fold('second')],
    }));
    // counted from the first fold the right end goes up, the left one down
    return {
      do: 'border',
      id: `end-${side}`,
      stitch,
      courses: 1,
      closed: false,
      near: 'back',
      path: wayFor(side === 'right' ? path : reversed(path), stitch),
    };
  });
}

/** Both ends sewn; what lies in one layer needs no seam. */
export function packetSeams(packet: FoldedPacket, how: Seam['how'], factor: number): Seam[] {
  return (['left', 'right'] as const).flatMap((side) =>
    closedEnd(packet, side).flatMap(({ spans: [a, b, ...others] }): Seam[] => {
      if (!b) return [];
      const mm = lengthOf(packet.edge(side), a);
      return [
        {
          do: 'seam',
          how,
          spans: [a, b, ...others],
          factor,
          mm,
          through: packet.layer === '' ? 'the row ends' : 'the edge loops',
        },
      ];
    }),
  );
}
