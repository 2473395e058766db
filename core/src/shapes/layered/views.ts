import type { WorkedFabric } from '../../craft/fabric';
import { bottomGive, crossing } from '../../craft/fit';
import type { Piece } from '../../piece';
import type { WorkedThing } from '../../craft/things';
import { formatNumber } from '../../base/units';
import { closedViews } from '../common/closedViews';
import { joinsSeen, type Join } from '../common/joins';
import { cutRows } from '../../drawing/cutRows';
import { acrossFrom, folds, panel, sideBySide, unlikeDrawn, uprightFrom } from '../../drawing/draw';
import type { ClothRole, Part, View } from '../../drawing/parts';
import { sectionParts } from '../common/stripViews';

/** A back with its flap, pocket pieces before it, a loop behind, as they are drawn. */
interface DrawnLayers {
  back: Piece;
  pockets: readonly Piece[];
  loop: Piece | undefined;
  /** How all layers are joined round three sides. */
  join: Join;
  thing: WorkedThing;
  fabric: WorkedFabric;
}

/** A piece lying on its side, as long as it is high. */
function lying(role: ClothRole, label: string, piece: Piece, own: WorkedFabric): Part {
  const { height, width, rows, stitches } = piece;
  return panel({
    role,
    label,
    sub: `${rows} rows`,
    w: height.value,
    h: width.value,
    rows,
    stitches,
    stacked: 'x',
    ...unlikeDrawn(piece, own),
  });
}

function sheets(back: Piece, pockets: readonly Piece[], loop: Piece | undefined) {
  const wide = back.width.value;
  const ofPiece = ({ height, width }: Piece, parts: Part[]) => ({ parts, width: height.value, height: width.value });
  return [
    ofPiece(back, [
      ...sectionParts({ piece: back, counts: 'rows' }, wide),
      ...folds([{ mm: back.sections[0]!.mm, label: 'top fold' }], wide),
      uprightFrom(0, wide, { count: `${back.stitches} stitches`, choice: 'width' }),
    ]),
    ...pockets.map((pocket) =>
      ofPiece(pocket, [
        lying('pocket', pocket.name.toLowerCase(), pocket, back.fabric),
        acrossFrom(0, pocket.height.value, { count: `${pocket.rows} rows` }),
      ]),
    ),
    ...(loop ? [ofPiece(loop, [lying('span', 'loop', loop, back.fabric)])] : []),
  ];
}

/** All pieces laid beside each other, and the closed pouch. */
export function layeredViews({ back, pockets, loop, join, thing, fabric }: DrawnLayers): View[] {
  const width = back.width.value;
  const stitches = back.stitches;
  const pocket = pockets[0]!;
  const [, turn, flap] = back.sections;
  const up = pocket.height.value - bottomGive(thing.depth, fabric.thickness).value;
  const down = Math.min(up, Math.max(1, turn!.mm + flap!.mm - crossing(thing.depth.value, fabric.thickness.value, 0)));
  const front = (role: ClothRole, rows: number, h: number, more: object = {}) =>
    panel({ role, label: role, sub: `${rows} rows`, w: width, h, rows, stitches, ...more });
  const inner = { stitches: pocket.stitches, ...unlikeDrawn(pocket, fabric) };
  const list = [back, ...pockets, ...(loop ? [loop] : [])].map(({ name, summary }) => `${name}: ${summary}`).join('. ');
  return [
    {
      id: 'flat',
      name: 'Flat',
      ...sideBySide(sheets(back, pockets, loop)),
      text: `${list}. {mm:${formatNumber(width)}} wide.`,
    },
    ...closedViews({
      context: { thing, fabric },
      width,
      height: up,
      front: [
        front('pocket', pocket.rows, up, inner),
        front('flap', flap!.rows, down),
        ...joinsSeen(join, fabric.stitchWidth.value, { x: 0, y: 0, w: width, h: up }, ['left', 'right', 'low']),
      ],
      frontUp: up,
      backUp: up,
      flap: down,
      rows: {
        around: [
          ...cutRows(pocket, { from: pocket.rows, to: 1, at: 1 / 2, role: 'pocket' }),
          ...cutRows(back, { from: 1, to: back.sections[0]!.to, at: 1 / 2, role: 'back' }),
        ],
        over: cutRows(back, { from: turn!.from, to: back.rows, at: 1 / 2, role: 'flap' }),
      },
      count: `${stitches} stitches`,
      choice: 'width',
    }),
  ];
}
