import { placesIn, type Border, type Stretch } from '../../piece';
import { along, panelsFold, panelsRim, threeSides, type Panels } from '../common/panelWork';
import { pieceEnd } from '../common/joins';
import type { Built, Piece, WorkStep } from '../definition';

/** Two stitches in each corner of a join of clusters (handbook 4.2). */
const inCorners = (path: readonly Stretch[]): Stretch[] =>
  path.map((stretch) => (stretch.corner ? { ...stretch, into: 2 } : stretch));

/** On from both layers around the flap, along the back alone, to where the join began. */
function roundTheFlap(panels: Panels, side: number): Stretch[] {
  const { back, side: joined, end } = panels;
  const at = (edge: string, from: number, to: number, name: string): Stretch => {
    const span = along(panels, back, edge, from, to);
    return { spans: [span], stitches: placesIn(span), name };
  };
  const corner = (edge: 'left' | 'right'): Stretch => ({ ...at(`last-${edge}`, 1, 1, 'corner'), corner: true });
  return [
    at('left', joined + 1, side, '{on} along the back alone, {up} the flap’s side'),
    corner('left'),
    at('last', 1, end, 'along the flap’s end'),
    corner('right'),
    at('right', side, joined + 1, '{down} its other side'),
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
    near: 'the front towards you',
    path: inCorners(flapSide === undefined ? sides : [...sides, ...roundTheFlap(panels, flapSide)]),
  };
}

const BORDERED = 'The join continues around the flap and edges it. Nothing more goes there.';

/**
 * How front and back become a pouch: each is fastened off, they are laid on each other and joined by singles through both
 * layers, on around the flap (handbook 5.7).
 *
 * @param back where it is longer than the front; else the front is made twice
 */
export function clusterWork(front: Piece, back: Piece | undefined): Pick<Built, 'assembly' | 'rim'> {
  const { side, end } = front.rectangle!;
  const panels: Panels = {
    front: front.id,
    back: back?.id ?? `${front.id}/2`,
    on: '',
    side,
    end,
    w: front.fabric.stitchWidth.value,
  };
  const says = back
    ? 'Lay the front on the back, wrong sides together, bottom edges level.'
    : 'Lay one rectangle on the other, wrong sides together, bottom edges level.';
  const join: WorkStep = {
    id: 'join-panels',
    section: 'joining',
    kind: 'assembly',
    does: [
      { do: 'fold', fold: panelsFold(panels, 0, true, says) },
      joinOf(panels, back?.rectangle!.side),
      { do: 'fasten-off' },
    ],
    check: {
      look: 'Do the groups of both layers face each other?',
      repair: 'Pull it out to the corner and match group for group.',
    },
    minutes: 4,
  };
  return {
    assembly: [...pieceEnd(front), ...(back ? pieceEnd(back) : []), join],
    rim: back ? BORDERED : () => panelsRim(panels, 0),
  };
}
