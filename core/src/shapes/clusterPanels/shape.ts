import { refuseBeyond } from '../../craft/counts';
import { chosen, derive, type Figure } from '../../base/figure';
import { crossing, flapTurn } from '../../craft/fit';
import type { Field } from '../../base/units';
import { nearestAsWorked } from '../common/asWorked';
import { chosenCount, countChoice, pickAdvice } from '../common/choice';
import { EDGING_COLOUR, EDGING_OF, edgingColour, edgingField } from '../common/edgingField';
import {
  edgingDepth,
  flapOverlap,
  leastReach,
  lessEdging,
  sizedWithRim,
  wantedFront,
  wantedRound,
  withRim,
} from '../common/flat';
import { alsoOf, insideFaces, sized } from '../common/sized';
import { overThing } from '../common/strip';
import type { Built, FlapPlace, Piece, ShapeContext, ShapeDefinition } from '../definition';
import { MOST_EDGING, stepMisses, tooTall } from './advice';
import { clusterCourses, clusterRound, type StripStart } from './courses';
import { clusterGauge, clusterPiece, longer, stripFor, stripLong, widthOf, type ClusterGauge } from './piece';
import { clusterWork, rectangleEdging, type ClusterBorders } from './work';
import { clusterViews } from './views';

type Mm = Figure<'mm'>;

const colour = (key: string, label: string): Field => ({
  key,
  kind: 'text',
  label,
  help: 'Its colour by name. Left empty: as all.',
  max: 60,
  default: '',
});

const options: readonly Field[] = [
  {
    key: 'strip',
    kind: 'choice',
    label: 'Strip in the middle',
    help: 'What the rounds are worked around.',
    options: [
      { id: 'chain', name: 'groups along a chain' },
      { id: 'ring', name: 'two groups a row, from a ring' },
    ],
    default: 'chain',
  },
  colour('stripColour', 'Strip in another colour'),
  colour('lastColour', 'Last round in another colour'),
  colour('secondColour', 'Second rectangle in another colour'),
  edgingField({
    label: 'Edging of each rectangle',
    help: 'Rounds of {single} around the groups, before they are joined: a finer step than a round of groups.',
    max: MOST_EDGING,
  }),
  EDGING_OF,
  EDGING_COLOUR,
];

const named = (given: unknown): string | undefined =>
  typeof given === 'string' && given.trim() !== '' ? given.trim() : undefined;

/** The colours of its parts that are said. */
function coloursOf({ stripColour, lastColour }: ShapeContext['options']): { strip?: string; last?: string } {
  const [strip, last] = [named(stripColour), named(lastColour)];
  return { ...(strip ? { strip } : {}), ...(last ? { last } : {}) };
}

/**
 * Two rectangles of three-double clusters: a strip, then rounds; both of one width, the back longer by turn and flap. Rounds
 * are solved for the width, the strip for each height (handbook 5.7).
 */
function build(context: ShapeContext): Built {
  const { thing, demands, options: given } = context;
  const { stripes } = context.fabric;
  const fabric = { ...context.fabric.also('cluster', 'rounds'), ...(stripes ? { stripes } : {}) };
  const own = { ...context, fabric };
  const { thickness: t } = fabric;
  const gauge = clusterGauge(given.strip as StripStart, fabric);
  const face = wantedRound(own).face;
  const edging = edgingDepth(Number(given.edging), own);
  const choice = countChoice(
    {
      id: 'width',
      name: 'Width',
      noun: 'rounds',
      asked: face,
      sizeOf: (r) => widthOf(gauge, r) + 2 * edging.value,
      insideOf: (r) => 2 * (widthOf(gauge, r) + 2 * edging.value) - thing.pockets * Math.PI * t.value,
      multiple: { repeat: 1, edge: 0 },
      atLeast: 1,
      stretch: fabric.stitch.factors.stretchAcross,
    },
    { ...own, demands: {} },
  );
  const r = chosenCount(choice);
  refuseBeyond(clusterRound(gauge.start, 1, r), 'stitches', 'thing');
  const front = wantedFront(own);
  const overlap = demands.flap ? flapOverlap(demands, thing.height) : undefined;
  const frontLength = stripAsWorked(own, 'front', gauge, stripFor(gauge, lessEdging(front, edging, 2), r), r);
  const pieceOf = (id: string, name: string, length: number, height: Mm) =>
    clusterPiece(
      {
        id,
        name,
        length,
        rounds: r,
        gauge,
        fabric,
        wanted: { width: lessEdging(face, edging, 2), height: lessEdging(height, edging, 2) },
        colours: coloursOf(given),
      },
      own,
    );
  const frontPiece = pieceOf('front', overlap ? 'Front' : 'Rectangle', frontLength, front);
  const whole = (figure: Mm): Mm => edgedBy(figure, edging);
  const back = overlap
    ? backOf(own, gauge, { height: whole(frontPiece.height), length: frontLength, rounds: r, edging }, overlap)
    : undefined;
  const backPiece = back ? withColour(pieceOf('back', 'Back with flap', back.length, back.wanted), given) : undefined;
  const pieces = backPiece ? [frontPiece, backPiece] : [twice(frontPiece, given)];
  const borders = bordersOf(context, pieces[0]!, backPiece);
  const rounds = chosen(r, 'rows', 'rounds of groups');
  const { across, pitch, end, h } = gauge;
  const wide = sized(
    'F = strip + 2r h + 2 edging',
    { strip: across, r: rounds, h, edging },
    (v) => v.strip + 2 * v.r * v.h + 2 * v.edging,
  );
  const girth = insideFaces(wide, t, thing.pockets);
  const c = chosen(frontLength, '1', 'of the front’s strip');
  const depth = sizedWithRim(
    sized(
      'inside = strip’s length + 2r h + 2 edging − D/2 − πt/4',
      { c, pitch, end, r: rounds, h, edging, D: thing.depth, t },
      (v) => stripLong(v.c, v) + 2 * v.r * v.h + 2 * v.edging - v.D / 2 - (Math.PI * v.t) / 4,
    ),
    context,
  );
  const reach = back
    ? flapReach(own, gauge, { front: frontLength, more: back.length - frontLength, rounds: r }, edging)
    : undefined;
  const flap: FlapPlace | undefined =
    backPiece && reach ? flapPlace(frontPiece, backPiece, reach.figure, edging) : undefined;
  return {
    pieces,
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width: whole(frontPiece.width),
      height: withRim(whole(frontPiece.height), context),
      thickness: sized('D + layers × t', { D: thing.depth, t }, (v) => v.D + (flap ? 3 : 2) * v.t).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      depth: depth.of,
      stretch: fabric.stitch.factors.stretchAcross,
      ...(reach && overlap ? { flap: { reach: reach.of, least: leastReach(overlap) } } : {}),
      also: alsoOf(girth, depth, reach),
    },
    ...(flap ? { flap } : {}),
    ...clusterWork(pieces[0]!, backPiece, borders),
    advice: [
      ...pickAdvice(choice, { repeat: 1, edge: 0 }),
      ...stepMisses(face, { rounds: r, edging }, gauge, fabric),
      ...tooTall(lessEdging(front, edging, 2), frontPiece, gauge),
    ],
    views: clusterViews({
      front: frontPiece,
      back: backPiece,
      thing,
      fabric,
      join: fabric.also('single', 'rounds'),
      rounds: r,
      edging: { mm: edging.value, front: borders.front, back: borders.back },
    }),
  };
}

/** A size of a rectangle with what edges it at both ends. */
const edgedBy = (figure: Mm, edging: Mm): Mm =>
  edging.value === 0
    ? figure
    : derive('mm', 'rectangle + 2 edging', { rectangle: figure, edging }, (v) => v.rectangle + 2 * v.edging);

/** The edging of each rectangle; none where there is none. */
function bordersOf({ options: given }: ShapeContext, front: Piece, back: Piece | undefined): ClusterBorders {
  const courses = Number(given.edging);
  if (courses === 0) return {};
  const last = given.edgingOf === 'slip' ? 'slip' : 'single';
  const around = (piece: Piece) => rectangleEdging(piece, courses, last, edgingColour(given));
  return { front: around(front), ...(back ? { back: around(back) } : {}) };
}

/** What the join adds where it edges the flap: a round of single, whatever the rectangles are edged with. */
const joinDepth = ({ fabric }: ShapeContext): Mm => edgingDepth(1, { fabric, options: {} });

/** The back: as long as the front as it came out, the way over the top, and the flap; longer by a step of the strip at the least. */
function backOf(
  context: ShapeContext,
  gauge: ClusterGauge,
  front: { height: Mm; length: number; rounds: number; edging: Mm },
  overlap: Mm,
): { length: number; wanted: Mm } {
  const { thing, fabric } = context;
  const { length, rounds } = front;
  const wanted = derive(
    'mm',
    'front − over + turn + flap − border',
    {
      front: front.height,
      over: overThing(front.height, context),
      turn: flapTurn(thing.depth, fabric.thickness, overThing(front.height, context)),
      flap: overlap,
      border: joinDepth(context),
    },
    (v) => Math.max(0.1, v.front - v.over + v.turn + v.flap - v.border),
  );
  const asked = Math.max(longer(gauge, length), stripFor(gauge, lessEdging(wanted, front.edging, 2), rounds));
  return { length: stripAsWorked(context, 'back', gauge, asked, rounds), wanted };
}

/** The strip nearest to what is asked that begins as it is worked. */
function stripAsWorked(
  { worked, schools }: ShapeContext,
  id: string,
  { start }: ClusterGauge,
  asked: number,
  rounds: number,
): number {
  const counts = (length: number) => {
    const { strip, around } = clusterCourses(start, length, rounds, schools, id);
    return [...strip, ...around].map(({ ends }) => ends);
  };
  return nearestAsWorked(asked, worked?.[id], counts, start === 'chain' ? 1 : 3, start === 'chain' ? 1 : 2);
}

function withColour(piece: Piece, { secondColour }: ShapeContext['options']): Piece {
  const second = named(secondColour);
  return second && !piece.bands ? { ...piece, colour: second } : piece;
}

function twice(piece: Piece, { secondColour }: ShapeContext['options']): Piece {
  const second = named(secondColour);
  return { ...piece, times: 2, ...(second && !piece.bands ? { secondColour: second } : {}) };
}

function flapPlace(front: Piece, back: Piece, edgeBelowFrontTop: Mm, edging: Mm): FlapPlace {
  return {
    piece: back.id,
    edge: 'last',
    row: back.rows,
    stitches: back.rectangle!.end,
    width: back.width,
    edgeBelowFrontTop,
    frontMm: front.height.value + 2 * edging.value,
    borderMm: edging.value,
  };
}

/**
 * How far the flap comes down in front: what the back's strip has more than the front's, as both have as many rounds, less
 * the way over the top (law, handbook 3).
 */
function flapReach(
  context: ShapeContext,
  gauge: ClusterGauge,
  { front, more, rounds }: Record<'front' | 'more' | 'rounds', number>,
  edging: Mm,
) {
  const { thing, fabric, demands } = context;
  return sized(
    'edge = longer strip + border + over − turn, over = strip + 2r h + 2 edging + rim − D/2 − πt/4 − H',
    {
      c: chosen(more, '1', 'of the back’s strip more than of the front’s'),
      strip: chosen(front, '1', 'of the front’s strip'),
      r: chosen(rounds, 'rows', 'rounds of groups'),
      pitch: gauge.pitch,
      end: gauge.end,
      h: gauge.h,
      edging,
      border: joinDepth(context),
      rim: demands.rim ?? chosen(0, 'mm', 'no edging at the mouth'),
      H: thing.height,
      D: thing.depth,
      t: fabric.thickness,
    },
    (v) => {
      const over = stripLong(v.strip, v) + 2 * v.r * v.h + 2 * v.edging + v.rim - v.D / 2 - (Math.PI * v.t) / 4 - v.H;
      return v.c * v.pitch + v.border + over - crossing(v.D, v.t, over);
    },
  );
}

export const clusterPanels: ShapeDefinition = {
  id: 'cluster-panels',
  name: 'Group rectangles',
  summary: 'Two rectangles of 3-{double} groups, worked outwards from a strip; a longer back makes the flap.',
  why: 'Quick, lacy, few stitches; needs a lining for slim things.',
  worked: 'rounds',
  stitch: 'cluster',
  options,
  takes: {
    flat: true,
    round: 'Its bottom is a seam, and what is round stands on a round one. Choose a round base with sides.',
    rods: 'Tools slip through the gaps between groups. Choose a strip or two panels.',
    several: true,
    given: true,
  },
  offers: ['open-mouth', 'straight-mouth', 'turn-over', 'free-back', 'bundle'],
  build,
};
