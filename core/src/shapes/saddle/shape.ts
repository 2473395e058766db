import { atLeast, EVEN } from '../../craft/counts';
import { chosen, derive, PlanProblem, type Figure } from '../../base/figure';
import { bottomGive } from '../../craft/fit';
import { barFault, workBar } from '../../craft/things';
import { LONGEST_MM, plural, type Field, type LengthField } from '../../base/units';
import { chosenCount, countChoice, countFigure, pickAdvice } from '../common/choice';
import { pieceEnd } from '../common/joins';
import { alikeRows } from '../common/rowPiece';
import { alsoOf, fabricRound, sized } from '../common/sized';
import type { Built, Choice, ShapeContext, ShapeDefinition } from '../definition';
import { handRoom, lopsided, tabRoom, unlevel, unweighed } from './advice';
import { BELOW_TABS, TAB_ROWS, tabStitches, type Tab } from './courses';
import { pieceOf, saddleLips } from './piece';
import { columnsFor, linesTake, sides, widest } from './shares';
import { behindMm, sizesOf, type SaddlePocket } from './sizes';
import { counterweight, partings, roomsOf, tabButtons } from './work';
import { saddleViews } from './views';

type Mm = Figure<'mm'>;

/** Pockets behind, one below the other, at the most (ours). */
const MOST_BEHIND = 4;

const ORDINALS = ['first', 'second', 'third'] as const;

/** How deep each of several pockets behind is; the last one takes what is left. */
const behindDepth = (nth: (typeof ORDINALS)[number], index: number): LengthField => ({
  key: `behind${index + 1}Mm`,
  kind: 'length',
  label: `Depth of the ${nth} pocket behind`,
  help: 'Where more are below it. Left empty: two thirds of the tallest thing in it.',
  min: 20,
  max: LONGEST_MM,
  optional: true,
  when: ({ behindPockets }) => Number(behindPockets) > index + 1,
});

const options: readonly Field[] = [
  {
    key: 'behind',
    kind: 'number',
    label: 'Things in the pockets behind',
    help: 'The last ones of the list. Left empty: shared out evenly.',
    unit: '',
    whole: true,
    min: 0,
    max: 40,
    optional: true,
  },
  {
    key: 'pocketMm',
    kind: 'length',
    label: 'Pocket depth',
    help: 'Of the pocket in front. Left empty: two thirds of the tallest thing.',
    min: 20,
    max: LONGEST_MM,
    optional: true,
  },
  {
    key: 'behindPockets',
    kind: 'number',
    label: 'Pockets behind',
    help: 'One below the other; the last is as deep as both sides hang level.',
    unit: '',
    whole: true,
    min: 1,
    max: MOST_BEHIND,
    default: 1,
  },
  ...ORDINALS.map(behindDepth),
  {
    key: 'spanRows',
    kind: 'choice',
    label: 'Rows over the bar',
    help: 'An odd number brings all pockets out with the same face.',
    options: [
      { id: 'odd', name: 'an odd number' },
      { id: 'nearest', name: 'as near as they come' },
    ],
    default: 'odd',
  },
  { key: 'buttonMm', kind: 'length', label: 'Tab button diameter', min: 8, max: 60, default: 20 },
  {
    key: 'tabMm',
    kind: 'length',
    label: 'Tab length',
    help: 'Left empty: the button and {mm:30} of overlap. A flat arm takes none.',
    min: 20,
    max: 400,
    optional: true,
  },
];

/** The count round a pocket; it judges the widest one against what lies in it. */
function roundChoice(context: ShapeContext, wider: Mm, pockets: number, girthOf: number, columns: number): Choice {
  const { fabric, thing } = context;
  const [w, t] = [fabric.stitchWidth.value, fabric.thickness.value];
  return countChoice(
    {
      id: 'round',
      name: 'Round',
      noun: 'stitches',
      asked: derive('mm', 'C = 2F, of the wider side', { F: wider }, (v) => 2 * v.F),
      sizeOf: (count) => count * w,
      insideOf: (count) =>
        (((count - 2 * linesTake(pockets)) * w - pockets * Math.PI * t) * thing.girth.value) / girthOf,
      multiple: fabric.stitch.rounds,
      parted: columns > 0,
      conditions: [EVEN],
      wishes: columns > 0 ? [atLeast(2 * columns, `for ${plural(pockets, 'pocket')} side by side`)] : [],
      atLeast: 6,
      stretch: fabric.stitch.factors.stretchAcross,
    },
    context,
  );
}

/**
 * A pocket round a chain, one face of it alone in rows over the bar with a tab jutting out at both edges, then pockets chained
 * across one below the other, each closed through both its layers (handbook 5.8).
 *
 * @throws PlanProblem where there is no bar, or one without a size
 */
function build(context: ShapeContext): Built {
  const { fabric, thing, fit, options: given, carrier, picks } = context;
  refuseBarless(context);
  const bar = workBar(carrier!);
  const { stitchWidth: w, thickness: t, rowHeight: h } = fabric;
  const shares = sides(thing, given);
  const easeShare = thing.girth.value > 0 ? fit.girthEase.value / thing.girth.value : 0;
  const { width: wider, loaded } = widest(shares, easeShare, fabric);
  const girthOf = loaded.reduce((total, { girth }) => total + girth.value, 0);
  const columns = Math.max(...[shares.front, ...shares.behind].map((wants) => columnsFor(wants, easeShare, fabric)));
  const choice = roundChoice(context, wider, loaded.length, girthOf, columns);
  const n = countFigure(choice, w, { asked: 'C', size: 'w', count: 'n' }, 'stitches', picks);
  const sizes = sizesOf(context, bar, shares, Math.floor(chosenCount(choice) / 2));
  const { front, behind, spanRows, spanMm } = sizes;
  const p = alikeRows(chosen(front.rounds, 'rows', 'rounds of the pocket in front'), fabric);
  const depth = sized(
    'inside = rounds × h − D/2 − πt/4',
    { p, h, D: thing.depth, t },
    (v) => v.p * v.h - v.D / 2 - (Math.PI * v.t) / 4,
  );
  const width = sized('width = n w / 2', { n, w }, (v) => (v.n * v.w) / 2).figure;
  const height = derive(
    'mm',
    'length = pockets and span',
    {
      front: chosen(front.mm, 'mm', plural(front.rounds, 'round')),
      span: chosen(spanMm, 'mm', plural(spanRows, 'row')),
      behind: chosen(behindMm(sizes), 'mm', plural(behind.length, 'pocket')),
    },
    (v) => v.front + v.span + v.behind,
  );
  const lines = chosen(linesTake(loaded.length), 'stitches', 'what the lines between take');
  const girth = sized(
    `inside = (n w${lines.value > 0 ? ' − 2 lines w' : ''}${fabricRound(loaded.length)}) × share`,
    { n, w, t, lines, share: chosen(thing.girth.value / girthOf, '1', 'all girths against those of the wider side') },
    (v) => ((v.n - 2 * v.lines) * v.w - loaded.length * Math.PI * v.t) * v.share,
  );
  const piece = pieceOf(context, sizes, n, width, height);
  return {
    pieces: [piece],
    pockets: [front, ...behind].map((pocket) => pocketDepth(pocket, piece.id, context)),
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width,
      height: derive(
        'mm',
        'the longer side, from the bar down',
        {
          front: derive('mm', 'drop + pocket', { drop: bar.dropFront, pocket: depth.figure }, (v) => v.drop + v.pocket),
        },
        (v) => Math.max(v.front, bar.dropBack.value + behindMm(sizes)),
      ),
      thickness: sized('D + 2t', { D: thing.depth, t }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice],
    // a caddy's things stand out of their pockets: covering is not asked of it
    model: {
      girth: girth.of,
      depth: ({ H }) => H,
      wander: { courses: sizes.front.rounds, lies: 'round' },
      stretch: fabric.stitch.factors.stretchAcross,
      also: alsoOf(girth),
      rooms: roomsOf(
        shares,
        sizes,
        easeShare,
        fabric,
        fit.definition.useAtNarrowest * fabric.stitch.factors.stretchAcross,
      ),
    },
    assembly: [
      ...pieceEnd(piece),
      ...partings(shares, sizes, easeShare, fabric),
      ...(sizes.tab ? [tabButtons(context, sizes, sizes.tab)] : counterweight(shares)),
    ],
    ...(sizes.tab ? { hazards: ['small-part'] as const } : {}),
    lips: () => saddleLips(piece, sizes),
    advice: [
      ...pickAdvice(choice, fabric.stitch.rounds),
      ...handRoom(bar),
      ...tabRoom(bar, sizes),
      ...unlevel(bar, sizes),
      ...(sizes.tab ? lopsided(shares) : unweighed(shares)),
    ],
    views: saddleViews({
      piece,
      thing,
      fabric,
      carrier: carrier!,
      half: sizes.half,
      width: width.value,
      front,
      behind,
      span: { rows: spanRows, mm: spanMm },
      ...(sizes.tab ? { tab: tabDrawn(sizes.tab) } : {}),
      standsIn: shares.front,
    }),
  };
}

/** How deep one of its pockets is inside: its rounds, less what the bottom takes (handbook 3). */
function pocketDepth({ name, rounds, mm }: SaddlePocket, piece: string, { thing, fabric }: ShapeContext) {
  const depth = derive(
    'mm',
    'rounds − D/2 − πt/4',
    {
      rounds: chosen(mm, 'mm', plural(rounds, 'round')),
      give: bottomGive(thing.depth, fabric.thickness),
    },
    (v) => Math.max(0, v.rounds - v.give),
  );
  return { name, piece, courses: rounds, depth };
}

const tabDrawn = (tab: Tab) => ({ ...tab, stitches: tabStitches(tab), rows: TAB_ROWS, below: BELOW_TABS });

function refuseBarless({ carrier }: ShapeContext): void {
  const fault = barFault(carrier);
  if (fault) throw new PlanProblem([fault]);
}

export const saddle: ShapeDefinition = {
  id: 'saddle',
  name: 'Over-the-rail caddy',
  summary: 'Pockets on both sides of a bar or a chair arm, with tabs that hold it.',
  why: 'Hangs over a bar; a pocket on each side.',
  worked: 'rounds',
  bands: true,
  options,
  takes: {
    flat: true,
    round: true,
    rods: true,
    several: true,
    given: 'Its pockets are sized to what lies in them. Say what that is.',
  },
  offers: ['flat-front'],
  needsCarrier: 'bar',
  build,
};
