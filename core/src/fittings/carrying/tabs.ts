import { BUTTON_THICKNESS_MM, slotChains } from '../../craft/counts';
import { chosen, derive, prior } from '../../base/figure';
import { barFault, workBar } from '../../craft/things';
import { work, type Instruction } from '../../craft/fabric';
import type { Part } from '../../drawing/parts';
import type { Piece } from '../../shapes';
import { nth, tailOf } from '../../piece';
import { formatNumber, mmToken, mostToken, typedToken } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { centredOn, faceOf, frontOf, lengthOf, plainRows, refuse, smallPiece, withStitches } from '../common';

/** Beyond the buttonhole, mm (prior, ours). */
const BEYOND_MM = 12;

/** A button’s edge lies so far below the row the tab is sewn to (ours). */
const BELOW_MM = 3;

/** The smallest button a tab is made for, mm (ours). */
const LEAST_BUTTON_MM = 8;

/** Refuses a button that would sit below the piece. */
function refuseLow(button: number, high: number, path: string): void {
  if (BELOW_MM + button <= high) return;
  const most = high - BELOW_MM;
  const repair =
    most >= LEAST_BUTTON_MM
      ? `Use one of ${mostToken(most)} or less.`
      : 'Hang it from a loop instead: it is too low for a tab’s button.';
  refuse(
    `${path}.buttonMm`,
    `A button of ${typedToken(button)} under its tab reaches ${mmToken(BELOW_MM + button)} down a piece of ${mmToken(high)}. ${repair}`,
  );
}

/** Two tabs from the back's upper edge over a bar, each buttoned to itself (handbook 6, tabs over a bar). */
function place({ built, fabric, options, path, carrier, schools }: FittingContext): Placed {
  const fault = barFault(carrier);
  if (fault) refuse(carrier ? fault.path : `${path}.kind`, `Tabs go over something, under Thing. ${fault.message}`);
  const bar = workBar(carrier!);
  const face = frontOf(built);
  const button = lengthOf(options.buttonMm, 'button');
  const plain = plainRows(fabric);
  const slot = slotChains(
    button,
    chosen(BUTTON_THICKNESS_MM, 'mm', 'button, thick'),
    plain.stitch.factors.stretchAcross,
    fabric.chain,
  );
  const beyond = prior(BEYOND_MM, 'mm', 0, 'beyond the hole');
  const length = derive(
    'mm',
    'tab = 2 × way over the bar + button + beyond',
    { over: bar.over(fabric.thickness), button, beyond },
    (v) => 2 * v.over + v.button + v.beyond,
  );
  const width = derive(
    'mm',
    'width = hole + 4 stitches',
    { hole: slot, wc: fabric.chain, w: plain.stitchWidth },
    (v) => v.hole * v.wc + 4 * v.w,
  );
  if (2 * width.value > face.width)
    refuse(
      `${path}.buttonMm`,
      `Two tabs of ${mmToken(width.value)} are wider than the ${mmToken(face.width)} they hang from. Choose a smaller button.`,
    );
  refuseLow(button.value, faceOf(built).high, path);
  const piece = smallPiece({ id: 'tab', name: 'Tab', times: 2, fabric: plain, width, length, schools });
  const x = face.width / 6;
  return {
    figures: { length, width, hole: slot },
    place: `on the back’s top edge, a sixth of the way in from each side; ${piece.stitches} stitches, ${piece.rows} rows`,
    rows: holeRows(piece, slot.value),
    pieces: [piece],
    steps: [
      {
        id: 'sew-tabs',
        section: 'closing',
        kind: 'closure',
        does: [
          {
            do: 'sew',
            id: 'tabs',
            what: piece.id,
            mm: 18 * piece.width.value,
            tails: [1, 2].map((one) => tailOf(nth(piece.id, one), 'start')),
            at: [
              { on: 'back', inMm: x, pair: true, of: faceOf(built) },
              { on: 'back', below: button.value / 2 + BELOW_MM, of: faceOf(built) },
            ],
            says: `sew the first row of each tab to the top edge of the back, {at}, going over each seam three times. Sew a {typed:${formatNumber(button.value)}} button under each tab, its middle {at:2}, through one layer only.`,
          },
        ],
        check: {
          look: 'Over the bar and buttoned, does it hang level?',
          repair: 'Set one button a row higher or lower.',
        },
        minutes: 16,
      },
    ],
    parts: {
      folded: [x, face.width - x].flatMap((at): Part[] => [
        {
          type: 'line',
          kind: 'cord',
          x1: face.x + at,
          y1: face.y - 0.12 * face.height,
          x2: face.x + at,
          y2: face.y,
          label: 'tab',
        },
        {
          type: 'ribbon',
          way: [
            [face.x + at, face.y + 4],
            [face.x + at, face.y - length.value / 8],
            [face.x + at, face.y - length.value / 4],
            [face.x + at, face.y - length.value / 2],
          ],
          wide: width.value,
          on: 'behind',
          label: 'tab',
        },
      ]),
    },
    advice: [],
    areas: [x, face.width - x].map((at) => ({
      face: 'back' as const,
      x: [at - width.value / 2, at + width.value / 2] as const,
      y: [0, button.value + 2 * BELOW_MM] as const,
    })),
    notions: [{ name: 'button', size: typedToken(button.value), count: 2 }],
  };
}

/** The hole lies so many rows from the tab's end (prior, ours). */
const HOLE_FROM_END = 2;

/** The buttonhole in the tab's own rows: chains over as many stitches, worked into in the next row. */
function holeRows(piece: Piece, chains: number): Placed['rows'] {
  const row = piece.rows - HOLE_FROM_END;
  if (row < 2) return [];
  const { before, after } = centredOn(piece.stitches, chains);
  const stitch = piece.fabric.stitch.base;
  const open: Instruction[] = [
    work(stitch, before),
    { do: 'chain', chains, spans: chains, as: 'chains' },
    { do: 'skip', times: chains, into: 'stitch' },
    work(stitch, after),
  ];
  // turned, it is met from its other end
  const filled = [work(stitch, after), work(stitch, chains, 'chain'), work(stitch, before)];
  return [open, filled].map((instructions, index) => ({
    piece: piece.id,
    row: row + index,
    instructions: withStitches(piece.courses[row + index - 1]!, instructions),
  }));
}

export const tabs: FittingDefinition = {
  id: 'tabs',
  name: 'Tabs over a bar',
  summary: 'Two tabs from the back over a bar, each with its button.',
  asks: ['open-mouth'],
  because: 'They hang from a back, over a bar.',
  hazards: ['small-part'],
  figures: { length: 'Length', width: 'Width', hole: 'Hole' },
  options: [{ key: 'buttonMm', kind: 'length', label: 'Button diameter', min: LEAST_BUTTON_MM, max: 50, default: 18 }],
  place,
};
