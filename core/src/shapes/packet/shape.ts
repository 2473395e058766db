import { chosen, derive, PlanProblem, type Figure } from '../../base/figure';
import { type Field, mmToken, mostToken, plural, typedToken } from '../../base/units';
import type { Built, Piece, ShapeContext, ShapeDefinition, WorkStep } from '../definition';
import { countChoice, countFigure, pickAdvice } from '../common/choice';
import { edgingDepth, wantedRound } from '../common/flat';
import { yarnToCut } from '../../piece';
import { crocheted, joinField, joinOf, pieceEnd } from '../common/joins';
import { edgedFirst } from '../common/strip';
import { edgingAround } from '../common/stripWork';
import { foldedPacket, packetFold, packetJoins, packetLips, packetSeams } from './work';
import { alikeRows, besideFill, longOf, rowPiece, rowsLong } from '../common/rowPiece';
import { alsoOf, fabricRound, sized } from '../common/sized';
import { ONE_ROOM } from '../common/takes';
import { packetViews } from './views';
import { EDGING_COLOUR, edgingColour, edgingField } from '../common/edgingField';

type Mm = Figure<'mm'>;

const options: readonly Field[] = [
  joinField('Ends', 'How the two ends are closed.', 'whip'),
  edgingField({ help: 'Rounds of {single} worked on the rectangle before it is folded.' }),
  EDGING_COLOUR,
  {
    key: 'overlapMm',
    kind: 'length',
    label: 'The edges overlap by',
    help: 'Less than nothing leaves a gap to pull things through.',
    min: -100,
    max: 200,
    default: 0,
  },
];

/**
 * A rectangle folded to the middle from both ends so that its edges meet, the ends joined. Its length is what must go
 * round, `C + overlap`; for a sharp-edged thing without ease or fabric that is `2 (W + D) + overlap`, and both are added
 * by the law of handbook 3. Its width covers height and depth, and each end gives a quarter turn of fabric (handbook 5.9).
 */
function build(context: ShapeContext): Built {
  const { fabric, thing, fit, options: given, picks } = context;
  const join = joinOf(given.join);
  const take = chosen(join.take, 'stitches', 'taken by the join');
  const overlap = chosen(Number(given.overlapMm), 'mm', 'overlap');
  const edging = edgingDepth(Number(given.edging), context);
  const h = fabric.rowHeight;
  const w = fabric.stitchWidth;
  const t = fabric.thickness;
  const asked = derive('mm', 'length = C + overlap', { C: wantedRound(context).round, overlap }, (v) =>
    Math.max(v.C + v.overlap, 1),
  );
  const beside = besideFill(fabric);
  const whole = (rows: number) => longOf(fabric, rows) + 2 * edging.value;
  const choice = countChoice(
    {
      id: 'length',
      name: 'Length',
      noun: 'rows',
      asked,
      sizeOf: whole,
      insideOf: (rows) => whole(rows) - overlap.value - thing.pockets * Math.PI * t.value,
      multiple: { repeat: 1, edge: 0 },
      // a back between two ends turned over
      atLeast: Math.max(4, beside.rows + 1),
      stretch: fabric.stitch.factors.stretchAlong,
    },
    { ...context, demands: {} },
  );
  const rows = countFigure(choice, h, { asked: 'length', size: 'h', count: 'rows' }, 'rows', picks);
  const across = derive(
    'mm',
    'width = H + cover ease + D + πt/2 + 2 take × w',
    { H: thing.height, cover: fit.coverEase, D: thing.depth, t, take, w },
    (v) => v.H + v.cover + v.D + (Math.PI * v.t) / 2 + 2 * v.take * v.w,
  );
  const widthOf = (n: number) => n * w.value + 2 * edging.value;
  const width = countChoice(
    {
      id: 'width',
      name: 'Width',
      noun: 'stitches',
      asked: across,
      sizeOf: widthOf,
      insideOf: (n) => widthOf(n) - 2 * take.value * w.value - thing.depth.value - (Math.PI * t.value) / 2,
      multiple: fabric.stitch.rows,
      atLeast: edging.value > 0 ? 3 : 2,
      stretch: 0,
      against: thing.height.value,
    },
    context,
  );
  const n = countFigure(width, w, { asked: 'width', size: 'w', count: 'n' }, 'stitches', picks);
  const bare = rowsLong('length', rows, fabric);
  const length = edged(bare, edging);
  refuseOverlap(overlap.value, length.value, (asked.value - overlap.value - h.value / 2) / 2);
  const piece = rowPiece(
    {
      id: 'body',
      name: 'Rectangle',
      fabric,
      stitches: n,
      lengths: [{ name: 'front', figure: bare }],
      edge: 'opening',
    },
    context,
  );
  const { pockets } = thing;
  const more = edging.value > 0 ? ' + 2 edging' : '';
  const girth = sized(
    `inside = rows × h${more} − overlap${fabricRound(pockets)}`,
    { rows: alikeRows(rows, fabric), h, edging, overlap, t },
    (v) => v.rows * v.h + 2 * v.edging - v.overlap - pockets * Math.PI * v.t,
  );
  const depth = sized(
    `inside = (n − 2 take) w${more} − D − πt/2`,
    { n, take, w, edging, D: thing.depth, t },
    (v) => (v.n - 2 * v.take) * v.w + 2 * v.edging - v.D - (Math.PI * v.t) / 2,
  );
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width: edged(piece.width, edging),
      height: derive('mm', '(length − overlap) / 2', { length, overlap }, (v) => (v.length - v.overlap) / 2),
      thickness: sized('D + 2t', { D: thing.depth, t }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice, width],
    model: {
      girth: girth.of,
      depth: depth.of,
      stretch: fabric.stitch.factors.stretchAlong,
      also: alsoOf(girth, depth),
    },
    topCorner: { edge: 'last', side: 'right', where: { at: 'meeting' } },
    ...assembly(context, piece),
    advice: [...pickAdvice(choice, { repeat: 1, edge: 0 }), ...pickAdvice(width, fabric.stitch.rows)],
    views: packetViews({
      piece,
      thing,
      fabric,
      join,
      overlap: overlap.value,
      ...(edging.value > 0
        ? { edging: { border: edgingAround(piece, Number(given.edging), edgingColour(given)), deep: edging.value } }
        : {}),
    }),
  };
}

/**
 * Ends that overlap by more than a third of the whole would reach round the back (law).
 *
 * @param most that overlaps on a piece no longer than it then is, mm
 */
function refuseOverlap(overlap: number, length: number, most: number): void {
  if (overlap <= length / 3) return;
  throw new PlanProblem([
    {
      path: 'shape.overlapMm',
      message: `Edges that overlap by ${typedToken(overlap)} on a piece ${mmToken(length)} long would reach round its back. Make it ${mostToken(most)} or less.`,
    },
  ]);
}

/** A length with the edging at both its ends. */
function edged(length: Mm, edging: Mm): Mm {
  if (edging.value === 0) return length;
  return derive('mm', 'length + 2 edging', { length, edging }, (v) => v.length + 2 * v.edging);
}

function assembly({ options: given }: ShapeContext, piece: Piece): Pick<Built, 'assembly' | 'lips'> {
  const join = joinOf(given.join);
  const crochet = crocheted(join);
  const overlap = Number(given.overlapMm);
  const edging = Number(given.edging);
  const border = edging > 0 ? edgingAround(piece, edging, edgingColour(given)) : undefined;
  const packet = foldedPacket(piece, overlap, edging);
  const places = (count: number) =>
    edging > 0 ? `${plural(count, 'stitch', 'stitches')} of its edging` : plural(count, 'row');
  const meet =
    overlap > 0 ? `overlap by {mm:${overlap}}` : overlap < 0 ? `leave {mm:${-overlap}} between them` : 'meet';
  const seams = crochet ? [] : packetSeams(packet, join.id === 'mattress' ? 'mattress' : 'whip', join.factor);
  const yarn = yarnToCut(seams.reduce((sum, { mm }) => sum + (mm * join.factor) / 2, 0));
  const closed = {
    section: 'joining',
    kind: 'assembly',
    check: {
      look: 'Both folds square, the edges level along the middle?',
      repair: 'Pull the end out and pin it first.',
    },
  } as const;
  const steps: WorkStep[] = [
    ...(border ? [edgedFirst(piece.id, border)] : []),
    ...pieceEnd(piece),
    {
      id: 'fold',
      section: 'joining',
      kind: 'assembly',
      does: [{ do: 'fold', fold: packetFold(packet) }],
      text: `Lay the rectangle wrong side up. Fold in ${places(packet.first)} at its beginning and ${places(packet.second)} at its end, so that their edges ${meet} in the middle.`,
      check: { look: 'Does it go around the item like this?', repair: 'Fold with more or less overlap.' },
    },
    ...(crochet
      ? packetJoins(packet, crochet).map((border, index): WorkStep => ({
          id: index === 0 ? 'join-ends' : 'join-ends-2',
          ...closed,
          does: [border, { do: 'fasten-off' }],
          minutes: 2,
        }))
      : [
          {
            id: 'join-ends',
            ...closed,
            does: seams,
            text: `Close each end with about {mm:${yarn}} of yarn: ${join.name.replace(/ed$/, '')} ${edging > 0 ? 'the edge loops' : 'the row ends'} of all layers together, from fold to fold.`,
            minutes: 8,
          } satisfies WorkStep,
        ]),
  ];
  return { assembly: steps, lips: () => packetLips(packet, border) };
}

export const packet: ShapeDefinition = {
  id: 'packet',
  name: 'Tissue wrap',
  summary: 'A rectangle folded to the middle from both ends, the ends joined, open along the middle.',
  why: 'Opens along its middle: for what is pulled out, such as tissues.',
  worked: 'rows',
  around: 'rows',
  bands: true,
  options,
  takes: {
    flat: true,
    round: 'It lies flat round a flat thing. Choose a round base with sides.',
    rods: 'It opens along its middle, where tools fall out. Choose a strip or two panels.',
    several: ONE_ROOM,
    given: true,
  },
  caveat: ({ profile, givesWay }) =>
    profile === 'given' || givesWay
      ? undefined
      : 'It lies open along its middle: what is stiff slides out of it. It is meant for what gives way.',
  offers: ['free-back', 'bundle'],
  build,
};
