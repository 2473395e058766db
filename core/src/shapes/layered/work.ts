import { cumulativeRows } from '../../craft/counts';
import {
  edgesOf,
  lengthOf,
  OPPOSITE,
  pickedUp,
  placesIn,
  reversed,
  wayFor,
  type Border,
  type BorderStitch,
  type Fold,
  type Landmark,
  type Lies,
  type RawEdge,
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

/** Heights at which pockets end, from the bottom up, mm; alike ones once. */
function levelsOf({ pockets }: Stack): number[] {
  const tops = pockets.map(({ rows, reach }) => reach(rows));
  return [...new Set(tops)].sort((a, b) => a - b);
}

/**
 * The row each level comes to on a piece: of unlike fabrics the rows beside each other differ, and every part has one at
 * least (law, handbook 4).
 */
function rowsAt(levels: readonly number[], piece: Piece): number[] {
  const top = piece.reach(piece.rows);
  const below = levels.filter((mm) => mm <= top + 1e-9);
  const parts = below.map((mm, index) => ({ name: '', mm: mm - (below[index - 1] ?? 0) }));
  return cumulativeRows(parts, piece.reach).map(({ to }) => to);
}

/** Whether every layer has rows enough to be joined level by level. */
export function canBeStacked(stack: Stack): boolean {
  const levels = levelsOf(stack);
  const own = ({ rows, reach }: Piece) => levels.indexOf(reach(rows)) + 1;
  const { pockets } = stack;
  const ordered = pockets.slice(1).every((pocket, index) => own(pocket) <= own(pockets[index]!));
  return ordered && pockets.every((pocket) => rowsAt(levels, pocket).at(-1) === pocket.rows);
}

/** The back lies right side down under its pockets: their left edge lies on its right one. */
export function stackFold(stack: Stack, corners: boolean): Fold {
  const { back, pockets } = stack;
  const levels = levelsOf(stack);
  const behind = rowsAt(levels, back);
  const inset = corners ? 0 : 1;
  const lays = pockets.flatMap((pocket): (readonly [Span, Span])[] => [
    ...(['left', 'right'] as const).map(
      (side) =>
        [
          span(pocket, side, 1, pocket.rows),
          span(back, OPPOSITE[side], 1, behind[levels.indexOf(pocket.reach(pocket.rows))]!),
        ] as const,
    ),
    [
      span(pocket, 'foundation', 1 + inset, pocket.stitches - inset),
      span(back, 'foundation', back.stitches - inset, 1 + inset),
    ],
  ]);
  return { id: 'stack', inside: 'wrong', lays };
}

/** A side from the top down, each stretch through as many layers as lie there. */
function downSide(stack: Stack, side: Side): Stretch[] {
  const { back, pockets } = stack;
  const levels = levelsOf(stack);
  const rows = new Map([back, ...pockets].map((piece) => [piece, rowsAt(levels, piece)]));
  return levels
    .map((level, index): Stretch => {
      const part = (piece: Piece, edge: Side) => {
        const at = rows.get(piece)!;
        return span(piece, edge, at[index]!, (at[index - 1] ?? 0) + 1);
      };
      const [inner, ...others] = pockets.filter((pocket) => pocket.reach(pocket.rows) >= level);
      const first = part(inner!, side);
      const layers = others.length + 2;
      return {
        spans: [first, part(back, OPPOSITE[side]), ...others.map((other) => part(other, side))],
        stitches: pickedUp(edgesOf(inner!)[side], first, inner!.fabric),
        lies: { through: layers, way: 'down', side },
        between: [
          { at: 'line', line: POCKET_TOP, side },
          { at: 'line', line: 'the bottom' },
        ],
      };
    })
    .reverse();
}

function bottom({ back, pockets }: Stack): Stretch[] {
  const [inner] = pockets;
  const all = (from: (n: number) => number, to: (n: number) => number, lies: Lies): Stretch => {
    const along = (piece: Piece) => span(piece, 'foundation', from(piece.stitches), to(piece.stitches));
    const on = along(back);
    const under = { ...on, from: back.stitches + 1 - on.from, to: back.stitches + 1 - on.to };
    const first = along(inner!);
    return { spans: [first, under, ...pockets.slice(1).map(along)], stitches: placesIn(first), lies };
  };
  const corner = (at: (n: number) => number): Stretch => ({ ...all(at, at, {}), corner: true });
  const first = () => 1;
  const last = (n: number) => n;
  const unlike = pockets.some(({ stitches }) => stitches !== back.stitches);
  const middle = all(
    () => 2,
    (n) => n - 1,
    { line: 'the bottom', ...(unlike ? { level: true } : {}) },
  );
  return [corner(first), ...(inner!.stitches > 2 ? [middle] : []), corner(last)];
}

/** Side, bottom and side through all layers, with the pockets towards the maker. */
function around(stack: Stack): Stretch[] {
  const up = reversed(downSide(stack, 'right'));
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
    near: stack.pockets.length > 1 ? 'pockets' : 'pocket',
    path: wayFor(around(stack), stitch),
  };
}

const POCKET_TOP = 'the pocket’s top edge';

const levelWith = (side: Side): Landmark => ({ at: 'level', layer: 'back', side, with: POCKET_TOP });

/** Where its opening is edged: the inner pocket's top edge, and what of the back goes on above it, around the flap. */
export function stackLips(stack: Stack): { path: Stretch[] }[] {
  const { back, pockets } = stack;
  const inner = pockets[0]!;
  const { stitches: n, rows } = back;
  const above = rowsAt(levelsOf(stack), back).at(-1)! + 1;
  const edges = edgesOf(back);
  const along = (edge: RawEdge, from: number, to: number, lies: Lies): Stretch => {
    const on = span(back, edge, from, to);
    return { spans: [on], stitches: pickedUp(edges[edge], on, back.fabric), lies };
  };
  const corner = (at: number): Stretch => ({
    spans: [span(back, 'last', at, at)],
    stitches: 1,
    corner: true,
    lies: {},
  });
  const top: Stretch = {
    spans: [span(inner, 'last', inner.stitches, 1)],
    stitches: inner.stitches,
    lies: { line: POCKET_TOP },
    between: [
      { at: 'end', line: POCKET_TOP, side: 'right' },
      { at: 'end', line: POCKET_TOP, side: 'left' },
    ],
  };
  const around: Stretch[] = [
    {
      ...along('right', above, rows, { way: 'on', side: 'right', of: 'edge' }),
      between: [levelWith('right'), levelWith('left')],
    },
    corner(n),
    ...(n > 2 ? [along('last', n - 1, 2, { line: 'the flap’s edge', goes: 'across' })] : []),
    corner(1),
    {
      ...along('left', rows, above, { way: 'back', side: 'left', of: 'edge' }),
      between: [levelWith('right'), levelWith('left')],
    },
  ];
  return [{ path: [top] }, { path: around }];
}

/** The same sewn: every stretch but the corners. */
export function stackSeams(stack: Stack, how: Seam['how'], factor: number): Seam[] {
  return around(stack)
    .filter(({ corner }) => !corner)
    .map(({ spans: [a, b, ...others] }) => ({
      do: 'seam',
      how,
      spans: [a, b!, ...others],
      factor,
      mm: lengthOf(edgesOf(stack.pockets[0]!)[a.edge as RawEdge], a),
      through: 'the edge loops',
    }));
}
