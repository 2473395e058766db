import {
  backwards,
  nth,
  OPPOSITE,
  outerEdges,
  placesIn,
  wayFor,
  type Border,
  type BorderStitch,
  type Fold,
  type Landmark,
  type Lies,
  type Side,
  type Seam,
  type Span,
  type Stretch,
  type Work,
} from '../../piece';
import type { Piece } from '../definition';

/** What the line is called that lies along the top of the front. */
export const FRONT_TOP = 'the front’s top edge';

/** Two layers to be joined on three sides: how many places each has along its edges, between its corners. */
export interface Panels {
  /** The pieces by name: what lies in front, and what behind. */
  front: string;
  back: string;
  /** What stands before the name of an edge: the edging it lies along, if there is one. */
  on: 'edging.' | '';
  side: number;
  end: number;
  /** Width of a place, mm. */
  w: number;
}

/** Two panels alike, edged all round: what their edging leaves along their edges. */
export function edgedPanels(piece: Piece, edging: Border): Panels {
  const w = piece.fabric.stitchWidth.value;
  const edges = outerEdges(edging, w);
  const along = (edge: string) => edges.get(`edging.${edge}`)?.count ?? 0;
  return { front: piece.id, back: nth(piece.id, 2), on: 'edging.', side: along('left'), end: along('last'), w };
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

/** Places of an edge of a layer. */
export const along = ({ on }: Panels, piece: string, edge: string, from: number, to: number): Span => ({
  piece,
  edge: `${on}${edge}`,
  from,
  to,
});

/**
 * What of front and back is joined, wrong sides together, their bottoms level: left lies on right; so many stitches of each
 * side stay open, and a needle goes past the corners.
 */
export function panelsFold(panels: Panels, open: number, corners: boolean, says: string): Fold {
  const { front, back, side, end } = panels;
  const at = (piece: string, edge: string, from: number, to: number) => along(panels, piece, edge, from, to);
  const sides = (['left', 'right'] as const).flatMap((edge): [Span, Span][] => [
    [at(front, edge, 1, side - open), at(back, OPPOSITE[edge], 1, side - open)],
    ...(corners
      ? [[at(front, `foundation-${edge}`, 1, 1), at(back, `foundation-${OPPOSITE[edge]}`, 1, 1)] as [Span, Span]]
      : []),
  ]);
  return {
    id: 'panels',
    says,
    inside: 'wrong',
    lays: [...sides, [at(front, 'foundation', 1, end), at(back, 'foundation', end, 1)]],
  };
}

const BOTTOM: Landmark = { at: 'line', line: 'the bottom' };

/** Where a side of the front ends at its mouth. */
const mouthAt = (side: Side, open: number): Landmark => ({ at: 'side', layer: 'front', side, below: open });

/** Down one side, along the bottom, up the other, with so many stitches of each side left open below the mouth. */
export function threeSides(panels: Panels, open: number, through: Lies['through'] = 2): Stretch[] {
  const { side, end } = panels;
  const both = (edge: string, other: string, from: number, to: number, lies: Lies, turned = false): Stretch => {
    const front = along(panels, panels.front, edge, from, to);
    const back = along(panels, panels.back, other, from, to);
    return { spans: [front, turned ? backwards(back) : back], stitches: placesIn(front), lies };
  };
  const corner = (edge: 'left' | 'right'): Stretch => ({
    ...both(`foundation-${edge}`, `foundation-${OPPOSITE[edge]}`, 1, 1, {}),
    corner: true,
  });
  const stretches: Stretch[] = [
    {
      ...both('left', 'right', side - open, 1, { through, way: 'down', side: 'left' }),
      between: [mouthAt('left', open), BOTTOM],
    },
    corner('left'),
    both('foundation', 'foundation', 1, end, { line: 'the bottom' }, true),
    corner('right'),
    {
      ...both('right', 'left', 1, side - open, { through, way: 'up', side: 'right' }),
      between: [BOTTOM, mouthAt('right', open)],
    },
  ];
  return stretches.filter(({ corner: turns, stitches }) => turns || stitches > 0);
}

/** Three sides of two panels joined by crochet, through both edgings, stitch for stitch. */
export function panelsJoin(panels: Panels, stitch: BorderStitch, open: number): Border {
  return {
    do: 'border',
    id: 'join',
    stitch,
    courses: 1,
    closed: false,
    near: 'front',
    path: wayFor(threeSides(panels, open, 'edgings'), stitch),
  };
}

/** The same three sides sewn, place by place. */
export function panelsSeams(panels: Panels, how: Seam['how'], factor: number, open: number): Seam[] {
  return threeSides(panels, open, 'edgings')
    .filter(({ corner }) => !corner)
    .map(({ spans: [a, b] }) => ({
      do: 'seam',
      how,
      spans: [a, b!],
      factor,
      mm: placesIn(a) * panels.w,
      through: 'the outer edge loops',
    }));
}

/** A way that comes round, begun and ended at one place. */
export function beginningAt([first, ...rest]: readonly Stretch[], begins: Landmark): Stretch[] {
  if (!first) return [];
  const last = rest.at(-1);
  if (!last) return [{ ...first, between: [begins, begins] }];
  // gone the other way it begins where it ends
  return [{ ...first, between: [begins, begins] }, ...rest.slice(0, -1), { ...last, between: [begins, begins] }];
}

/** The way round the mouth of two joined panels, front then back, with the sides' slits where there are any. */
export function panelsRim(panels: Panels, open: number): Stretch[] {
  const { side, end } = panels;
  const turns = open > 0;
  const begins: Landmark = turns ? mouthAt('right', open) : { at: 'end', line: FRONT_TOP, side: 'right' };
  const way = [panels.front, panels.back].flatMap((piece, one) => {
    const lies: Lies = { line: one === 0 ? FRONT_TOP : 'the back’s top edge' };
    const at = (edge: string, from: number, to: number): Stretch => {
      const span = along(panels, piece, edge, from, to);
      return { spans: [span], stitches: placesIn(span), lies };
    };
    const corner = (edge: 'left' | 'right'): Stretch => ({ ...at(`last-${edge}`, 1, 1), corner: turns });
    const up: Stretch = { ...at('right', side - open + 1, side), lies: { way: 'up', of: 'the slit' } };
    const down: Stretch = { ...at('left', side, side - open + 1), lies: { way: 'down', of: 'the slit' } };
    const top = [corner('right'), at('last', end, 1), corner('left')];
    return turns ? [up, ...top, down] : top;
  });
  return beginningAt(way, begins);
}
