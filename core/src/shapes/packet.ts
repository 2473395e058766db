import { multipleOf, nearestCounts } from '../counts';
import { chosen, derive } from '../figure';
import { formatNumber, plural, type Field } from '../units';
import type { Built, Piece, ShapeContext, ShapeDefinition, WorkStep } from './definition';
import type { Part, View } from './drawing';
import { countChoice, countFigure, pickAdvice } from './common/choice';
import { bandsDrawn, cutPouch, folds, panel, uprightFrom } from './common/draw';
import { wantedRound } from './common/flat';
import { yarnToCut } from '../piece';
import { crocheted, joinField, joinOf, pieceEnd } from './common/joins';
import { foldedPacket, packetFold, packetJoins, packetSeams } from './common/packetWork';
import { alikeRows, besideFill, rowPiece, rowsLong } from './common/rowPiece';
import { fabricRound, sized } from './common/sized';
import { ONE_ROOM } from './common/takes';

const options: readonly Field[] = [
  joinField('Ends', 'How the two ends are closed.', 'whip'),
  {
    key: 'overlapMm',
    kind: 'length',
    label: 'The edges overlap by',
    help: 'Less than nothing leaves a gap to take out of.',
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
  const take = chosen(join.take, 'stitches', join.name);
  const overlap = chosen(Number(given.overlapMm), 'mm', 'overlap');
  const h = fabric.rowHeight;
  const w = fabric.stitchWidth;
  const t = fabric.thickness;
  const asked = derive('mm', 'length = C + overlap', { C: wantedRound(context).round, overlap }, (v) =>
    Math.max(v.C + v.overlap, 1),
  );
  const beside = besideFill(fabric);
  const longOf = (rows: number) => beside.mm + (rows - beside.rows) * h.value;
  const choice = countChoice(
    {
      id: 'length',
      name: 'Length',
      noun: 'rows',
      asked,
      sizeOf: longOf,
      insideOf: (rows) => longOf(rows) - overlap.value - thing.pockets * Math.PI * t.value,
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
  const stitches = nearestCounts({
    askedMm: across.value,
    sizeOf: (n) => n * w.value,
    conditions: [multipleOf(fabric.stitch.rows), ...(context.demands.conditions ?? [])],
    hurts: 'small',
    atLeast: 2,
    path: 'fabric.stitch',
  }).find(({ best }) => best)!.count;
  const n = derive(
    'stitches',
    'n = width / w, the nearest that the stitch allows',
    { width: across, w },
    () => stitches,
  );
  const length = rowsLong('length', rows, fabric);
  const piece = rowPiece(
    {
      id: 'body',
      name: 'Rectangle',
      fabric,
      stitches: n,
      lengths: [{ name: 'front', figure: length }],
      edge: 'opening',
    },
    context,
  );
  const { pockets } = thing;
  const girth = sized(
    `inside = rows × h − overlap${fabricRound(pockets)}`,
    { rows: alikeRows(rows, fabric), h, overlap, t },
    (v) => v.rows * v.h - v.overlap - pockets * Math.PI * v.t,
  );
  const depth = sized(
    'inside = (n − 2 take) w − D − πt/2',
    { n, take, w, D: thing.depth, t },
    (v) => (v.n - 2 * v.take) * v.w - v.D - (Math.PI * v.t) / 2,
  );
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width: piece.width,
      height: derive('mm', '(length − overlap) / 2', { length, overlap }, (v) => (v.length - v.overlap) / 2),
      thickness: sized('D + 2t', { D: thing.depth, t }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice],
    model: { girth: girth.of, depth: depth.of, stretch: fabric.stitch.factors.stretchAlong },
    assembly: assembly(context, piece),
    advice: pickAdvice(choice, { repeat: 1, edge: 0 }),
    views: views(context, piece),
  };
}

function assembly({ options: given }: ShapeContext, piece: Piece): WorkStep[] {
  const join = joinOf(given.join);
  const crochet = crocheted(join);
  const overlap = Number(given.overlapMm);
  const packet = foldedPacket(piece, overlap);
  const meet =
    overlap > 0 ? `overlap by {mm:${overlap}}` : overlap < 0 ? `leave {mm:${-overlap}} between them` : 'meet';
  const seams = crochet ? [] : packetSeams(packet, join.id === 'mattress' ? 'mattress' : 'whip', join.factor);
  const yarn = yarnToCut(seams.reduce((sum, { mm }) => sum + (mm * join.factor) / 2, 0));
  const closed = {
    section: 'joining',
    kind: 'assembly',
    phase: 'joining',
    check: {
      look: 'Both folds square, the edges level along the middle?',
      repair: 'Pull the end out and pin it first.',
    },
    closes: ['the ends'],
  } as const;
  return [
    pieceEnd(piece),
    {
      id: 'fold',
      section: 'joining',
      kind: 'assembly',
      phase: 'joining',
      does: [{ do: 'fold', fold: packetFold(packet) }],
      text: `Lay the rectangle wrong side up. Fold in ${plural(packet.first, 'row')} at its beginning and ${plural(packet.second, 'row')} at its end, so that their edges ${meet} in the middle.`,
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
            text: `Close each end with about {mm:${yarn}} of yarn: ${join.name.replace(/ed$/, '')} the row ends of all layers together, from fold to fold.`,
            minutes: 8,
          } satisfies WorkStep,
        ]),
  ];
}

function views({ thing, fabric, options: given }: ShapeContext, piece: Piece): View[] {
  const long = piece.height.value;
  const wide = piece.width.value;
  const overlap = Number(given.overlapMm);
  const quarter = (long - overlap) / 4;
  const { rows, stitches } = piece;
  const flat: Part[] = [
    panel({
      role: 'front',
      label: 'rectangle',
      sub: `${rows} rows`,
      w: long,
      h: wide,
      rows,
      stitches,
      stacked: 'x',
      ...bandsDrawn(piece),
    }),
    ...folds(
      [
        { mm: quarter + overlap / 2, label: 'fold' },
        { mm: long - quarter - overlap / 2, label: 'fold' },
      ],
      wide,
    ),
    {
      type: 'thing',
      x: (long - thing.width.value) / 2,
      y: (wide - thing.height.value) / 2,
      w: thing.width.value,
      h: thing.height.value,
      r: thing.corner,
    },
    { type: 'dimension', along: 'x', from: 0, to: long, mm: long, count: `${rows} rows`, choice: 'length' },
    { type: 'dimension', along: 'y', from: 0, to: wide, mm: wide, count: `${stitches} stitches` },
  ];
  const high = (long - overlap) / 2;
  const folded: Part[] = [
    panel({
      role: 'front',
      label: 'front',
      sub: `${rows} rows`,
      w: wide,
      h: high,
      rows: Math.round(rows / 2),
      stitches,
    }),
    { type: 'line', kind: 'slot', x1: 0, y1: high / 2, x2: wide, y2: high / 2, label: 'opening' },
    { type: 'dimension', along: 'x', from: 0, to: wide, mm: wide, count: `${stitches} stitches` },
    uprightFrom(0, high),
    {
      type: 'thing',
      x: (wide - thing.height.value) / 2,
      y: (high - thing.width.value) / 2,
      w: thing.height.value,
      h: thing.width.value,
      r: thing.corner,
    },
  ];
  const t = fabric.thickness.value;
  const cut = cutPouch({
    D: thing.depth.value,
    H: thing.width.value,
    t,
    front: thing.width.value + t,
    back: thing.width.value + t,
  });
  return [
    {
      id: 'flat',
      name: 'Flat',
      width: long,
      height: wide,
      parts: flat,
      text: `The rectangle: ${rows} rows, {mm:${formatNumber(long)}} long; ${stitches} stitches, {mm:${formatNumber(wide)}} wide.`,
    },
    {
      id: 'folded',
      name: 'Folded',
      width: wide,
      height: high,
      parts: folded,
      text: `Folded: {mm:${formatNumber(wide)}} by {mm:${formatNumber(high)}}, open along the middle.`,
    },
    {
      id: 'cut',
      name: 'Cut through',
      ...cut,
      text: `Cut through: {mm:${formatNumber(thing.depth.value)}} of the thing between two layers of {mm:${formatNumber(t)}}.`,
    },
  ];
}

export const packet: ShapeDefinition = {
  id: 'packet',
  name: 'Packet',
  summary: 'A rectangle folded to the middle from both ends, the ends joined, open along the middle.',
  why: 'Opens along its middle: for what is pulled out, such as tissues.',
  worked: 'rows',
  bands: true,
  options,
  takes: {
    flat: true,
    round: 'It lies flat round a flat thing. Choose a disc and wall.',
    rods: 'It opens along its middle, where tools fall out. Choose a strip or two panels.',
    several: ONE_ROOM,
    given: true,
  },
  offers: ['free-back', 'bundle'],
  build,
};
