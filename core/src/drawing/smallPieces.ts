import type { Piece } from '../piece';
import { formatNumber, plural } from '../base/units';
import { panel, unlikeDrawn } from './draw';
import { bandsDrawn } from './runs';
import { tailsOf } from './tails';
import type { WorkedFabric } from '../craft/fabric';
import type { Part, View } from './parts';

/** Room between two of them, as a share of the longest. */
const APART = 0.06;

/** How large so many of a piece are, in words. */
const sized = ({ name, times, stitches, rows, width, height, worked }: Piece): string =>
  `${name}${times > 1 ? ` (${times})` : ''}: ${plural(stitches, 'stitch', 'stitches')}, ${plural(rows, worked === 'rows' ? 'row' : 'round')}, {mm:${formatNumber(width.value)}} by {mm:${formatNumber(height.value)}}`;

/** What is made for fittings, each piece lying on its side below the one before, stitch for stitch. */
export function smallPieces(pieces: readonly Piece[], own: WorkedFabric): View | undefined {
  if (pieces.length === 0) return undefined;
  const long = Math.max(...pieces.map(({ height }) => height.value));
  const gap = APART * Math.max(long, ...pieces.map(({ width }) => width.value));
  let y = 0;
  const parts = pieces.flatMap((piece): Part[] => {
    const box = { x: 0, y, w: piece.height.value, h: piece.width.value };
    y += box.h + gap;
    const inRows = piece.worked === 'rows';
    const cloth = panel({
      role: 'pocket',
      label: piece.name.toLowerCase(),
      sub: plural(piece.rows, inRows ? 'row' : 'round'),
      ...box,
      rows: piece.rows,
      stitches: inRows ? piece.stitches : Math.floor(piece.stitches / 2),
      stacked: 'x',
      ...(inRows ? unlikeDrawn(piece, own) : bandsDrawn(piece)),
    });
    if (!inRows || piece.foundation.kind !== 'chain') return [cloth];
    const { start, end } = tailsOf(piece, 'x', box);
    return [cloth, start, end];
  });
  return {
    id: 'parts',
    name: 'Pieces',
    width: long,
    height: y - gap,
    parts,
    text: `Made for it besides: ${pieces.map(sized).join('; ')}.`,
  };
}
