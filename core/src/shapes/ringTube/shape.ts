import { MARK_FIRST_STITCH } from '../common/markers';
import { chosen, derive } from '../../base/figure';
import { bottomGive } from '../../craft/fit';
import type { Built, Foundation, Piece, ShapeContext, ShapeDefinition, WorkStep } from '../definition';
import { chosenCount, pickAdvice } from '../common/choice';
import { bandRounds } from '../common/courses';
import { sizedWithRim, wantedFront, withRim } from '../common/flat';
import { crocheted, joinField, joinOf, type Join } from '../common/joins';
import { roundPiece, upsideDown, wallBands } from '../common/roundPiece';
import { alikeRows } from '../common/rowPiece';
import { alsoOf, sized } from '../common/sized';
import { flatWidth, tubeRound, tubeViews } from '../common/tube';
import {
  flatEnd,
  flatEndJoin,
  facingOf,
  flatEndSeam,
  LEVEL_SLIPS,
  mouthOf,
  SHOWS,
  tubeEnd,
  tubeMouth,
  type FlatEnd,
} from '../common/tubeWork';
import { ONE_ROOM } from '../common/takes';

/**
 * A chain joined without a twist, rounds straight up, one end sewn flat (handbook 5.3). The seamed bottom gives half
 * the thing's depth to each face.
 */
function build(context: ShapeContext): Built {
  const { fabric, thing, options, schools } = context;
  const { choice, n, girth } = tubeRound(context, fabric, 4);
  const count = chosenCount(choice);
  const front = wantedFront(context);
  const bottomFirst = options.begins === 'bottom';
  const { rounds, bands } = wallBands(front, bottomFirst ? fabric : upsideDown(fabric));
  const join = joinOf(options.join);
  const foundation: Foundation = { kind: 'joined-chain', count, edge: bottomFirst ? 'closed' : 'opening' };
  const r = alikeRows(chosen(rounds, 'rows', 'rounds'), fabric);
  const h = fabric.rowHeight;
  const height = derive('mm', 'height = rounds × h', { r, h }, (v) => v.r * v.h);
  const depth = sizedWithRim(
    sized(
      'inside = rounds × h − D/2 − πt/4',
      { r, h, D: thing.depth, t: fabric.thickness },
      (v) => v.r * v.h - v.D / 2 - (Math.PI * v.t) / 4,
    ),
    context,
  );
  const width = flatWidth(n, fabric.stitchWidth);
  const piece = roundPiece({
    facing: facingOf(options),
    id: 'body',
    name: 'Tube',
    foundation,
    foundationFigure: derive('chains', 'chain = n, joined to a ring', { n }, (v) => v.n),
    stitches: n,
    runs: [
      {
        name: 'wall',
        fabric,
        wanted: front,
        courses: bandRounds(bands, count, schools, 'wall', { upon: 'chain' }),
        ...(fabric.bands ? { bands } : {}),
      },
    ],
    main: fabric,
    width,
    height,
    summary: `Chain ${count}, join to a ring: ${count} stitches round, ${rounds} rounds`,
    notes: { 1: MARK_FIRST_STITCH },
  });
  const up = height.value - bottomGive(thing.depth, fabric.thickness).value;
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width,
      height: withRim(height, context),
      thickness: sized('D + 2t', { D: thing.depth, t: fabric.thickness }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      depth: depth.of,
      wander: { courses: rounds, lies: 'round' },
      stretch: fabric.stitch.factors.stretchAcross,
      also: alsoOf(girth, depth),
    },
    assembly: assembly(piece, context, bottomFirst, join),
    ...(bottomFirst
      ? { mouth: { ...mouthOf(piece, bands.at(-1)!, count), lies: 'flat' as const }, ...tubeMouth(piece, schools) }
      : { rim: 'Its opening is the chain. Begin at the bottom to edge it.' }),
    advice: pickAdvice(choice, fabric.stitch.rounds),
    views: tubeViews({
      context,
      wall: fabric,
      n: count,
      rounds,
      piece,
      height: height.value,
      up,
      words: 'The tube laid flat',
      begins: bottomFirst ? 'bottom' : 'opening',
    }),
  };
}

/** The tube's own end, then its bottom: the chain's edge, or the last round where the chain is the opening. */
function assembly(piece: Piece, { options }: ShapeContext, bottomFirst: boolean, join: Join): WorkStep[] {
  const end = tubeEnd(piece, 'Is the last round as high as you want it with the item inside?', options);
  const edge = bottomFirst ? 'ring' : 'mouth';
  const at: FlatEnd = {
    piece,
    edge,
    places: piece.stitches,
    name: bottomFirst ? 'the foundation edge' : 'the last round',
  };
  const crochet = crocheted(join);
  const how = join.id === 'mattress' ? 'mattress' : 'whip';
  const close: WorkStep = {
    id: 'close-bottom',
    section: 'joining',
    kind: 'assembly',
    does: [
      {
        do: 'fold',
        fold: {
          ...flatEnd(piece, edge, piece.stitches).fold,
          says: `Lay the tube flat, ${piece.facing ? 'the outside out' : 'wrong sides together'}, ${piece.stitches / 2} stitches from side to side.`,
        },
      },
      ...(crochet
        ? [flatEndJoin(at, crochet), { do: 'fasten-off' } as const]
        : [flatEndSeam(at, how, join.factor, bottomFirst ? 'start' : 'end')]),
    ],
    check: {
      look: 'Right side out, no twist, the same number of stitches in both layers?',
      repair: 'Lay it flat again from the marker and count to the half.',
    },
    minutes: crochet ? 2 : 6,
  };
  return [...end, close];
}

export const ringTube: ShapeDefinition = {
  id: 'ring-tube',
  name: 'Tube in the round',
  summary: 'A chain joined to a ring, rounds straight up, the bottom sewn flat.',
  why: 'One seam; stretches evenly all round.',
  worked: 'rounds',
  bands: true,
  options: [
    {
      key: 'begins',
      kind: 'choice',
      label: 'The chain becomes',
      options: [
        { id: 'bottom', name: 'the bottom' },
        { id: 'opening', name: 'the opening' },
      ],
      default: 'bottom',
    },
    joinField('Bottom', 'How the bottom is closed.', 'whip'),
    SHOWS,
    LEVEL_SLIPS,
  ],
  takes: {
    flat: true,
    round: true,
    rods: true,
    several: ONE_ROOM,
    given: true,
  },
  offers: ['open-mouth', 'straight-mouth', 'round-mouth', 'upright-columns', 'free-back', 'bundle'],
  build,
};
