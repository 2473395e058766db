import { parityOf, slotChains } from '../../craft/counts';
import { work, type Instruction } from '../../craft/fabric';
import { fabricAt } from '../../piece';
import { derive, type Figure } from '../../base/figure';
import { formatNumber, mmToken, mostToken, plural, typedToken } from '../../base/units';
import { acrossFlap, buttonArea } from './buttonLoop';
import { type DemandContext, type FittingContext, type FittingDefinition, type Placed } from '../definition';
import {
  BUTTON_FIELDS,
  centredOn,
  faceOf,
  flapDown,
  frontOf,
  IN_FROM,
  lengthOf,
  ownStitch,
  refuse,
  refuseOpen,
  sewnWhere,
  withStitches,
} from '../common';

function chainsOf({ fabric, options }: DemandContext): Figure<'chains'> {
  return slotChains(
    lengthOf(options.buttonMm, 'button'),
    lengthOf(options.buttonThicknessMm, 'button'),
    fabric.stitch.factors.stretchAcross,
    fabric.chain,
  );
}

/** Rows from the flap's edge to the hole, so that the edge lies below the button. */
const ROWS_BELOW = 2;

function place(context: FittingContext): Placed {
  const { built, fabric, path, options } = context;
  refuseOpen(fabric, 'A buttonhole', path);
  const flap = built.flap!;
  const piece = built.pieces.find(({ id }) => id === flap.piece)!;
  const chains = chainsOf(context);
  const a = chains.value;
  const n = piece.stitches;
  if (a > n - 4)
    refuse(
      `${path}.buttonMm`,
      `A button of ${typedToken(Number(options.buttonMm))} needs a hole of ${plural(a, 'chain')} in a flap of ${plural(n, 'stitch', 'stitches')}. Choose one of ${mostToken(Math.max(5, (n - 4) * fabric.chain.value - Number(options.buttonThicknessMm)))} or less.`,
    );
  const section = piece.sections.find(({ name }) => name === 'flap')!;
  if (section.rows < ROWS_BELOW + 2)
    refuse(
      `${path}.kind`,
      `A flap of ${plural(section.rows, 'row')} is too short for a buttonhole. It needs ${ROWS_BELOW + 2} or more: make the flap longer.`,
    );
  const row = section.to - ROWS_BELOW;
  const { share, moved } = acrossFlap(context, Number(options.buttonMm));
  const placed = moved ? placedAt(share, n, a) : centredOn(n, a);
  // on the closed flap a right-side row runs from the left, the next one back
  const { before, after } = row % 2 === 1 ? placed : { before: placed.after, after: placed.before };
  const [opened, closed] = [row, row + 1].map((at) => ownStitch(piece.courses[at - 1]!, fabricAt(piece, at)));
  const open: Instruction[] = [
    work(opened!, before),
    { do: 'chain', chains: a, spans: a, as: 'chains' },
    { do: 'skip', times: a, into: 'stitch' },
    work(opened!, after),
  ];
  // the next row comes back from the other end
  const filled = [work(closed!, after), work(closed!, a, 'chain'), work(closed!, before)];
  const diameter = Number(options.buttonMm);
  const up = ROWS_BELOW * fabric.rowHeight.value;
  const below = flap.edgeBelowFrontTop.value - up;
  const face = frontOf(built);
  const seen = flapDown(built) - up;
  if (below + diameter / 2 > flap.frontMm)
    refuse(
      `${path}.buttonMm`,
      `The button would lie below the front, ${mmToken(flap.frontMm)} deep. Make the flap shorter.`,
    );
  return {
    figures: { chains, hole: derive('mm', 'chains × wc', { a: chains, wc: fabric.chain }, (v) => v.a * v.wc) },
    place: `row ${row}, ${before} stitches, hole of ${a}, ${after} stitches; button on the front, {mm:${formatNumber(below)}} below its top edge`,
    rows: [
      { piece: piece.id, row, instructions: withStitches(piece.courses[row - 1]!, open) },
      { piece: piece.id, row: row + 1, instructions: withStitches(piece.courses[row]!, filled) },
    ],
    steps: [
      {
        id: 'sew-button',
        section: 'closing',
        kind: 'closure',
        does: sewnWhere(
          'button',
          {
            says: `Put the item in, close the flap and mark through the hole: about {at}, ${moved ?? 'at its middle'}.`,
            at: [{ on: 'front', below, of: faceOf(built) }],
          },
          'slip a card inside, then sew the button on there, through the front layer only.',
        ),
        check: {
          look: 'Does the needle come out inside the pouch, and not through the back?',
          repair: 'Unpick the button and sew it on again, through one layer only.',
        },
        minutes: 8,
      },
    ],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'slot',
          x1: face.x + share * face.width - (a * fabric.chain.value) / 2,
          y1: seen,
          x2: face.x + share * face.width + (a * fabric.chain.value) / 2,
          y2: seen,
          label: 'buttonhole',
        },
      ],
    },
    advice: [],
    areas: [
      buttonArea(share * face.width, below, diameter),
      {
        face: 'flap',
        x: [share * face.width - (a * fabric.chain.value) / 2, share * face.width + (a * fabric.chain.value) / 2],
        y: [seen - 3, seen + 3],
      },
    ],
    notions: [{ name: 'button', size: typedToken(diameter), count: 1 }],
  };
}

/** Stitches before and after a hole whose middle lies at a share of the row; two at least at either end. */
function placedAt(share: number, stitches: number, hole: number): { before: number; after: number } {
  const before = Math.max(2, Math.min(stitches - hole - 2, Math.round(share * stitches - hole / 2)));
  return { before, after: stitches - hole - before };
}

export const buttonhole: FittingDefinition = {
  id: 'buttonhole',
  holdsIn: true,
  name: 'Buttonhole',
  summary: 'A slot worked into the flap, and its button on the front.',
  asks: ['turn-over-rows'],
  because: 'It is worked into the rows of a flap.',
  needs: 'flap',
  closesFlap: true,
  hazards: ['small-part'],
  figures: { chains: 'Chains', hole: 'Hole' },
  options: [...BUTTON_FIELDS, IN_FROM, { ...IN_FROM, help: 'To its middle. Left empty: in the middle.' }],
  demands: (context) => ({
    // only what lies in the middle asks as many stitches on one side as on the other
    conditions:
      context.options.inFromMm !== undefined
        ? []
        : [
            {
              ...parityOf(chainsOf(context).value),
              text: `${chainsOf(context).value % 2 === 1 ? 'odd' : 'even'}, so that the hole of ${chainsOf(context).value} lies in the middle`,
            },
          ],
  }),
  place,
};
