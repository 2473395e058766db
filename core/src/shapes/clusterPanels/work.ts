import { nth, outerEdges, placesIn, type Border, type Lies, type Span, type Stretch } from '../../piece';
import { edgedFirst } from '../common/strip';
import { along, panelsFold, panelsRim, secondPanel, threeSides, type Panels } from '../common/panelWork';
import { pieceEnd } from '../common/joins';
import type { Built, Piece, WorkStep } from '../definition';

/** The edging of each rectangle, where there is one. */
export interface ClusterBorders {
  front?: Border;
  back?: Border;
}

/** The edging of a rectangle of groups: it goes on where its last round was joined, at a corner. */
export function rectangleEdging(
  piece: Piece,
  courses: number,
  stitch: 'single' | 'slip',
  colour: string | undefined,
): Border {
  const { side, end } = piece.rectangle!;
  const at = (edge: string, from: number, to: number, lies: Lies): Stretch => {
    const span: Span = { piece: piece.id, edge, from, to };
    return { spans: [span], stitches: placesIn(span), lies };
  };
  const corner = (edge: string): Stretch => ({ ...at(edge, 1, 1, {}), corner: true });
  return {
    do: 'border',
    id: 'edging',
    stitch,
    courses,
    ...(colour ? { colour } : {}),
    closed: true,
    from: { at: 'corner' },
    path: [
      at('left', side, 1, { way: 'down', side: 'left' }),
      corner('foundation-left'),
      at('foundation', 1, end, { line: 'the bottom' }),
      corner('foundation-right'),
      at('right', 1, side, { way: 'up', side: 'right' }),
      corner('last-right'),
      at('last', end, 1, { line: 'the top' }),
      corner('last-left'),
    ],
  };
}

/** Two stitches in each corner of a join of clusters (handbook 4.2). */
const inCorners = (path: readonly Stretch[]): Stretch[] =>
  path.map((stretch) => (stretch.corner ? { ...stretch, into: 2 } : stretch));

/** On from both layers around the flap, along the back alone, to where the join began. */
function roundTheFlap(panels: Panels, side: number): Stretch[] {
  const { back, side: joined, end } = panels;
  const at = (edge: string, from: number, to: number, lies: Lies): Stretch => {
    const span = along(panels, back, edge, from, to);
    return { spans: [span], stitches: placesIn(span), lies };
  };
  const corner = (edge: 'left' | 'right'): Stretch => ({ ...at(`last-${edge}`, 1, 1, {}), corner: true });
  return [
    at('left', joined + 1, side, { way: 'up', of: 'the flap’s side', alone: 'back' }),
    corner('left'),
    at('last', 1, end, { line: 'the flap’s end' }),
    corner('right'),
    at('right', side, joined + 1, { way: 'down', of: 'its other side' }),
  ];
}

/** Both layers joined on three sides, and where the back goes on as a flap around that too. */
function joinOf(panels: Panels, flapSide: number | undefined): Border {
  const sides = threeSides(panels, 0);
  return {
    do: 'border',
    id: 'join',
    stitch: 'single',
    courses: 1,
    closed: flapSide !== undefined,
    near: 'front',
    path: inCorners(flapSide === undefined ? sides : [...sides, ...roundTheFlap(panels, flapSide)]),
  };
}

/** What a rectangle offers to a join: its last round, or what edges it. */
function joinedAlong(piece: Piece, border: Border | undefined): Omit<Panels, 'front' | 'back'> {
  const w = piece.fabric.stitchWidth.value;
  if (!border) return { on: '', ...piece.rectangle!, w };
  const edges = outerEdges(border, w);
  const along = (edge: string) => edges.get(`edging.${edge}`)!.count;
  return { on: 'edging.', side: along('left'), end: along('last'), w };
}

/** A rectangle to its end: edged where it is to be, fastened off, and what is made twice once more. */
function made(piece: Piece, border: Border | undefined): WorkStep[] {
  if (!border) return pieceEnd(piece);
  const first = edgedFirst(piece.id, border);
  const one = [{ ...first, id: `edging-${piece.id}` }, ...pieceEnd({ id: piece.id, times: 1 })];
  if (piece.times === 1) return one;
  const again: WorkStep = {
    id: `more-${piece.id}`,
    section: 'joining',
    kind: 'assembly',
    after: piece.id,
    does: [secondPanel(piece, border)],
    text: 'Make the second rectangle in the same way, with its edging, and fasten off.',
    minutes: 0,
  };
  return [...one, again];
}

const BORDERED = 'The join continues around the flap and edges it. Nothing more goes there.';

/**
 * How front and back become a pouch: each is fastened off, they are laid on each other and joined by singles through both
 * layers, on around the flap (handbook 5.7).
 *
 * @param back where it is longer than the front; else the front is made twice
 */
export function clusterWork(
  front: Piece,
  back: Piece | undefined,
  borders: ClusterBorders,
): Pick<Built, 'assembly' | 'rim'> {
  const layers = { front: front.id, back: back?.id ?? nth(front.id, 2) };
  const panels: Panels = { ...joinedAlong(front, borders.front), ...layers };
  const says = back
    ? 'Lay the front on the back, wrong sides together, bottom edges level.'
    : 'Lay one rectangle on the other, wrong sides together, bottom edges level.';
  const join: WorkStep = {
    id: 'join-panels',
    section: 'joining',
    kind: 'assembly',
    does: [
      { do: 'fold', fold: panelsFold(panels, 0, true, says) },
      joinOf(panels, back && joinedAlong(back, borders.back).side),
      { do: 'fasten-off' },
    ],
    check: {
      look: 'Do the groups of both layers face each other?',
      repair: 'Pull it out to the corner and match group for group.',
    },
    minutes: 4,
  };
  return {
    assembly: [...made(front, borders.front), ...(back ? made(back, borders.back) : []), join],
    rim: back ? BORDERED : () => panelsRim(panels, 0),
  };
}
