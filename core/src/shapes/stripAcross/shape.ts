import { markBothEnds } from '../common/markers';
import type { RowSpan } from '../../craft/counts';
import { type View } from '../../drawing';
import { chosen, derive, type Figure } from '../../base/figure';
import { LONGEST_MM, type Field } from '../../base/units';
import type { Built, Piece, Section, ShapeContext, ShapeDefinition } from '../definition';
import { countChoice, countFigure, pickAdvice } from '../common/choice';
import { coverDrive, flapDrive } from '../common/drive';
import { besideColumns, edgingDepth, leastReach, wantedRound, withRim } from '../common/flat';
import { joinField, joinOf } from '../common/joins';
import { outerWidth, reachIn, reachOfOne, rowPiece, sectionLong } from '../common/rowPiece';
import { alsoOf, insideFaces, sized, type Sized } from '../common/sized';
import {
  bordersOf,
  edgedFirst,
  endLies,
  flapPlace,
  flapReach,
  PASS,
  frontRowsField,
  type StripLength,
  passDepth,
  passOf,
  stripLengths,
  stripWork,
} from '../common/strip';
import { edgingAround, type StripEdges } from '../common/stripWork';
import { BOTTOM_IS_A_FOLD } from '../common/takes';
import { stripViews } from '../common/stripViews';
import { EDGING_COLOUR, edgingColour, edgingField } from '../common/edgingField';

type Mm = Figure<'mm'>;

const options: readonly Field[] = [
  joinField('Sides', 'How the two sides are closed.'),
  PASS,
  edgingField({ help: 'Rounds of {single} worked on the strip before it is folded.' }),
  EDGING_COLOUR,
  {
    key: 'pocketMm',
    kind: 'length',
    label: 'Pocket only so deep',
    help: 'Left empty: the front covers the item. A caddy’s back reaches above its pocket.',
    min: 10,
    max: LONGEST_MM,
    optional: true,
  },
  frontRowsField('Rows'),
  {
    key: 'allRows',
    kind: 'number',
    label: 'Rows in all',
    help: 'Left empty: as many as the sizes take. For a strip that is worked already.',
    unit: 'rows',
    whole: true,
    min: 2,
    max: 10_000,
    optional: true,
    refines: true,
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
  const take = chosen(join.take, 'stitches', 'taken by the join');
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
  const lengths = foldedLengths(context, edging);
  const piece = rowPiece(
    { id: 'body', name: 'Strip', fabric, stitches: n, lengths, edge: 'opening', notes: markers },
    context,
  );
  const rows = chosen(piece.height.value / fabric.rowHeight.value, 'rows', 'rows from the chain to the flap’s edge');
  const width = bordered(edging.value > 0 ? piece.width : outerWidth(piece), edging);
  const front = chosen(piece.sections[0]!.mm / fabric.rowHeight.value, 'rows', 'rows of the front');
  const reach = flapReach(
    context,
    { n: rows, front, edging: bordersOf(edging, context), pass: passDepth(context) },
    'h',
  );
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
    (v) => (v.n - 2 * v.take) * v.w + 2 * (v.edging ?? 0),
  );
  const girth = insideFaces(face, t, thing.pockets);
  const depth = pocketDepth(context, piece.sections[0]!, bordersOf(edging, context));
  const overlap = lengths.find(({ name }) => name === 'flap')?.figure;
  const back = sectionLong(piece.sections[1]!, fabric);
  const frontLong = sectionLong(piece.sections[0]!, fabric);
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width,
      height: flap ? back : withRim(back.value > frontLong.value ? back : frontLong, context),
      thickness: sized('D + layers × t', { D: thing.depth, t }, (v) => v.D + (flap ? 3 : 2) * v.t).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      // a pocket chosen shallow is not meant to cover
      depth: context.options.pocketMm === undefined ? depth.of : ({ H }) => H,
      wander: { courses: piece.sections[0]!.rows, lies: 'folded' },
      stretch: fabric.stitch.factors.stretchAcross,
      ...(flap && overlap ? { flap: { reach: reach.of, least: leastReach(overlap) } } : {}),
      also: alsoOf(girth, depth, flap && reach),
    },
    ...(flap ? { flap } : { backEdge: { piece: piece.id, edge: 'last' as const, row: piece.rows } }),
    topCorner: { edge: 'foundation', side: 'left' },
    ...assembly(context, piece),
    advice: pickAdvice(choice, fabric.stitch.rows),
    views: views(context, piece),
  };
}

/** Sections as they follow from sizes, or as the strip is folded by number. */
function foldedLengths(context: ShapeContext, edging: Mm): StripLength[] {
  const { fabric, options: given } = context;
  const plain = stripLengths(context, edging, () => (fabric.bands ? undefined : reachOfOne(fabric)));
  if (!fabric.bands || (given.frontRows === undefined && given.allRows === undefined)) return plain;
  const long = plain.reduce((sum, { figure }) => sum + figure.value, 0);
  return stripLengths(context, edging, (all) => reachIn(fabric, long, all));
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
    (v) => v.rows * v.h + (v.edging ?? 0) - v.D / 2 - (Math.PI * v.t) / 4,
  );
}

function assembly({ options: given }: ShapeContext, piece: Piece): Pick<Built, 'assembly' | 'rim'> {
  const edging = Number(given.edging);
  const strip: StripEdges = {
    piece,
    long: ['left', 'right'],
    end: 'last',
    near: 'foundation',
    endLies: endLies(piece),
    places: piece.rows,
    front: piece.sections[0]!.rows,
    placeOf: (row) => row,
  };
  return stripWork({
    strip,
    edging,
    join: joinOf(given.join),
    pass: passOf(given),
    first: edging > 0 ? [edgedFirst(piece.id, edgingAround(piece, edging, edgingColour(given)))] : [],
    look: 'rows of both layers lie side by side',
    by: 'row',
    // its rows were there before it was known where
    at: given.allRows === undefined ? undefined : `after row ${piece.sections[0]!.rows}, and move the markers there`,
  });
}

function views(context: ShapeContext, piece: Piece): View[] {
  const { thing, fabric, options: given } = context;
  const edging = Number(given.edging);
  return stripViews({
    piece,
    thing,
    fabric,
    counts: 'rows',
    join: joinOf(given.join),
    shallow: given.pocketMm !== undefined,
    ...(edging > 0
      ? {
          edging: {
            border: edgingAround(piece, edging, edgingColour(given)),
            deep: edgingDepth(edging, context).value,
          },
        }
      : {}),
    drives: { ...flapDrive(context), ...(given.pocketMm === undefined ? { front: coverDrive(context) } : {}) },
  });
}

export const stripAcross: ShapeDefinition = {
  id: 'strip-across',
  name: 'Folded strip, rows across',
  summary: 'One strip, folded at the bottom, sides joined, the end turned over as a flap.',
  why: 'One piece, no shaping; flap and dividers come easily.',
  worked: 'rows',
  foldedBy: 'rows',
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
