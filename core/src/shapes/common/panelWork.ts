import {
  backwards,
  nth,
  OPPOSITE,
  outerEdges,
  placesIn,
  type Border,
  type BorderStitch,
  type Fold,
  type Seam,
  type Span,
  type Stretch,
  type Work,
} from '../../piece';
import { plural } from '../../units';
import type { Piece } from '../definition';

/** Two panels alike, edged all round: how many stitches their edging has along each edge, between its corners. */
export interface EdgedPanels {
  piece: Piece;
  side: number;
  end: number;
}

/** What its edging leaves along the edges of a panel. */
export function edgedPanels(piece: Piece, edging: Border): EdgedPanels {
  const edges = outerEdges(edging, piece.fabric.stitchWidth.value);
  const along = (edge: string) => edges.get(`edging.${edge}`)?.count ?? 0;
  return { piece, side: along('left'), end: along('last') };
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
    [at(1, edge, 1, side - open), at(2, OPPOSITE[edge], 1, side - open)],
    ...(corners
      ? [[at(1, `foundation-${edge}`, 1, 1), at(2, `foundation-${OPPOSITE[edge]}`, 1, 1)] as [Span, Span]]
      : []),
  ]);
  const says = 'Lay one panel on the other, wrong sides together, top edges level.';
  return { id: 'panels', says, lays: [...sides, [at(1, 'foundation', 1, end), at(2, 'foundation', end, 1)]] };
}

/** Down one side, along the bottom, up the other, with so many stitches of each side left open below the mouth. */
function threeSides({ piece, side, end }: EdgedPanels, open: number): Stretch[] {
  const both = (edge: string, other: string, from: number, to: number, name: string, turned = false): Stretch => {
    const front: Span = { piece: piece.id, edge: `edging.${edge}`, from, to };
    const back: Span = { piece: nth(piece.id, 2), edge: `edging.${other}`, from, to };
    return { spans: [front, turned ? backwards(back) : back], stitches: placesIn(front), name };
  };
  const corner = (edge: 'left' | 'right'): Stretch => ({
    ...both(`foundation-${edge}`, `foundation-${OPPOSITE[edge]}`, 1, 1, 'corner'),
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
      along: `${name.replace(/^.*, /, '').replace(/^(down|up|along) /, '')}${open > 0 && name.includes('side') ? `, leaving the upper ${plural(open, 'stitch', 'stitches')} open` : ''}`,
    }));
}

/** The way round the mouth of two joined panels, front then back, with the sides' slits where there are any. */
export function panelsRim({ piece, side, end }: EdgedPanels, open: number): Stretch[] {
  const turns = open > 0;
  return ([1, 2] as const).flatMap((one) => {
    const name = one === 1 ? 'along the front’s top edge' : 'along the back’s top edge';
    const at = (edge: string, from: number, to: number): Stretch => {
      const span: Span = { piece: nth(piece.id, one), edge: `edging.${edge}`, from, to };
      return { spans: [span], stitches: placesIn(span), name };
    };
    const corner = (edge: 'left' | 'right'): Stretch => ({ ...at(`last-${edge}`, 1, 1), corner: turns });
    const up = { ...at('right', side - open + 1, side), name: 'up the slit' };
    const down = { ...at('left', side, side - open + 1), name: 'down the slit' };
    const top = [corner('right'), at('last', end, 1), corner('left')];
    return turns ? [up, ...top, down] : top;
  });
}
