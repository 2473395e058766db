import { cumulativeRows, reachOf, type RowSpan } from '../../craft/counts';
import { hasChains, type Multiple, type WorkedFabric } from '../../craft/fabric';
import { chosen, derive, PlanProblem, type Figure } from '../../base/figure';
import { edgesOf, pickedUp, type Border, type Work } from '../../piece';
import { plural, type FieldValues } from '../../base/units';
import type { Built, Piece, Section, ShapeContext, ShapeDefinition, WorkStep } from '../definition';
import { countChoice, countFigure, pickAdvice } from '../common/choice';
import { edgingDepth, leastReach, sizedWithRim, wantedRound } from '../common/flat';
import { crocheted, joinField, joinOf } from '../common/joins';
import { alikeRows, besideFill, longOf, rowPiece, rowsLong } from '../common/rowPiece';
import { alsoOf, insideFaces, sized, type Sized } from '../common/sized';
import {
  bordersOf,
  edgedFirst,
  endLies,
  flapPlace,
  flapReach,
  PASS,
  passDepth,
  frontRowsField,
  passOf,
  stripLengths,
  stripWork,
  type StripLength,
} from '../common/strip';
import type { StripEdges } from '../common/stripWork';
import { BOTTOM_IS_A_FOLD } from '../common/takes';
import { stripViews } from '../common/stripViews';

type Mm = Figure<'mm'>;

/**
 * The strip worked sideways: chain as long as the strip, rows as many as it is wide, so that ridges run up the pouch and
 * it stretches where the rows are (handbook 5.2). Boundaries of sections are stitches.
 */
function build(context: ShapeContext): Built {
  const { fabric, thing, picks } = context;
  const { options } = context;
  refuseLoops(fabric);
  const join = joinOf(options.join);
  // a join through edge stitches takes a quarter of a stitch's height there as it takes of its width elsewhere
  const take = chosen(join.take, 'rows', 'taken by the join');
  const h = fabric.rowHeight;
  const t = fabric.thickness;
  const beside = besideFill(fabric);
  const faceOf = (rows: number) => longOf(fabric, rows) - 2 * take.value * h.value;
  const choice = countChoice(
    {
      id: 'width',
      name: 'Width',
      noun: 'rows',
      asked: wantedRound(context).face,
      sizeOf: faceOf,
      insideOf: (rows) => 2 * faceOf(rows) - thing.pockets * Math.PI * t.value,
      multiple: { repeat: 1, edge: 0 },
      atLeast: Math.max(2, beside.rows + 1),
      stretch: fabric.stitch.factors.stretchAlong,
    },
    context,
  );
  const rows = countFigure(choice, h, { asked: 'F', size: 'h', count: 'rows' }, 'rows', picks);
  const lengths = stripLengths(context, edgingDepth(0, context), () => reachOf(fabric.stitchWidth.value));
  const piece = alongPiece(context, rows, lengths);
  const face = sized(
    'F = (rows − 2 take) h',
    { rows: alikeRows(rows, fabric), take, h },
    (v) => (v.rows - 2 * v.take) * v.h,
  );
  const girth = insideFaces(face, t, thing.pockets);
  const depth = sizedWithRim(frontDepth(context, piece.sections[0]!), context);
  const reach = flapReach(
    context,
    {
      n: chosen(piece.stitches, 'stitches', 'stitches from end to end'),
      front: chosen(piece.sections[0]!.stitches, 'stitches', 'stitches of the front'),
      edging: bordersOf(edgingDepth(0, context), context),
      pass: bordersAtEnd(context),
    },
    'w',
  );
  const flap = flapPlace(piece, reach, {
    row: piece.rows,
    stitches: piece.rows,
    width: piece.height,
    edge: 'left',
    borderMm: 0,
  });
  const overlap = lengths.find(({ name }) => name === 'flap')?.figure;
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width: piece.height,
      height: stitchesLong(piece.sections[1]!, context),
      thickness: sized('D + layers × t', { D: thing.depth, t }, (v) => v.D + (flap ? 3 : 2) * v.t).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      depth: depth.of,
      stretch: fabric.stitch.factors.stretchAlong,
      ...(flap && overlap ? { flap: { reach: reach.of, least: leastReach(overlap) } } : {}),
      also: alsoOf(girth, depth, flap && reach),
    },
    ...(flap ? { flap } : {}),
    ...assembly(context, piece),
    advice: pickAdvice(choice, { repeat: 1, edge: 0 }),
    views: stripViews({ piece, thing, fabric, counts: 'stitches', join: joinOf(context.options.join) }),
  };
}

/** What lies beyond the strip's far end: a pass around, or rows of its own (law, handbook 4.4). */
function bordersAtEnd(context: ShapeContext): Mm {
  const endRows = Number(context.options.endRows);
  return endRows > 0 ? edgingDepth(endRows, context) : passDepth(context);
}

/** Its folds and its joins lie between stitches of its rows: a fabric of loops has none there. */
function refuseLoops({ stitch, bands = [] }: WorkedFabric): void {
  const open = [stitch, ...bands.map((band) => band.fabric.stitch)].find(({ counted }) => counted?.loops);
  if (!open) return;
  throw new PlanProblem([
    {
      path: 'fabric.stitch',
      message: `Rows of {${open.id}} are loops: they leave no stitch to fold at and none to join through. Choose another stitch, or the strip worked upwards.`,
    },
  ]);
}

/** One border along the flap's end is enough. */
function refusePass(options: FieldValues, endRows: number): void {
  if (endRows === 0 || passOf(options) !== 'around' || !crocheted(joinOf(options.join))) return;
  throw new PlanProblem([
    {
      path: 'shape.endRows',
      message: `${plural(endRows, 'row')} along the flap’s end and a pass around it would border it twice. Make it 0 rows, or join each side by itself.`,
    },
  ]);
}

/** How far from its length a strip may come out so that both faces end level, of the length (prior, ours). */
const LEVEL_SHARE = 0.05;

/** Sections in whole stitches, and how many there are in all: as the multiple has it, and of two that end level half each where it lets them. */
function inStitches(
  lengths: readonly StripLength[],
  w: number,
  { repeat, edge }: Multiple,
  onHook: number | undefined,
): { spans: RowSpan[]; stitches: number } {
  const spans = cumulativeRows(
    lengths.map(({ figure, ...length }) => ({ ...length, mm: figure.value })),
    w,
  );
  const before = spans.at(-2)?.to ?? 0;
  // folds are free until a side is joined, the count is not
  if (onHook !== undefined && before < onHook && !lengths.at(-1)!.asBefore) return { spans, stitches: onHook };
  const asked = spans.at(-1)!.to;
  // edges alone are not the stitch
  const least = Math.max(1, Math.ceil((before + 1 - edge) / repeat));
  const nearest = Math.max(onHook === undefined ? least : 1, Math.round(((onHook ?? asked) - edge) / repeat));
  const count = (repeats: number) => edge + repeat * repeats;
  const level = lengths.at(-1)!.asBefore === true;
  const near = (repeats: number) => Math.abs(count(repeats) - asked) <= Math.max(2, LEVEL_SHARE * asked);
  const even = (onHook === undefined ? [nearest, nearest - 1, nearest + 1] : [nearest]).find(
    (repeats) => repeats >= 1 && count(repeats) % 2 === 0 && near(repeats),
  );
  if (!level || even === undefined)
    return { spans: onHook === undefined ? spans : shared(spans, onHook, w), stitches: count(nearest) };
  const half = count(even) / 2;
  const [front, back] = spans as [RowSpan, RowSpan];
  return {
    spans: [
      { ...front, rows: half, to: half, mm: half * w },
      { ...back, rows: half, from: half + 1, to: 2 * half, mm: half * w },
    ],
    stitches: 2 * half,
  };
}

/** Sections shared out over the stitches that are on the hook. */
function shared(spans: readonly RowSpan[], onHook: number, w: number): RowSpan[] {
  const whole = spans.at(-1)!.to;
  return cumulativeRows(
    spans.map(({ name, mm }) => ({ name, mm: (mm * onHook) / whole })),
    w,
  );
}

/** The strip with its sections in stitches; the last one carries what the stitch's multiple adds or takes. */
function alongPiece(context: ShapeContext, rows: Figure<'rows'>, lengths: readonly StripLength[]): Piece {
  const { fabric } = context;
  const w = fabric.stitchWidth;
  const { spans, stitches } = inStitches(lengths, w.value, fabric.stitch.rows, context.worked?.body?.[0]);
  const total = lengths.map(({ figure }) => figure).reduce((a, b) => derive('mm', 'a + b', { a, b }, (v) => v.a + v.b));
  const n = derive(
    'stitches',
    'n = length / w, the nearest that the stitch allows',
    { length: total, w },
    () => stitches,
  );
  const piece = rowPiece(
    {
      id: 'body',
      name: 'Strip',
      fabric,
      stitches: n,
      lengths: [{ name: 'strip', figure: rowsLong('width', rows, fabric) }],
      edge: 'seam',
    },
    context,
  );
  const sections = spans.map((span, index): Section => {
    const to = index === spans.length - 1 ? stitches : span.to;
    const from = span.from;
    const wanted = lengths[index]!.figure;
    return {
      name: span.name,
      rows: piece.rows,
      from,
      to,
      stitches: to - from + 1,
      mm: (to - from + 1) * w.value,
      count: derive(
        'stitches',
        'round((before × w + wanted) / w) − before, boundaries counted from the chain’s end',
        { wanted, w, before: chosen(from - 1, 'stitches', 'stitches before it') },
        () => to - from + 1,
      ),
    };
  });
  return { ...piece, sections };
}

function stitchesLong({ name, stitches }: Section, { fabric }: ShapeContext): Mm {
  const n = chosen(stitches, 'stitches', `stitches of the ${name}`);
  return derive('mm', `${name} = n × w`, { n, w: fabric.stitchWidth }, (v) => v.n * v.w);
}

function frontDepth({ thing, fabric }: ShapeContext, front: Section): Sized {
  const n = chosen(front.stitches, 'stitches', 'stitches of the front');
  return sized(
    'inside = front stitches × w − D/2 − πt/4',
    { n, w: fabric.stitchWidth, D: thing.depth, t: fabric.thickness },
    (v) => v.n * v.w - v.D / 2 - (Math.PI * v.t) / 4,
  );
}

/** Rows along the far end already border it. */
const ENDED = 'The flap’s end is bordered by rows of its own. Remove those, or remove the edging.';

/** A border of singles along the ends of the rows at the strip's far end, down from its last row. */
function endBorder(piece: Piece, courses: number): Border {
  const edge = edgesOf(piece).left;
  const span = { piece: piece.id, edge: 'left', from: piece.rows, to: 1 };
  const stitches = pickedUp(edge, span, piece.fabric);
  return {
    do: 'border',
    id: 'ending',
    stitch: 'single',
    courses,
    closed: false,
    path: [
      {
        spans: [span],
        stitches,
        lies: endLies(piece),
        between: [
          { at: 'row', row: 'last', end: 'beginning' },
          { at: 'row', row: 1, end: 'beginning' },
        ],
      },
    ],
  };
}

/** Those rows as a step: gone on from the last row where it ends there, else joined anew. */
function ending(piece: Piece, courses: number): { first: WorkStep[]; last: WorkStep[] } {
  if (courses === 0) return { first: [], last: [] };
  const step: WorkStep = {
    ...edgedFirst(piece.id, endBorder(piece, courses)),
    id: 'end-rows',
    check: {
      look: 'Does the edge lie flat?',
      repair: 'If it waves, leave a stitch out now and then; if it draws in, work looser.',
    },
  };
  if (piece.rows % 2 === 1) return { first: [step], last: [] };
  return { first: [], last: [{ ...step, does: [...step.does!, { do: 'fasten-off' }] }] };
}

/** The folds in the first and the last row: where that one begins at the other end, its stitches are counted from there. */
function marksIn({ id, sections, stitches, rows, courses }: Piece): Work {
  const folds = sections.slice(0, -1);
  const turned = rows % 2 === 0;
  return {
    do: 'mark',
    piece: id,
    rows: [
      { row: 1, after: folds.map(({ to }) => to) },
      { row: rows, after: folds.map(({ to }) => (turned ? stitches - to : to)) },
    ],
    names: folds.map(({ name }) => (name === 'front' ? 'bottom fold' : `end of the ${name}`)),
    ...([courses[0]!, courses.at(-1)!].some(({ instructions }) => hasChains(instructions)) ? { chains: true } : {}),
  };
}

function assembly({ options }: ShapeContext, piece: Piece): Pick<Built, 'assembly' | 'rim'> {
  const endRows = Number(options.endRows);
  refusePass(options, endRows);
  const { first: ended, last: endedAnew } = ending(piece, endRows);
  const front = piece.sections[0]!;
  // stitches are counted from where row 1 begins
  const strip: StripEdges = {
    piece,
    long: ['foundation', 'last'],
    end: 'left',
    near: 'right',
    endLies: endLies(piece),
    places: piece.stitches,
    front: front.stitches,
    placeOf: (stitch) => piece.stitches + 1 - stitch,
  };
  const marks: WorkStep = {
    id: 'mark-folds',
    section: 'joining',
    kind: 'assembly',
    does: [marksIn(piece)],
    notions: [{ name: 'stitch marker', count: 2 * (piece.sections.length - 1) }],
  };
  return stripWork({
    strip,
    edging: 0,
    join: joinOf(options.join),
    pass: passOf(options),
    first: [...ended, marks],
    last: endedAnew,
    rim: endRows > 0 ? ENDED : undefined,
    look: 'ridges of both layers run straight up',
    by: 'stitch',
  });
}

export const stripAlong: ShapeDefinition = {
  id: 'strip-along',
  name: 'Folded strip, rows lengthwise',
  summary: 'The same strip worked sideways: ribs run up the pouch, and it stretches round the item.',
  why: 'Ribs run up and give most round the item.',
  worked: 'rows',
  foldedBy: 'stitches',
  around: 'rows',
  bands: true,
  options: [
    joinField('Sides', 'How the two sides are closed.'),
    PASS,
    {
      key: 'endRows',
      kind: 'number',
      label: 'Rows along the far end',
      help: '{Single}, worked into the ends of the rows: a firm edge for the flap, and for a loop.',
      unit: 'rows',
      whole: true,
      min: 0,
      max: 4,
      default: 0,
    },
    frontRowsField('Stitches'),
  ],
  takes: {
    flat: true,
    round: BOTTOM_IS_A_FOLD,
    rods: true,
    several: true,
    given: true,
  },
  offers: ['open-mouth', 'straight-mouth', 'turn-over', 'free-back', 'bundle'],
  build,
};
