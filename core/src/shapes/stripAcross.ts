import { sectionWord } from './common/sectionWord';
import { markBothEnds } from './common/markers';
import type { RowSpan } from '../counts';
import { chosen, derive, type Figure } from '../figure';
import { bottomGive, flapTurn } from '../fit';
import { formatNumber, LONGEST_MM, type Field } from '../units';
import type { Built, Piece, Section, ShapeContext, ShapeDefinition } from './definition';
import type { Part, View } from './drawing';
import { countChoice, countFigure, pickAdvice } from './common/choice';
import { borderPart, cutPouch, moved, panel, standing, stripParts, uprightFrom } from './common/draw';
import { coverDrive, flapDrive } from './common/drive';
import { besideColumns, edgingDepth, leastReach, wantedRound } from './common/flat';
import { joinField, joinOf } from './common/joins';
import { outerWidth, rowPiece, sectionLong } from './common/rowPiece';
import { insideFaces, sized, type Sized } from './common/sized';
import {
  bordersLong,
  edgedFirst,
  endName,
  flapPlace,
  flapReach,
  foldedText,
  onTheStrip,
  PASS,
  passDepth,
  passOf,
  stripLengths,
  stripWork,
} from './common/strip';
import { edgingAround, type StripEdges } from './common/stripWork';
import { BOTTOM_IS_A_FOLD } from './common/takes';

type Mm = Figure<'mm'>;

const options: readonly Field[] = [
  joinField('Sides', 'How the two sides are closed.'),
  PASS,
  {
    key: 'edging',
    kind: 'number',
    label: 'Edging all around',
    help: 'Rounds of single worked on the strip before it is folded.',
    unit: 'rounds',
    whole: true,
    min: 0,
    max: 5,
    default: 0,
  },
  {
    key: 'pocketMm',
    kind: 'length',
    label: 'Pocket only so deep',
    help: 'Left empty: the front covers the thing. A caddy’s back goes on above its pocket.',
    min: 10,
    max: LONGEST_MM,
    optional: true,
  },
];

/**
 * One strip worked in rows across: front, bottom fold, back, and where there is a flap, the turn over the top and the
 * flap. The foundation chain is the front's top edge, so it becomes the opening (handbook 5.1).
 *
 * @throws PlanProblem when a flap is longer than the front it falls over
 */
function build(context: ShapeContext): Built {
  const { fabric, thing, picks } = context;
  const join = joinOf(context.options.join);
  const take = chosen(join.take, 'stitches', join.name);
  const edging = edgingDepth(Number(context.options.edging), context);
  const w = fabric.stitchWidth;
  const t = fabric.thickness;

  const faceOf = (count: number) => (count - 2 * take.value) * w.value + 2 * edging.value;
  const insideOf = (count: number) => 2 * faceOf(count) - thing.pockets * Math.PI * t.value;
  const choice = countChoice(
    {
      id: 'width',
      name: 'Width',
      noun: 'stitches',
      asked: wantedRound(context).face,
      sizeOf: faceOf,
      insideOf,
      multiple: fabric.stitch.rows,
      // an edging turns at corners with something between them
      atLeast: edging.value > 0 ? 3 : 2,
      stretch: fabric.stitch.factors.stretchAcross,
    },
    context,
  );
  const n = countFigure(choice, w, { asked: 'F', size: 'w', count: 'n' }, 'stitches', picks);
  const lengths = stripLengths(context, edging);
  const piece = rowPiece(
    { id: 'body', name: 'Strip', fabric, stitches: n, lengths, edge: 'opening', notes: markers },
    context,
  );
  const rows = chosen(piece.height.value / fabric.rowHeight.value, 'rows', 'rows from the chain to the flap’s edge');
  const width = bordered(edging.value > 0 ? piece.width : outerWidth(piece), edging);
  const reach = flapReach(context, rows, 'h', bordersLong(edging, passDepth(context)));
  const flap = flapPlace(piece, reach, {
    row: piece.sections.at(-1)!.to,
    stitches: piece.stitches,
    width,
    edge: 'last',
    borderMm: edging.value,
  });
  const hasEdging = edging.value > 0;
  const face = sized(
    `F = (n − 2 take) w${hasEdging ? ' + 2 edging' : ''}`,
    { n, take, w, ...(hasEdging ? { edging } : {}) },
    (v) => (v.n - 2 * v.take) * v.w + 2 * edging.value,
  );
  const girth = insideFaces(face, t, thing.pockets);
  const depth = pocketDepth(context, piece.sections[0]!, edging);
  const overlap = lengths.find(({ name }) => name === 'flap')?.figure;
  const back = sectionLong(piece.sections[1]!, fabric);
  const front = sectionLong(piece.sections[0]!, fabric);
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width,
      height: back.value > front.value || flap ? back : front,
      thickness: sized('D + layers × t', { D: thing.depth, t }, (v) => v.D + (flap ? 3 : 2) * v.t).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      // a pocket chosen shallow is not meant to cover
      depth: context.options.pocketMm === undefined ? depth.of : ({ H }) => H,
      stretch: fabric.stitch.factors.stretchAcross,
      ...(flap && overlap ? { flap: { reach: reach.of, least: leastReach(overlap) } } : {}),
    },
    ...(flap ? { flap } : {}),
    ...assembly(context, piece),
    advice: pickAdvice(choice, fabric.stitch.rows),
    views: views(context, piece),
  };
}

/** The strip's width with the edging along both its sides (law, handbook 4.4). */
function bordered(width: Mm, edging: Mm): Mm {
  if (edging.value === 0) return width;
  return derive('mm', 'width = n w + 2 edging', { width, edging }, (v) => v.width + 2 * v.edging);
}

function markers(sections: readonly RowSpan[]): Record<number, string> {
  const notes: Record<number, string> = {
    [sections[0]!.to]: markBothEnds(' (bottom fold).'),
  };
  if (sections.length > 2)
    notes[sections[1]!.to] = markBothEnds('. The back ends here; the top fold starts with the next row.');
  return notes;
}

function pocketDepth({ thing, fabric }: ShapeContext, front: Section, edging: Mm): Sized {
  const rows = chosen(front.mm / fabric.rowHeight.value, 'rows', 'rows of the front');
  return sized(
    `inside = front rows × h${edging.value > 0 ? ' + edging' : ''} − D/2 − πt/4`,
    { rows, h: fabric.rowHeight, ...(edging.value > 0 ? { edging } : {}), D: thing.depth, t: fabric.thickness },
    (v) => v.rows * v.h + edging.value - v.D / 2 - (Math.PI * v.t) / 4,
  );
}

function assembly({ options: given }: ShapeContext, piece: Piece): Pick<Built, 'assembly' | 'rim'> {
  const edging = Number(given.edging);
  const strip: StripEdges = {
    piece,
    long: ['left', 'right'],
    end: 'last',
    near: 'foundation',
    endName: endName(piece),
    places: piece.rows,
    front: piece.sections[0]!.rows,
    placeOf: (row) => row,
  };
  return stripWork({
    strip,
    edging,
    join: joinOf(given.join),
    pass: passOf(given),
    first: edging > 0 ? [edgedFirst(piece.id, edgingAround(piece, edging))] : [],
    look: 'rows of both layers lie side by side',
    by: 'row',
  });
}

function views(context: ShapeContext, piece: Piece): View[] {
  return [flatView(context, piece), foldedView(context, piece), cutView(context, piece)];
}

function flatView(context: ShapeContext, piece: Piece): View {
  const { sections, stitches } = piece;
  const long = piece.height.value;
  const wide = piece.width.value;
  const edging = Number(context.options.edging);
  const deep = edgingDepth(edging, context).value;
  const ends = sections.map((_, index) => sections.slice(0, index + 1).reduce((sum, { mm }) => sum + mm, 0));
  const parts: Part[] = [
    ...stripParts(piece, {
      ...flapDrive(context),
      ...(context.options.pocketMm === undefined ? { front: coverDrive(context) } : {}),
    }),
    ...onTheStrip(context, sections, ends, wide),
    uprightFrom(0, wide, { count: `${stitches} stitches`, choice: 'width' }),
    ...(edging > 0
      ? [
          borderPart(edgingAround(piece, edging), { x: 0, y: 0, w: long, h: wide }, deep, [
            'left',
            'last',
            'right',
            'foundation',
          ]),
        ]
      : []),
  ];
  const list = sections.map((s) => `${sectionWord(s.name)} ${s.rows} rows, {mm:${formatNumber(s.mm)}}`).join('; ');
  return {
    id: 'flat',
    name: 'Flat',
    width: long + 2 * deep,
    height: wide + 2 * deep,
    parts: moved(parts, deep, deep),
    text: `The strip laid flat: ${stitches} stitches, {mm:${formatNumber(wide)}} wide; ${piece.rows} rows, {mm:${formatNumber(long)}} long${edging > 0 ? `, with {mm:${formatNumber(deep)}} of edging all round` : ''}. From the chain: ${list}.`,
  };
}

/** Heights of the folded pouch: its top, the front's top edge below it, and how far down the flap comes. */
function foldedHeights({ thing, fabric }: ShapeContext, piece: Piece): { top: number; front: number; flap?: number } {
  const give = bottomGive(thing.depth, fabric.thickness).value;
  const [front, back, turn, flap] = piece.sections;
  const up = back!.mm - give;
  const frontUp = front!.mm - give;
  if (!turn || !flap) return { top: Math.max(up, frontUp), front: frontUp };
  const down = turn.mm + flap.mm - flapTurn(thing.depth, fabric.thickness).value;
  return { top: up, front: frontUp, flap: Math.min(up, Math.max(1, down)) };
}

function foldedView(context: ShapeContext, piece: Piece): View {
  const { thing, fabric } = context;
  const [front, back, , flap] = piece.sections;
  const width = piece.width.value;
  const { top, front: frontUp, flap: down } = foldedHeights(context, piece);
  const { stitches } = piece;
  const rowsIn = (mm: number) => Math.round(mm / fabric.rowHeight.value);
  const shallow = context.options.pocketMm !== undefined && frontUp < top - 2;
  const parts: Part[] = [
    ...(shallow
      ? [
          panel({
            role: 'back',
            label: 'back',
            sub: `${back!.rows} rows`,
            w: width,
            h: top - frontUp,
            rows: rowsIn(top - frontUp),
            stitches,
          }),
        ]
      : []),
    panel({
      role: 'front',
      label: 'front',
      sub: `${front!.rows} rows`,
      y: shallow ? top - frontUp : 0,
      w: width,
      h: shallow ? frontUp : top,
      rows: rowsIn(shallow ? frontUp : top),
      stitches,
    }),
  ];
  if (flap && down !== undefined)
    parts.push(
      panel({ role: 'flap', label: 'flap', sub: `${flap.rows} rows`, w: width, h: down, rows: flap.rows, stitches }),
    );
  parts.push(uprightFrom(0, down ?? top), ...standing(thing, 0, width, top), {
    type: 'dimension',
    along: 'x',
    from: 0,
    to: width,
    mm: width,
    count: `${stitches} stitches`,
    choice: 'width',
  });
  return {
    id: 'folded',
    name: 'Folded',
    width,
    height: top,
    parts,
    text: foldedText(width, top, flap !== undefined),
  };
}

function cutView(context: ShapeContext, piece: Piece): View {
  const { thing, fabric } = context;
  const { top, front, flap } = foldedHeights(context, piece);
  const D = thing.depth.value;
  const cut = cutPouch({
    D,
    H: thing.height.value,
    t: fabric.thickness.value,
    front,
    back: top,
    ...(flap === undefined ? {} : { flap }),
  });
  return {
    id: 'cut',
    name: 'Cut through',
    ...cut,
    text: `Cut through from front to back: {mm:${formatNumber(D)}} of the thing between two layers of {mm:${formatNumber(fabric.thickness.value)}}, {mm:${formatNumber(front)}} deep in front${flap === undefined ? '' : ', the flap over it'}.`,
  };
}

export const stripAcross: ShapeDefinition = {
  id: 'strip-across',
  name: 'Folded strip, rows across',
  summary: 'One strip, folded at the bottom, sides joined, the end turned over as a flap.',
  why: 'One piece, no shaping; flap and dividers come easily.',
  worked: 'rows',
  besideColumns,
  bands: true,
  options,
  takes: {
    flat: true,
    round: BOTTOM_IS_A_FOLD,
    rods: true,
    several: true,
    given: true,
  },
  offers: [
    'open-mouth',
    'straight-mouth',
    'turn-over',
    'turn-over-rows',
    'upright-columns',
    'flat-front',
    'free-back',
    'bundle',
  ],
  build,
};
