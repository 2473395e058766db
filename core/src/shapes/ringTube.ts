import { MARK_FIRST_STITCH } from './common/markers';
import { chosen, derive } from '../figure';
import { bottomGive } from '../fit';
import type { Built, Foundation, ShapeContext, ShapeDefinition, WorkStep } from './definition';
import { chosenCount, pickAdvice } from './common/choice';
import { roundCourses } from './common/courses';
import { wantedFront } from './common/flat';
import { fastenOff, joinField, joinOf } from './common/joins';
import { roundPiece, roundsFor } from './common/roundPiece';
import { sized } from './common/sized';
import { flatWidth, tubeRound, tubeViews } from './common/tube';
import { ONE_ROOM } from './common/takes';

/**
 * A chain joined without a twist, rounds straight up, one end sewn flat (handbook 5.3). The seamed bottom gives half
 * the thing's depth to each face.
 */
function build(context: ShapeContext): Built {
  const { fabric, thing, options, schools } = context;
  const { choice, n, girth } = tubeRound(context, fabric, 4);
  const count = chosenCount(choice);
  const front = wantedFront(context);
  const rounds = roundsFor(front, fabric);
  const join = joinOf(options.join);
  const bottomFirst = options.begins === 'bottom';
  const foundation: Foundation = { kind: 'joined-chain', count, edge: bottomFirst ? 'closed' : 'opening' };
  const r = chosen(rounds, 'rows', 'rounds');
  const h = fabric.rowHeight;
  const height = derive('mm', 'height = rounds × h', { r, h }, (v) => v.r * v.h);
  const depth = sized(
    'inside = rounds × h − D/2 − πt/4',
    { r, h, D: thing.depth, t: fabric.thickness },
    (v) => v.r * v.h - v.D / 2 - (Math.PI * v.t) / 4,
  );
  const width = flatWidth(n, fabric.stitchWidth);
  const piece = roundPiece({
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
        courses: roundCourses(fabric.stitch, count, rounds, schools, 'wall', 'chain'),
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
      height,
      thickness: sized('D + 2t', { D: thing.depth, t: fabric.thickness }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice],
    model: { girth: girth.of, depth: depth.of, stretch: fabric.stitch.factors.stretchAcross },
    mouth: { piece: 'body', from: 1, to: rounds, stitches: count },
    assembly: assembly(count, width.value, bottomFirst, join),
    advice: pickAdvice(choice, fabric.stitch.rounds),
    views: tubeViews({
      context,
      wall: fabric,
      n: count,
      rounds,
      height: height.value,
      up,
      words: 'The tube laid flat',
    }),
  };
}

function assembly(count: number, width: number, bottomFirst: boolean, join: ReturnType<typeof joinOf>): WorkStep[] {
  return [
    fastenOff(width, 'the bottom'),
    {
      id: 'close-bottom',
      section: 'joining',
      kind: 'assembly',
      phase: 'joining',
      text: `Lay the tube flat and close ${bottomFirst ? 'the foundation edge' : 'the last round'}: ${join.text}, ${count / 2} stitches from side to side.`,
      check: {
        look: 'Right side out, no twist, the same number of stitches in both layers?',
        repair: 'Lay it flat again from the marker and count to the half.',
      },
      closes: ['the bottom'],
      minutes: 6,
      seam: { mm: width, factor: join.factor },
    },
  ];
}

export const ringTube: ShapeDefinition = {
  id: 'ring-tube',
  name: 'Ring tube',
  summary: 'A chain joined to a ring, rounds straight up, the bottom sewn flat.',
  why: 'One seam; stretches evenly all round.',
  worked: 'rounds',
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
