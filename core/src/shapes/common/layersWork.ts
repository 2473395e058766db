import {
  edgesOf,
  OPPOSITE,
  pickedUp,
  placesIn,
  reversed,
  type Border,
  type BorderStitch,
  type Fold,
  type Seam,
  type Span,
  type Stretch,
} from '../../piece';
import type { Piece } from '../definition';

type Side = keyof typeof OPPOSITE;

/** A back that goes on above them, and pocket pieces before it, the highest first: bottoms level, right sides out. */
export interface Stack {
  back: Piece;
  pockets: readonly Piece[];
}

const span = ({ id }: Piece, edge: string, from: number, to: number): Span => ({ piece: id, edge, from, to });

/** The back lies right side down under its pockets: their left edge lies on its right one. */
export function stackFold({ back, pockets }: Stack, corners: boolean): Fold {
  const n = back.stitches;
  const inset = corners ? 0 : 1;
  const lays = pockets.flatMap((pocket): (readonly [Span, Span])[] => [
    ...(['left', 'right'] as const).map(
      (side) => [span(pocket, side, 1, pocket.rows), span(back, OPPOSITE[side], 1, pocket.rows)] as const,
    ),
    [span(pocket, 'foundation', 1 + inset, n - inset), span(back, 'foundation', n - inset, 1 + inset)],
  ]);
  return { id: 'stack', lays };
}

/** A side from the top down, each stretch through as many layers as lie there. */
function downSide({ back, pockets }: Stack, side: Side): Stretch[] {
  const heights = pockets.map(({ rows }) => rows);
  const w = back.fabric.stitchWidth.value;
  return heights.flatMap((top, index): Stretch[] => {
    const to = (heights[index + 1] ?? 0) + 1;
    if (to > top) return [];
    const there = pockets.slice(0, index + 1);
    const first = span(there[0]!, side, top, to);
    const layers = there.length + 1;
    return [
      {
        spans: [
          first,
          span(back, OPPOSITE[side], top, to),
          ...there.slice(1).map((pocket) => span(pocket, side, top, to)),
        ],
        stitches: pickedUp(edgesOf(back)[side], first, w),
        name: `through ${layers === 2 ? 'both' : `all ${layers}`} layers, down the {side:${side}} side`,
      },
    ];
  });
}

function bottom({ back, pockets }: Stack): Stretch[] {
  const n = back.stitches;
  const all = (from: number, to: number, name: string): Stretch => ({
    spans: [
      span(pockets[0]!, 'foundation', from, to),
      span(back, 'foundation', n + 1 - from, n + 1 - to),
      ...pockets.slice(1).map((pocket) => span(pocket, 'foundation', from, to)),
    ],
    stitches: Math.abs(to - from) + 1,
    name,
  });
  const corner = (place: number): Stretch => ({ ...all(place, place, 'corner'), corner: true });
  return [corner(1), ...(n > 2 ? [all(2, n - 1, 'along the bottom')] : []), corner(n)];
}

/** Side, bottom and side through all layers, with the pockets towards the maker. */
function around(stack: Stack): Stretch[] {
  const up = reversed(downSide(stack, 'right')).map((stretch) => ({
    ...stretch,
    name: stretch.name.replace('down the', 'up the'),
  }));
  return [...downSide(stack, 'left'), ...bottom(stack), ...up].filter(({ stitches }) => stitches > 0);
}

/** The pieces crocheted together, in one pass. */
export function stackJoin(stack: Stack, stitch: BorderStitch): Border {
  return {
    do: 'border',
    id: 'sew-round',
    stitch,
    courses: 1,
    closed: false,
    from: 'at the pocket’s top edge, at the {side:left} side',
    path: around(stack),
  };
}

/** The same sewn: every stretch but the corners. */
export function stackSeams(stack: Stack, how: Seam['how'], factor: number): Seam[] {
  const { back } = stack;
  return around(stack)
    .filter(({ corner }) => !corner)
    .map(({ spans: [a, b, ...others] }) => ({
      do: 'seam',
      how,
      spans: [a, b!, ...others],
      factor,
      mm: placesIn(a) * (a.edge === 'foundation' ? back.fabric.stitchWidth.value : back.fabric.rowHeight.value),
      through: 'the edge loops',
      along: '',
    }));
}
