import { chosen, derive } from '../../base/figure';
import { reachOf, refuseBeyond } from '../../craft/counts';
import { work, type Instruction, type WorkedFabric } from '../../craft/fabric';
import type { Course, Piece, WorkStep } from '../../shapes';
import { roundOf } from '../../shapes/common/courses';
import { MARK_FIRST_STITCH } from '../../shapes/common/markers';
import { tubeEnd } from '../../shapes/common/tubeWork';
import { formatNumber, plural } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { frontOf, mouthAt, refuse } from '../common';

/** The wall whose front loops are left free. */
const BACK_LOOPS = 'single-back-loop';

/** A second wall outside the first, worked down from the loops that back-loop rounds leave free (handbook 4.4). */
function place({ built, fabric: own, options, path, schools, opens }: FittingContext): Placed {
  const wall = built.upright ?? mouthAt(built, path);
  if (wall.fabric.stitch.id !== BACK_LOOPS)
    refuse(
      `${path}.kind`,
      `“{${wall.fabric.stitch.id}}” leaves no loops free. Work the wall in the back loop, or leave the second layer off.`,
    );
  if (built.pieces[0]!.facing)
    refuse(
      `${path}.kind`,
      'The loops that are left free come inside, as the other side is shown. Show the side that faces you, or leave the second layer off.',
    );
  // each back-loop round leaves those of the round below it free; a skirt hangs from one of them
  const skirt = options.way === 'skirt';
  const rings = wall.to - wall.from + 1;
  const below = Number(options.below ?? opens);
  if (below < opens)
    refuse(
      `${path}.below`,
      `${plural(below, 'round')} below the opening would cover openings of the wall, which reach ${plural(opens, 'round')} down. Use ${opens} or more.`,
    );
  const most = rings - below;
  if (most < 1)
    refuse(
      `${path}.below`,
      `${plural(below, 'round')} below the opening leave no round to begin on: the wall has ${rings} in the back loop. Use ${rings - 1} or fewer.`,
    );
  const rounds = Number(options.rounds ?? most);
  if (rounds > most)
    refuse(
      `${path}.rounds`,
      skirt
        ? `A skirt of ${plural(rounds, 'round')} would hang below the wall: ${plural(most, 'round')} are left under it. Use ${most} or fewer.`
        : `A layer of ${plural(rounds, 'round')} needs as many rounds of free loops, and ${most} are left. Use ${most} or fewer.`,
    );
  refuseBeyond(rounds, 'courses', path);
  const from = wall.to - 1 - below;
  const piece = skirt
    ? layerOf(skirtRounds(wall.stitches, rounds, schools), wall.stitches, own, from)
    : layerOf(ringRounds(wall.stitches, rounds, schools), wall.stitches, own, from, wall.fabric);
  const face = frontOf(built);
  const high = wall.fabric.rowHeight.value;
  return {
    figures: { rounds: piece.counts.rows, height: piece.height },
    place: skirt
      ? `a skirt from the free loops of round ${from}, ${plural(rounds, 'round')} down, {mm:${formatNumber(piece.height.value)}}`
      : `into the free loops of rounds ${from} to ${from - rounds + 1}, {mm:${formatNumber(piece.height.value)}}`,
    rows: [],
    pieces: [piece],
    steps: tubeEnd(piece, 'Does it hang level, all the way round?').map(renamed),
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'seam',
          x1: face.x,
          y1: face.y + (below + 1) * high + piece.height.value,
          x2: face.x + face.width,
          y2: face.y + (below + 1) * high + piece.height.value,
          label: 'second layer',
        },
      ],
    },
    advice: [],
  };
}

const renamed = (step: WorkStep): WorkStep => (step.id === 'level' ? { ...step, id: 'level-layer' } : step);

/** A round into the loops that a round of the wall left free. */
function ringRound(count: number, schools: FittingContext['schools'], first: boolean): Course {
  const ring: Instruction = { do: 'next-ring', loops: count, ...(first ? { first } : {}) };
  return roundOf([ring, work('single', count, 'free-loop')], count, 'single', schools, 'layer');
}

/** Round upon round from one round's loops: it hangs free. */
function skirtRounds(count: number, rounds: number, schools: FittingContext['schools']): Course[] {
  const further = roundOf([work('single', count)], count, 'single', schools, 'layer');
  return [ringRound(count, schools, true), ...Array.from({ length: rounds - 1 }, () => further)];
}

/** Each round into the loops of the next one of the wall, so that two layers become one (handbook 14, second layer). */
function ringRounds(count: number, rounds: number, schools: FittingContext['schools']): Course[] {
  const further = ringRound(count, schools, false);
  return [ringRound(count, schools, true), ...Array.from({ length: rounds - 1 }, () => further)];
}

/**
 * The layer as a piece.
 * @param wall what it lies on, where it is as high as that: each of its rounds covers one of the wall
 */
function layerOf(courses: Course[], count: number, own: WorkedFabric, round: number, wall?: WorkedFabric): Piece {
  const fabric = own.also('single', 'rounds');
  const h = (wall ?? fabric).rowHeight;
  const rounds = courses.length;
  const n = chosen(count, 'stitches', 'the wall’s own count');
  const r = chosen(rounds, 'rows', 'rounds of the layer');
  const height = derive('mm', 'rounds × h', { r, h }, (v) => v.r * v.h);
  return {
    id: 'layer',
    name: 'Second layer',
    times: 1,
    worked: 'rounds',
    foundation: {
      kind: 'picked-up',
      count,
      edge: 'seam',
      from: { at: 'free-loops', round },
    },
    stitches: count,
    rows: rounds,
    roundCounts: courses.map(({ ends }) => ends),
    counts: { foundation: n, stitches: n, rows: r },
    width: derive('mm', 'n × w / 2', { n, w: fabric.stitchWidth }, (v) => (v.n * v.w) / 2),
    height,
    sections: [{ name: 'layer', rows: rounds, from: 1, to: rounds, stitches: count, mm: height.value, count: r }],
    summary: wall
      ? `${plural(rounds, 'round')} of ${count} into the wall’s free loops`
      : `A skirt of ${plural(rounds, 'round')} of ${count}`,
    courses,
    reach: reachOf(h.value),
    fabric,
    notes: { 1: MARK_FIRST_STITCH },
  };
}

export const secondLayer: FittingDefinition = {
  id: 'second-layer',
  name: 'Second layer',
  summary: 'Worked down the free loops of a back-loop wall: twice as thick, or a skirt over it.',
  asks: ['round-mouth'],
  because: 'It hangs on the loops that rounds leave free.',
  figures: { rounds: 'Rounds', height: 'Height' },
  options: [
    {
      key: 'way',
      kind: 'choice',
      label: 'Worked',
      options: [
        { id: 'layer', name: 'into every round of the wall: one thick layer' },
        { id: 'skirt', name: 'from one round down: a skirt that hangs free' },
      ],
      default: 'layer',
    },
    {
      key: 'below',
      kind: 'number',
      label: 'Begins so many rounds below the opening',
      help: 'Left empty: at the top, or below handles and holes.',
      unit: 'rounds',
      whole: true,
      min: 0,
      max: 500,
      optional: true,
    },
    {
      key: 'rounds',
      kind: 'number',
      label: 'Rounds of the layer',
      help: 'Left empty: down to where the wall begins.',
      unit: 'rounds',
      whole: true,
      min: 1,
      max: 5000,
      optional: true,
    },
  ],
  place,
};
