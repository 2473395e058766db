import {
  backwards,
  edgesOf,
  nth,
  pickedUp,
  placesIn,
  type Border,
  type BorderStitch,
  type Fold,
  type Seam,
  type Span,
  type Stretch,
  type Work,
} from '../../piece';
import type { Piece } from '../definition';

/** Two panels alike, edged all round: how many stitches their edging has along each edge, between its corners. */
export interface EdgedPanels {
  piece: Piece;
  courses: number;
  side: number;
  end: number;
}

export function edgedPanels(piece: Piece, courses: number, corner: number): EdgedPanels {
  const edges = edgesOf(piece);
  const w = piece.fabric.stitchWidth.value;
  // a corner gives one more stitch to each edge beside it, in every course
  const more = corner > 1 ? 2 * courses : 0;
  return {
    piece,
    courses,
    side: pickedUp(edges.left, piece.rows, w) + more,
    end: Math.max(0, piece.stitches - 2) + more,
  };
}

/** The second of two panels, made and edged as the first. */
export function secondPanel({ id }: Piece, edging: Border): Work {
  const as = nth(id, 2);
  const path = edging.path.map((stretch): Stretch => {
    const [span] = stretch.spans;
    return { ...stretch, spans: [{ ...span, piece: as }] };
  });
  return {
    do: 'again',
    piece: id,
    as,
    works: [{ do: 'make', piece: as }, { ...edging, path }, { do: 'fasten-off' }],
  };
}

const MIRRORED = { left: 'right', right: 'left' } as const;

/**
 * What of the edgings of front and back is joined, wrong sides together, their bottoms level: left lies on right; so many
 * stitches of each side stay open, and a needle goes past the corners.
 */
export function panelsFold({ piece, side, end }: EdgedPanels, open: number, corners: boolean): Fold {
  const at = (one: number, edge: string, from: number, to: number): Span => ({
    piece: nth(piece.id, one),
    edge: `edging.${edge}`,
    from,
    to,
  });
  const sides = (['left', 'right'] as const).flatMap((edge): [Span, Span][] => [
    [at(1, edge, 1, side - open), at(2, MIRRORED[edge], 1, side - open)],
    ...(corners
      ? [[at(1, `foundation-${edge}`, 1, 1), at(2, `foundation-${MIRRORED[edge]}`, 1, 1)] as [Span, Span]]
      : []),
  ]);
  return { id: 'panels', lays: [...sides, [at(1, 'foundation', 1, end), at(2, 'foundation', end, 1)]] };
}

/** Down one side, along the bottom, up the other, with so many stitches of each side left open below the mouth. */
function threeSides({ piece, side, end }: EdgedPanels, open: number): Stretch[] {
  const both = (edge: string, other: string, from: number, to: number, name: string, turned = false): Stretch => {
    const front: Span = { piece: piece.id, edge: `edging.${edge}`, from, to };
    const back: Span = { piece: nth(piece.id, 2), edge: `edging.${other}`, from, to };
    return { spans: [front, turned ? backwards(back) : back], stitches: placesIn(front), name };
  };
  const corner = (edge: 'left' | 'right'): Stretch => ({
    ...both(`foundation-${edge}`, `foundation-${MIRRORED[edge]}`, 1, 1, 'corner'),
    corner: true,
  });
  const stretches = [
    both('left', 'right', side - open, 1, 'through both edgings, down the {side:left} side'),
    corner('left'),
    both('foundation', 'foundation', 1, end, 'along the bottom', true),
    corner('right'),
    both('right', 'left', 1, side - open, 'up the {side:right} side'),
  ];
  return stretches.filter(({ corner: turns, stitches }) => turns || stitches > 0);
}

/** Three sides of two panels joined by crochet, through both edgings, stitch for stitch. */
export function panelsJoin(panels: EdgedPanels, stitch: BorderStitch, open: number): Border {
  return {
    do: 'border',
    id: 'join',
    name: 'join',
    stitch,
    courses: 1,
    closed: false,
    from: `at the {side:left} side of the front, ${open > 0 ? `${open} stitches below its top edge` : 'at its top edge'}`,
    path: threeSides(panels, open),
  };
}

/** The same three sides sewn, place by place. */
export function panelsSeams(panels: EdgedPanels, how: Seam['how'], factor: number, open: number): Seam[] {
  const w = panels.piece.fabric.stitchWidth.value;
  return threeSides(panels, open)
    .filter(({ corner }) => !corner)
    .map(({ spans: [a, b], name }) => ({
      do: 'seam',
      how,
      spans: [a, b!],
      factor,
      mm: placesIn(a) * w,
      through: 'the outer edge loops',
      along: name.replace(/^.*, /, '').replace(/^(down|up|along) /, ''),
    }));
}
