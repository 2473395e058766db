import { chosen, derive } from '../figure';
import { bottomGive } from '../fit';
import { formatNumber, plural, type Field } from '../units';
import type { Built, Piece, ShapeContext, ShapeDefinition, WorkStep } from './definition';
import type { Part, View } from './drawing';
import { chosenCount, countFigure, faceChoice, pickAdvice } from './common/choice';
import { panel, sideBySide } from './common/draw';
import { coverDrive } from './common/drive';
import { edgingDepth, lessEdging, wantedFront, wantedRound } from './common/flat';
import { alongRowEnds, fastenOff } from './common/joins';
import { closedViews } from './common/panelViews';
import { rowPiece } from './common/rowPiece';
import { insideFaces, sized } from './common/sized';

const options: readonly Field[] = [
  {
    key: 'edging',
    kind: 'number',
    label: 'Edging of each panel',
    help: 'Rounds of single, taken off the panel before counting.',
    unit: 'rounds',
    whole: true,
    min: 1,
    max: 4,
    default: 1,
  },
  {
    key: 'slitMm',
    kind: 'length',
    label: 'Slits at the top corners',
    help: 'Left open at each side below the mouth.',
    min: 0,
    max: 500,
    default: 0,
  },
  {
    key: 'folds',
    kind: 'choice',
    label: 'Carried',
    options: [
      { id: 'none', name: 'as it is' },
      { id: 'thirds', name: 'folded in thirds' },
    ],
    default: 'none',
  },
];

/** Two rectangles, edged alike, joined on three sides through the edging (handbook 5.6). */
function build(context: ShapeContext): Built {
  const { fabric, thing, options: given, picks } = context;
  const edging = edgingDepth(Number(given.edging), context);
  const w = fabric.stitchWidth;
  const t = fabric.thickness;
  const faceOf = (count: number) => count * w.value + 2 * edging.value;
  const choice = faceChoice(wantedRound(context).face, faceOf, context);
  const n = countFigure(choice, w, { asked: 'F', size: 'w', count: 'n' }, 'stitches', picks);
  const front = wantedFront(context);
  const piece = rowPiece(
    {
      id: 'body',
      name: 'Panel',
      times: 2,
      fabric,
      stitches: n,
      lengths: [{ name: 'front', figure: lessEdging(front, edging, 2) }],
      edge: 'seam',
    },
    context,
  );
  const face = sized('F = n w + 2 edging', { n, w, edging }, (v) => v.n * v.w + 2 * v.edging);
  const girth = insideFaces(face, t, thing.pockets);
  const rows = chosen(piece.height.value / fabric.rowHeight.value, 'rows', 'rows of a panel');
  const depth = sized(
    'inside = rows × h + 2 edging − D/2 − πt/4',
    { rows, h: fabric.rowHeight, edging, D: thing.depth, t },
    (v) => v.rows * v.h + 2 * v.edging - v.D / 2 - (Math.PI * v.t) / 4,
  );
  const width = derive('mm', 'width = n w + 2 edging', { n, w, edging }, (v) => v.n * v.w + 2 * v.edging);
  const height = derive(
    'mm',
    'height = rows × h + 2 edging',
    { rows, h: fabric.rowHeight, edging },
    (v) => v.rows * v.h + 2 * v.edging,
  );
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width,
      height,
      thickness: sized('D + 2t', { D: thing.depth, t }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice],
    model: { girth: girth.of, depth: depth.of, stretch: fabric.stitch.factors.stretchAcross },
    assembly: assembly(context, piece, chosenCount(choice)),
    advice: pickAdvice(choice, fabric.stitch.rows),
    views: views(context, piece, width.value, height.value),
  };
}

function assembly({ fabric, options: given }: ShapeContext, piece: Piece, count: number): WorkStep[] {
  const edging = Number(given.edging);
  const slit = Number(given.slitMm);
  const side = Math.max(0, piece.height.value - slit);
  const thirds: WorkStep[] =
    given.folds === 'thirds'
      ? [
          {
            id: 'fold-thirds',
            section: 'closing',
            kind: 'finish',
            phase: 'filled',
            text: `Filled, fold one side over the middle third and the other over both: each third is {mm:${formatNumber(piece.width.value / 3)}} wide.`,
            check: {
              look: 'Do all three layers lie without strain?',
              repair: 'Fold a little outside the thirds, or take something out.',
            },
          },
        ]
      : [];
  return [
    {
      id: 'edge-panels',
      section: 'joining',
      kind: 'assembly',
      phase: 'open',
      text: `Edge both panels alike with ${plural(edging, 'round')} of {single}: ${count} along each end, ${alongRowEnds(piece.rows, fabric)} up each side, 3 in each corner.`,
      check: {
        look: 'As many stitches along each side of one panel as of the other?',
        repair: 'Take the edging back to the corner before and share it out again.',
      },
      minutes: 12 * edging,
    },
    fastenOff(2 * side + piece.width.value, 'three sides'),
    {
      id: 'join-panels',
      section: 'joining',
      kind: 'assembly',
      phase: 'joining',
      text: `Wrong sides together, join side, bottom and side with {single} through both edgings, stitch for stitch, 3 in each corner${slit > 0 ? `; leave {mm:${slit}} open at the top of each side` : ''}. Fasten off.`,
      check: {
        look: 'Rows of both layers side by side, both top edges level?',
        repair: 'Take it back to the corner and match stitch for stitch.',
      },
      closes: ['between the layers'],
      minutes: 12,
      seam: { mm: 2 * side + piece.width.value, factor: 4 },
    },
    ...thirds,
  ];
}

function views(context: ShapeContext, piece: Piece, width: number, height: number): View[] {
  const { thing, fabric } = context;
  const { stitches, rows } = piece;
  const sheet = (label: string, role: 'front' | 'back'): Part[] => [
    panel({ role, label, sub: `${rows} rows`, w: width, h: height, rows, stitches }),
    { type: 'dimension', along: 'x', from: 0, to: width, mm: width, count: `${stitches} stitches`, choice: 'width' },
  ];
  const flat = sideBySide([
    {
      parts: [
        ...sheet('front', 'front'),
        {
          type: 'dimension',
          along: 'y',
          from: 0,
          to: height,
          mm: height,
          count: `${rows} rows`,
          drives: coverDrive(context),
        },
      ],
      width,
      height,
    },
    { parts: sheet('back', 'back'), width, height },
  ]);
  const give = bottomGive(thing.depth, fabric.thickness).value;
  const up = height - give;
  return [
    {
      id: 'flat',
      name: 'Flat',
      ...flat,
      text: `Two panels alike: ${stitches} stitches, ${rows} rows, {mm:${formatNumber(width)}} by {mm:${formatNumber(height)}} with their edging.`,
    },
    ...closedViews({
      context,
      width,
      height: up,
      front: [panel({ role: 'front', label: 'front', sub: `${rows} rows`, w: width, h: up, rows, stitches })],
      frontUp: up,
      backUp: up,
      count: `${stitches} stitches`,
      choice: 'width',
    }),
  ];
}

export const twoPanels: ShapeDefinition = {
  id: 'two-panels',
  name: 'Two panels',
  summary: 'Two rectangles, edged alike, joined on three sides; slits and folds as wanted.',
  why: 'Flat pieces to work; best for dividers and wraps.',
  worked: 'rows',
  options,
  takes: {
    flat: true,
    round: 'Its bottom is a seam, and what is round stands on a round one. Choose a disc and wall.',
    rods: true,
    several: true,
    given: true,
  },
  offers: ['open-mouth', 'straight-mouth', 'upright-columns', 'flat-front', 'free-back', 'bundle'],
  build,
};
