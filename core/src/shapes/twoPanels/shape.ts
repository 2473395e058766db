import { chosen, derive } from '../../base/figure';
import { nth, type Border } from '../../piece';
import { formatNumber, plural, type Field, type FieldValues } from '../../base/units';
import type { Built, Piece, ShapeContext, ShapeDefinition, WorkStep } from '../definition';
import { countFigure, faceChoice, pickAdvice } from '../common/choice';
import { coverDrive } from '../common/drive';
import {
  besideColumns,
  edgingDepth,
  lessEdging,
  sizedWithRim,
  wantedFront,
  wantedRound,
  withRim,
} from '../common/flat';
import { crocheted, joinField, joinOf, pieceEnd, sewnInOnePass } from '../common/joins';
import { edgedPanels, panelsFold, panelsJoin, panelsRim, panelsSeams, secondPanel } from '../common/panelWork';
import { rowPiece } from '../common/rowPiece';
import { alsoOf, insideFaces, sized } from '../common/sized';
import { edgedFirst } from '../common/strip';
import { edgingAround } from '../common/stripWork';
import { panelsViews } from './views';
import { EDGING_COLOUR, EDGING_OF, edgingColour, edgingField } from '../common/edgingField';

const options: readonly Field[] = [
  edgingField({
    label: 'Edging of each panel',
    help: 'Rounds of {single}, taken off the panel before counting.',
    min: 1,
    max: 4,
    default: 1,
  }),
  EDGING_OF,
  joinField('Joined', 'How the three sides are closed, through both edgings.'),
  EDGING_COLOUR,
  {
    key: 'secondColour',
    kind: 'text',
    label: 'Second panel in another colour',
    help: 'Its colour by name. Left empty: as the first.',
    max: 60,
    default: '',
  },
  {
    key: 'slitMm',
    kind: 'length',
    label: 'Slits at the top corners',
    help: 'Left open at each side below the opening.',
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
  const join = joinOf(given.join);
  const take = chosen(join.take, 'stitches', 'taken by the join');
  const faceOf = (count: number) => (count - 2 * take.value) * w.value + 2 * edging.value;
  const choice = faceChoice(wantedRound(context).face, faceOf, context);
  const n = countFigure(choice, w, { asked: 'F', size: 'w', count: 'n' }, 'stitches', picks);
  const front = wantedFront(context);
  const second = secondColour(given);
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
  const face = sized(
    'F = (n − 2 take) w + 2 edging',
    { n, take, w, edging },
    (v) => (v.n - 2 * v.take) * v.w + 2 * v.edging,
  );
  const girth = insideFaces(face, t, thing.pockets);
  const rows = chosen(piece.height.value / fabric.rowHeight.value, 'rows', 'rows of a panel');
  const depth = sizedWithRim(
    sized(
      'inside = rows × h + 2 edging − D/2 − πt/4',
      { rows, h: fabric.rowHeight, edging, D: thing.depth, t },
      (v) => v.rows * v.h + 2 * v.edging - v.D / 2 - (Math.PI * v.t) / 4,
    ),
    context,
  );
  const width = derive('mm', 'width = n w + 2 edging', { n, w, edging }, (v) => v.n * v.w + 2 * v.edging);
  const height = derive(
    'mm',
    'height = rows × h + 2 edging',
    { rows, h: fabric.rowHeight, edging },
    (v) => v.rows * v.h + 2 * v.edging,
  );
  return {
    pieces: [second === undefined ? piece : { ...piece, secondColour: second }],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width,
      height: withRim(height, context),
      thickness: sized('D + 2t', { D: thing.depth, t }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      depth: depth.of,
      wander: { courses: piece.rows, lies: 'apart' },
      stretch: fabric.stitch.factors.stretchAcross,
      also: alsoOf(girth, depth),
    },
    topCorner: { edge: 'last', side: 'right' },
    backEdge: { piece: nth(piece.id, 2), edge: 'last', row: piece.rows },
    ...assembly(context, piece),
    advice: pickAdvice(choice, fabric.stitch.rows),
    views: panelsViews({
      piece,
      thing,
      fabric,
      edging: edgingOf(context, piece),
      join,
      width: width.value,
      height: height.value,
      drive: coverDrive(context),
    }),
  };
}

/** What the second panel is worked in, where not as the first. */
const secondColour = ({ secondColour: colour }: FieldValues): string | undefined =>
  typeof colour === 'string' && colour.trim() !== '' ? colour.trim() : undefined;

const inColour = (given: FieldValues) => {
  const colour = secondColour(given);
  return colour ? `, in ${colour}` : '';
};

/** The edging of a panel, its last round in the stitch that is chosen for it. */
function edgingOf({ options }: ShapeContext, piece: Piece): Border {
  const { edging, edgingOf: last } = options;
  return { ...edgingAround(piece, Number(edging), edgingColour(options)), stitch: last === 'slip' ? 'slip' : 'single' };
}

const LAID = 'Lay one panel on the other, wrong sides together, top edges level.';

function assembly(context: ShapeContext, piece: Piece): Pick<Built, 'assembly' | 'rim'> {
  const { fabric, options: given } = context;
  const colour = edgingColour(given) ?? (secondColour(given) ? 'the same colour' : undefined);
  const edging = edgingOf(context, piece);
  const panels = edgedPanels(piece, edging);
  const open = Math.min(panels.side - 1, Math.round(Number(given.slitMm) / fabric.stitchWidth.value));
  const join = joinOf(given.join);
  const crochet = crocheted(join);
  const seams = crochet ? [] : panelsSeams(panels, join.id === 'mattress' ? 'mattress' : 'whip', join.factor, open);
  const left = open > 0 ? ` Leave the top ${plural(open, 'stitch', 'stitches')} of each side open.` : '';
  const assembly: WorkStep[] = [
    edgedFirst(piece.id, edging),
    ...pieceEnd({ id: piece.id, times: 1 }),
    {
      id: 'second-panel',
      section: 'joining',
      kind: 'assembly',
      after: piece.id,
      does: [secondPanel(piece, edging)],
      text: `Make the second panel in the same way${inColour(given)}, with its edging${colour ? ` in ${colour}` : ''}, and fasten off.`,
      check: {
        look: 'As many stitches along each edge of one panel as of the other?',
        repair: 'Pull the edging out to the corner before and spread the stitches again.',
      },
    },
    {
      id: 'join-panels',
      section: 'joining',
      kind: 'assembly',
      does: [
        { do: 'fold', fold: panelsFold(panels, open, crochet !== undefined, LAID) },
        ...(crochet ? [panelsJoin(panels, crochet, open), { do: 'fasten-off' } as const] : seams),
      ],
      ...(crochet ? {} : { text: `${sewnInOnePass(seams, join, 'the outer edge loops of both layers')}${left}` }),
      check: {
        look: 'Rows of both layers side by side, both top edges level?',
        repair: 'Pull it out to the corner and match stitch for stitch.',
      },
      minutes: 4,
    },
    ...inThirds(given, piece),
  ];
  return { assembly, rim: () => panelsRim(panels, open) };
}

/** Two folds of what is carried in thirds, once it is filled. */
function inThirds({ folds }: FieldValues, { width }: Piece): WorkStep[] {
  if (folds !== 'thirds') return [];
  return [
    {
      id: 'fold-thirds',
      section: 'finishing',
      kind: 'finish',
      does: [{ do: 'fill', says: 'Put in what it is for.' }],
      text: `Fold one side over the middle third and the other over both: each third is {mm:${formatNumber(width.value / 3)}} wide.`,
      check: {
        look: 'Do all three layers lie without strain?',
        repair: 'Fold a little outside the thirds, or take something out.',
      },
    },
  ];
}

export const twoPanels: ShapeDefinition = {
  id: 'two-panels',
  name: 'Two panels',
  summary: 'Two rectangles, edged alike, joined on three sides; slits and folds as wanted.',
  why: 'Flat pieces to work; best for dividers and wraps.',
  worked: 'rows',
  besideColumns,
  bands: true,
  options,
  takes: {
    flat: true,
    round: 'Its bottom is a seam, and what is round stands on a round one. Choose a round base with sides.',
    rods: true,
    several: true,
    given: true,
  },
  offers: ['open-mouth', 'straight-mouth', 'upright-columns', 'flat-front', 'free-back', 'bundle'],
  build,
};
