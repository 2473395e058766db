import { chosen, type Advice, type Figure } from '../../../base/figure';
import { formatKnownGrams, formatNumber, leastToken, mmToken, mostToken, typedToken } from '../../../base/units';
import { strapReaches } from '../../../craft/fit';
import type { Part } from '../../../drawing/parts';
import { frontOf, growth, refuse } from '../../common';
import type { FittingContext, FittingDefinition, Placed } from '../../definition';
import { ENDS, endOf, held, HOOKED } from './ends';
import { SEWN_MM, type Made, type Mm, type StrapKind } from './kind';
import { STRAPS } from './kinds';
import { loopOf, strapLength } from './length';
import { loadOf, ownGrowth } from './load';

/** Longer than this no strap is worn, mm. */
const LONGEST_MM = 2500;

function place(context: FittingContext): Placed {
  const { built, options, path } = context;
  const loop = loopOf(context);
  const kind = STRAPS.find(({ id }) => id === options.strap)!;
  const rows = Number(options.rows);
  const load = loadOf(context);
  const loadG = load.value;
  const tested = options.hangTestPercent;
  const grows: Figure<'1'> =
    tested === undefined
      ? ownGrowth(context, growth(kind.stretch, loadG, kind.columns(rows)), load)
      : chosen(Number(tested) / 100, '1', 'your hang test');
  const face = frontOf(built);
  const span = chosen(face.width, 'mm', 'from anchor to anchor across the opening');
  const edgeToEdge = context.carrier?.loopIs === 'edge-to-edge';
  const end = endOf(kind, context);
  const length = strapLength(loop, edgeToEdge ? undefined : span, grows, end.mm);
  if (length.value > LONGEST_MM)
    refuse(
      `${path}.loopMm`,
      `A strap of ${mmToken(length.value)} is longer than any body loop (${mostToken(LONGEST_MM)}). Check the loop, ${typedToken(loop.value)}, and its unit.`,
    );
  if (length.value < 3 * SEWN_MM)
    refuse(
      `${path}.loopMm`,
      `A loop of ${typedToken(loop.value)} leaves no strap beyond the ${mmToken(face.width)} between its anchors. Make it ${leastToken(face.width + 3 * SEWN_MM)} or more.`,
    );
  const made = kind.make(length, context);
  const anchors = made.anchors ?? anchorWords(built);
  return {
    figures: { loop, load, length, growth: grows, ...made.figures },
    place: `${kind.name}, {mm:${formatNumber(length.value)}} to make, anchors ${anchors}`,
    rows: [],
    ...(made.piece ? { pieces: [made.piece] } : {}),
    steps: [...made.steps, ...held(kind, end, anchors, rows, context.schools.foundation)],
    parts: {
      folded: [
        {
          type: 'dots',
          points: [
            [face.x, face.y],
            [face.x + face.width, face.y],
          ],
          diameter: 6,
          label: 'strap anchors',
        },
        worn(face, length.value, ribbonWide(made, kind.columns(rows), context)),
      ],
    },
    advice: advise(length, grows.value, load, tested === undefined && kind.stretch > 0, rows, kind),
    areas: [
      { face: 'front', x: [0, 8], y: [0, SEWN_MM] },
      { face: 'front', x: [face.width - 8, face.width], y: [0, SEWN_MM] },
    ],
    notions: [...made.notions, ...(end.id === 'hooks' ? HOOKED : [])],
    ...(kind.stretch > 0
      ? { wants: [strapReaches(length.value - 2 * end.mm, edgeToEdge ? 0 : face.width, loop, grows)] }
      : {}),
  };
}

/** A strap stands up over the piece by at most so much of its height: it is longer than any picture (ours, by eye). */
const SEEN_HIGH = 0.75;

/** And its curve is too tight for its true width: it is drawn no wider than so much of the piece (ours, by eye). */
const SEEN_WIDE = 0.2;

function worn(face: ReturnType<typeof frontOf>, length: number, wide: number): Part {
  const rise = Math.min(SEEN_HIGH * Math.max(face.height, face.width), length / 2.4);
  const [left, right] = [face.x + 1, face.x + face.width - 1];
  const bow = 0.12 * rise;
  const low = face.y + Math.min(SEWN_MM, 0.2 * face.height);
  const way: [number, number][] = [
    [left, low],
    [left - bow, low - 1.3 * rise],
    [right + bow, low - 1.3 * rise],
    [right, low],
  ];
  return { type: 'ribbon', way, wide: Math.min(wide, SEEN_WIDE * face.width), on: 'behind', label: 'strap' };
}

/** How wide it is seen: its piece’s own width, or as many strands as carry it. */
function ribbonWide({ piece }: Made, columns: number, { fabric }: FittingContext): number {
  const w = fabric.stitchWidth.value;
  return piece ? Math.min(piece.width.value, piece.height.value) : w * Math.min(4, Math.max(1, 0.7 * columns));
}

/** Anchors opposite each other: the two side seams, or half the round apart (handbook 6). */
function anchorWords({ mouth }: FittingContext['built']): string {
  if (!mouth) return 'the two side edges';
  const half = Math.floor(mouth.stitches / 2);
  // of an odd round the place opposite lies between two stitches
  return mouth.stitches % 2 === 0
    ? `stitch 1 and stitch ${half + 1} of the last round`
    : `stitch 1 of the last round and, opposite, between its stitches ${half + 1} and ${half + 2}`;
}

function advise(
  length: Mm,
  grows: number,
  load: Figure<'g'>,
  untested: boolean,
  rows: number,
  kind: StrapKind,
): Advice[] {
  const longer = length.value * grows;
  if (!untested || longer < 15) return [];
  return [
    {
      id: 'strap-grows',
      severity: 'advice',
      text: `With ${formatKnownGrams(load.value, load.sd)} in it the strap will stretch by about ${mmToken(longer)}. The pattern makes it so much shorter.`,
      repair: kind.widens
        ? `To be sure, hang the load on the finished strap for a minute and enter how much it stretched. ${rows + 2} stitches wide would stretch less.`
        : 'To be sure, hang the load on the finished strap for a minute and enter how much it stretched.',
      at: 'fittings',
    },
  ];
}

export const strap: FittingDefinition = {
  id: 'strap',
  grows: true,
  name: 'Strap',
  summary: 'From anchor to anchor round the body, made shorter by what it grows under its load.',
  asks: ['open-mouth'],
  because: 'A strap hangs from two sides of an opening.',
  hazards: ['cord'],
  figures: {
    loop: 'Body loop',
    load: 'Weight it carries',
    length: 'Length',
    growth: 'Stretch under load',
    chains: 'Chains',
    made: 'As made',
    cut: 'Cut length',
  },
  options: [
    {
      key: 'strap',
      kind: 'choice',
      label: 'Strap',
      options: STRAPS.map(({ id, name }) => ({ id, name })),
      default: 'rows',
    },
    {
      key: 'loopMm',
      kind: 'length',
      label: 'Body loop',
      help: 'Left empty: as measured on the body.',
      min: 100,
      max: 9000,
      optional: true,
    },
    { key: 'rows', kind: 'number', label: 'Stitches or rows wide', unit: '', whole: true, min: 1, max: 40, default: 6 },
    {
      key: 'ends',
      kind: 'choice',
      label: 'Held',
      help: 'A bought one hangs by its own hooks; one chained on is held already.',
      options: ENDS,
      default: 'sewn',
    },
    {
      key: 'apart',
      kind: 'number',
      label: 'Chained on: held so many stitches on',
      help: 'Left empty: at the place opposite.',
      unit: 'stitches',
      whole: true,
      min: 1,
      max: 1999,
      optional: true,
    },
    {
      key: 'clothMm',
      kind: 'length',
      label: 'Width of a sewn cloth strap',
      min: 5,
      max: 100,
      default: 25,
    },
    {
      key: 'loadG',
      kind: 'number',
      label: 'Weight it carries',
      help: 'Left empty: what the item weighs, filled.',
      unit: 'g',
      min: 0,
      max: 20_000,
      optional: true,
    },
    {
      key: 'hangTestPercent',
      kind: 'number',
      label: 'Hang test: it grew by',
      unit: '%',
      min: 0,
      max: 60,
      optional: true,
    },
  ],
  place,
};
