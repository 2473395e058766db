import { chosen, derive, prior } from '../../base/figure';
import { tailOf } from '../../piece';
import { formatNumber, mmToken, mostToken, typedToken } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { faceOf, frontOf, plainRows, refuse, smallPiece } from '../common';

/** A belt slides with so much room, mm (prior, ours). */
const ROOM_MM = 12;

/** A loop on the back, sewn by its two ends, for a belt of a given width (handbook 5.10 and 6). */
function place({ built, fabric, options, path, schools }: FittingContext): Placed {
  const face = frontOf(built);
  const belt = Number(options.beltMm);
  const length = derive(
    'mm',
    'loop = belt + room + πt',
    { belt: chosen(belt, 'mm', 'typed'), room: prior(ROOM_MM, 'mm', 0, 'room to slide'), t: fabric.thickness },
    (v) => v.belt + v.room + Math.PI * v.t,
  );
  if (length.value > face.height)
    refuse(
      `${path}.beltMm`,
      `A loop for a belt of ${typedToken(belt)} is ${mmToken(length.value)} long, the back ${mmToken(face.height)} high. Choose a belt of ${mostToken(Math.max(5, belt - (length.value - face.height)))} or less.`,
    );
  const width = derive(
    'mm',
    'two fifths of the back, at least 20 mm',
    { back: chosen(face.width, 'mm', 'the back') },
    (v) => Math.max(20, 0.4 * v.back),
  );
  const piece = smallPiece({ id: 'belt-loop', name: 'Belt loop', fabric: plainRows(fabric), width, length, schools });
  const from = Math.max(5, 0.12 * face.height);
  return {
    figures: { length, width: piece.width },
    place: `on the back, centred, top end {mm:${formatNumber(from)}} below the top; ${piece.stitches} stitches, ${piece.rows} rows`,
    rows: [],
    pieces: [piece],
    steps: [
      {
        id: 'sew-belt-loop',
        section: 'joining',
        kind: 'assembly',
        does: [
          {
            do: 'sew',
            id: 'belt-loop',
            what: piece.id,
            open: true,
            mm: 12 * piece.width.value,
            tails: [tailOf(piece.id, 'start'), tailOf(piece.id, 'end')],
            at: [from, from + belt + ROOM_MM].map((below) => ({ on: 'back' as const, below, of: faceOf(built) })),
            says: 'sew the belt loop to the middle of the outside of the back: its first row {at}, its last row {at:2}. Sew both ends on, going over each seam three times.',
          },
        ],
        check: { look: 'Does the belt slide through?', repair: 'Set the lower end a row further down.' },
        minutes: 8,
      },
    ],
    parts: {
      folded: [
        {
          type: 'ribbon',
          way: [0, 1 / 3, 2 / 3, 1].map(
            (share) => [face.x + face.width / 2, face.y + from + share * (belt + ROOM_MM)] as const,
          ),
          wide: piece.width.value,
          on: 'back',
          label: 'belt loop',
        },
      ],
    },
    advice: [],
    areas: [
      {
        face: 'back',
        x: [(face.width - width.value) / 2, (face.width + width.value) / 2],
        y: [from, from + belt + ROOM_MM],
      },
    ],
  };
}

export const beltLoop: FittingDefinition = {
  id: 'belt-loop',
  name: 'Belt loop',
  summary: 'A loop behind, for a belt of a given width.',
  asks: ['free-back'],
  because: 'It is sewn to a back that has nothing on it.',
  figures: { length: 'Length', width: 'Width' },
  options: [{ key: 'beltMm', kind: 'length', label: 'Belt width', min: 5, max: 150, default: 40 }],
  place,
};
