import { refuseBeyond } from '../counts';
import { inOne, repeat, type Instruction, type WorkedFabric } from '../fabric';
import { chosen, derive, type Figure } from '../figure';
import { bottomGive, flapTurn } from '../fit';
import { formatNumber, plural } from '../units';
import type { Built, Course, FlapPlace, Piece, ShapeContext, ShapeDefinition, WorkStep } from './definition';
import { closedViews, panel, sideBySide, uprightFrom, type Part, type View } from '../drawing';
import { countChoice, chosenCount, pickAdvice } from './common/choice';
import { roundOf } from './common/courses';
import { flapOverlap, leastReach, wantedBack, wantedFront, wantedRound } from './common/flat';
import { fastenOff } from './common/joins';
import { roundPiece } from './common/roundPiece';
import { insideFaces, sized } from './common/sized';

type Mm = Figure<'mm'>;

/** Doubles in a cluster, and so the columns it stands over. */
const CLUSTER = 3;

/**
 * Stitches of round j round a strip of c clusters: `3 (2c + 4j) + 4`. The long sides have c + j clusters, the short ones
 * j, and each corner a chain between two of them (law, handbook 5.7).
 */
export function clusterRound(c: number, j: number): number {
  return CLUSTER * (2 * c + 4 * j) + 4;
}

const CORNER: Instruction = {
  do: 'group',
  parts: [
    { stitch: 'double', count: CLUSTER },
    { chains: 1, spans: 1 },
    { stitch: 'double', count: CLUSTER },
  ],
  over: 1,
  into: 'space',
  times: 1,
};

/** Half a corner and its chain, where the round ends; its other half began the round. */
const LAST_CORNER: Instruction = { ...CORNER, parts: CORNER.do === 'group' ? CORNER.parts.slice(0, 2) : [] };

const clusters = (into: 'gap' | 'end' | 'corner', over: number, times = 1) =>
  inOne('double', CLUSTER, into, over, times);

/** Along a side of so many clusters: one in each gap between them. */
function along(side: number): Instruction[] {
  const first: Instruction = { do: 'skip', times: CLUSTER, into: 'stitch' };
  return side > 1 ? [first, clusters('gap', CLUSTER, side - 1)] : [first];
}

/** A round upon a round: from the corner it ended in, along a long side, a short one, and the same again. */
function furtherRound(c: number, j: number): Instruction[] {
  const long = along(c + j - 1);
  const short = along(j - 1);
  return [clusters('corner', 0), ...long, CORNER, ...short, CORNER, ...long, CORNER, ...short, LAST_CORNER];
}

/** The strip: clusters in every third chain. */
function strip(c: number): Instruction[] {
  const skip: Instruction = { do: 'skip', times: 1, into: 'chain' };
  return [{ do: 'skip', times: 3, into: 'chain' }, ...repeat([skip, inOne('double', CLUSTER, 'chain'), skip], c)];
}

/**
 * The first round: before and after each cluster of the strip, round its end, the same along the chain's other side,
 * and round the other end. Each end holds a cluster between two corners.
 */
function firstRound(c: number): Instruction[] {
  const side = [clusters('gap', CLUSTER, c), clusters('gap', 0)];
  const end: Instruction = {
    do: 'group',
    parts: [
      { chains: 1, spans: 1 },
      { stitch: 'double', count: CLUSTER },
      { chains: 1, spans: 1 },
    ],
    over: 0,
    into: 'end',
    times: 1,
  };
  return [...side, end, { do: 'other-side', chains: CLUSTER * c }, ...side, end];
}

function clusterPiece(
  context: ShapeContext,
  id: string,
  name: string,
  c: number,
  r: number,
  fabric: WorkedFabric,
  wanted: { width: Mm; height: Mm },
): Piece {
  const { schools } = context;
  refuseBeyond(clusterRound(c, r), 'stitches', 'thing');
  const tall = fabric.also('double', 'rows').rowHeight;
  const courses: Course[] = [
    { instructions: strip(c), ends: CLUSTER * c, kind: 'row', turned: false, section: id },
    ...Array.from({ length: r }, (_, index) => {
      const j = index + 1;
      const body = j === 1 ? firstRound(c) : furtherRound(c, j);
      return roundOf(
        body,
        clusterRound(c, j),
        'double',
        { ...schools, rounds: 'joined', turningChainCounts: false },
        id,
      );
    }),
  ];
  const many = chosen(c, '1', 'clusters in the strip');
  const rounds = chosen(r, 'rows', 'rounds of clusters');
  const w = fabric.stitchWidth;
  const h = fabric.rowHeight;
  const stitches = chosen(clusterRound(c, r), 'stitches', 'in the last round: 3 (2c + 4r) + 4');
  return roundPiece({
    id,
    name,
    foundation: { kind: 'chain', count: CLUSTER * c + 3, edge: 'closed' },
    foundationFigure: derive('chains', 'chain = 3c + 3 skipped', { c: many }, (v) => CLUSTER * v.c + 3),
    stitches,
    runs: [
      { name: 'strip', courses: courses.slice(0, 1), fabric: { ...fabric, rowHeight: tall }, wanted: tall },
      { name: id, courses: courses.slice(1), fabric, wanted: wanted.width },
    ],
    main: fabric,
    width: derive('mm', 'width = (1 + 2r) h', { r: rounds, h }, (v) => (1 + 2 * v.r) * v.h),
    height: derive(
      'mm',
      'height = 3c w + 2r h',
      { c: many, r: rounds, w, h },
      (v) => CLUSTER * v.c * v.w + 2 * v.r * v.h,
    ),
    summary: `Chain ${CLUSTER * c + 3}: a strip of ${plural(c, 'cluster')}, ${plural(r, 'round')} to ${clusterRound(c, r)} stitches`,
  });
}

/**
 * Two rectangles of three-double clusters: a strip of c clusters, then r rounds; both of one width, the back longer by
 * turn and flap. Rounds are solved for the width, clusters for each height (handbook 5.7).
 */
function build(context: ShapeContext): Built {
  const { thing, demands } = context;
  const fabric = context.fabric.also('cluster', 'rounds');
  const own = { ...context, fabric };
  const h = fabric.rowHeight;
  const w = fabric.stitchWidth;
  const t = fabric.thickness;
  const face = wantedRound(own).face;
  const faceOf = (r: number) => (1 + 2 * r) * h.value;
  const choice = countChoice(
    {
      id: 'width',
      name: 'Width',
      noun: 'rounds',
      asked: face,
      sizeOf: faceOf,
      insideOf: (r) => 2 * faceOf(r) - thing.pockets * Math.PI * t.value,
      multiple: { repeat: 1, edge: 0 },
      atLeast: 1,
      stretch: fabric.stitch.factors.stretchAcross,
    },
    { ...own, demands: {} },
  );
  const r = chosenCount(choice);
  const front = wantedFront(own);
  const overlap = demands.flap ? flapOverlap(demands.flap, thing.height) : undefined;
  const back = overlap
    ? derive(
        'mm',
        'back + turn + flap',
        { back: wantedBack(own), turn: flapTurn(thing.depth, t), flap: overlap },
        (v) => v.back + v.turn + v.flap,
      )
    : front;
  refuseBeyond(clusterRound(0, r), 'stitches', 'thing');
  const clustersFor = (length: Mm) => Math.max(1, Math.round((length.value - 2 * r * h.value) / (CLUSTER * w.value)));
  const frontPiece = clusterPiece(own, 'front', 'Front', clustersFor(front), r, fabric, { width: face, height: front });
  const backPiece = overlap
    ? clusterPiece(own, 'back', 'Back with flap', clustersFor(back), r, fabric, { width: face, height: back })
    : undefined;
  const pieces = backPiece ? [frontPiece, backPiece] : [{ ...frontPiece, times: 2 }];
  const rounds = chosen(r, 'rows', 'rounds of clusters');
  const whole = sized('F = (1 + 2r) h', { r: rounds, h }, (v) => (1 + 2 * v.r) * v.h);
  const girth = insideFaces(whole, t, thing.pockets);
  const c = chosen(clustersFor(front), '1', 'clusters in the front’s strip');
  const depth = sized(
    'inside = 3c w + 2r h − D/2 − πt/4',
    { c, r: rounds, w, h, D: thing.depth, t },
    (v) => CLUSTER * v.c * v.w + 2 * v.r * v.h - v.D / 2 - (Math.PI * v.t) / 4,
  );
  const reach = backPiece ? flapReach(own, clustersFor(back), frontPiece, rounds) : undefined;
  const flap: FlapPlace | undefined =
    backPiece && reach
      ? {
          piece: 'back',
          row: backPiece.rows,
          stitches: clusterRound(0, r),
          width: backPiece.width,
          edgeBelowFrontTop: reach.figure,
          frontMm: frontPiece.height.value,
          borderMm: 0,
        }
      : undefined;
  return {
    pieces,
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width: frontPiece.width,
      height: frontPiece.height,
      thickness: sized('D + layers × t', { D: thing.depth, t }, (v) => v.D + (flap ? 3 : 2) * v.t).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      depth: depth.of,
      stretch: fabric.stitch.factors.stretchAcross,
      ...(reach && overlap ? { flap: { reach: reach.of, least: leastReach(overlap) } } : {}),
    },
    ...(flap ? { flap } : {}),
    assembly: assembly(frontPiece, r),
    advice: pickAdvice(choice, { repeat: 1, edge: 0 }),
    views: views(own, frontPiece, backPiece),
  };
}

/** How far the flap comes down in front: the back's length less what lies behind and over the top (law, handbook 3). */
function flapReach({ thing, fabric }: ShapeContext, clusters: number, front: Piece, r: Figure<'rows'>) {
  const c = chosen(clusters, '1', 'clusters in the back’s strip');
  return sized(
    'edge = 3c w + 2r h − front − D − πt/2',
    { c, r, w: fabric.stitchWidth, h: fabric.rowHeight, front: front.height, D: thing.depth, t: fabric.thickness },
    (v) => CLUSTER * v.c * v.w + 2 * v.r * v.h - v.front - v.D - (Math.PI * v.t) / 2,
  );
}

function assembly(front: Piece, r: number): WorkStep[] {
  const seam = 2 * front.height.value + front.width.value;
  return [
    fastenOff(seam, 'three sides'),
    {
      id: 'join-panels',
      section: 'joining',
      kind: 'assembly',
      phase: 'joining',
      text: `Wrong sides together, bottoms level, join side, bottom and side with {single} through both layers, stitch for stitch along ${plural(r, 'cluster')} of the bottom and up the front’s length, 2 in each corner. Fasten off.`,
      check: {
        look: 'Clusters of both layers face each other?',
        repair: 'Take it back to the corner and match cluster for cluster.',
      },
      closes: ['between the layers'],
      minutes: 12,
      seam: { mm: seam, factor: 4 },
    },
  ];
}

function views(context: ShapeContext, front: Piece, back: Piece | undefined): View[] {
  const { thing, fabric } = context;
  const r = front.courses.length - 1;
  const sheet = (piece: Piece, role: 'front' | 'back') => {
    const width = piece.width.value;
    const height = piece.height.value;
    const parts: Part[] = [
      panel({
        role,
        label: piece.name.toLowerCase(),
        sub: `${r} rounds`,
        w: width,
        h: height,
        rows: r,
        stitches: piece.stitches,
        stacked: 'out',
      }),
      { type: 'dimension', along: 'x', from: 0, to: width, mm: width, count: `${r} rounds`, choice: 'width' },
      uprightFrom(0, height),
    ];
    return { parts, width, height };
  };
  const flat = sideBySide([sheet(front, 'front'), ...(back ? [sheet(back, 'back')] : [])]);
  const give = bottomGive(thing.depth, fabric.thickness).value;
  const up = front.height.value - give;
  const width = front.width.value;
  const flap = back ? Math.max(1, Math.min(up, back.height.value - front.height.value - thing.depth.value)) : undefined;
  return [
    {
      id: 'flat',
      name: 'Flat',
      ...flat,
      text: `${front.summary}; {mm:${formatNumber(width)}} by {mm:${formatNumber(front.height.value)}}${back ? `. Back: ${back.summary}; {mm:${formatNumber(back.height.value)}} long` : ', two alike'}.`,
    },
    ...closedViews({
      context,
      width,
      height: up,
      front: [
        panel({
          role: 'front',
          label: 'front',
          sub: `${r} rounds`,
          w: width,
          h: up,
          rows: r,
          stitches: front.stitches,
          stacked: 'out',
        }),
        ...(flap === undefined
          ? []
          : [
              panel({
                role: 'flap',
                label: 'flap',
                sub: '',
                w: width,
                h: flap,
                rows: r,
                stitches: front.stitches,
                stacked: 'out',
              }),
            ]),
      ],
      frontUp: up,
      backUp: up,
      ...(flap === undefined ? {} : { flap }),
      count: `${r} rounds`,
      choice: 'width',
    }),
  ];
}

export const clusterPanels: ShapeDefinition = {
  id: 'cluster-panels',
  name: 'Cluster rectangles',
  summary: 'Two rectangles of three-double clusters, worked outwards from a strip; a longer back makes the flap.',
  why: 'Quick, lacy, few stitches; needs a lining for slim things.',
  worked: 'rounds',
  options: [],
  takes: {
    flat: true,
    round: 'Its bottom is a seam, and what is round stands on a round one. Choose a disc and wall.',
    rods: 'Tools slip through the gaps between clusters. Choose a strip or two panels.',
    several: true,
    given: true,
  },
  offers: ['open-mouth', 'straight-mouth', 'turn-over', 'free-back', 'bundle'],
  build,
};
