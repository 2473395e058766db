import { chosen, derive } from '../../base/figure';
import { reachOf, refuseBeyond } from '../../craft/counts';
import { work } from '../../craft/fabric';
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
function place({ built, fabric: own, options, path, schools }: FittingContext): Placed {
  const wall = built.upright ?? mouthAt(built, path);
  if (wall.fabric.stitch.id !== BACK_LOOPS)
    refuse(
      `${path}.kind`,
      `“{${wall.fabric.stitch.id}}” leaves no loops free. Work the wall in the back loop, or leave the second layer off.`,
    );
  const below = Number(options.below);
  const most = wall.to - wall.from - below;
  if (most < 1)
    refuse(
      `${path}.below`,
      `${plural(below, 'round')} below the opening leave no round to begin on: the wall has ${wall.to - wall.from + 1} in the back loop. Use ${Math.max(0, wall.to - wall.from - 1)} or fewer.`,
    );
  const rounds = Number(options.rounds ?? most);
  if (rounds > most)
    refuse(
      `${path}.rounds`,
      `A layer of ${plural(rounds, 'round')} would hang below the wall: ${plural(most, 'round')} are left under it. Use ${most} or fewer.`,
    );
  refuseBeyond(rounds, 'courses', path);
  const from = wall.to - below;
  const piece = layer(wall.stitches, rounds, from, { own, schools });
  const face = frontOf(built);
  return {
    figures: { rounds: piece.counts.rows, height: piece.height },
    place: `on the free loops of round ${from}, ${plural(rounds, 'round')} down, {mm:${formatNumber(piece.height.value)}}`,
    rows: [],
    pieces: [piece],
    steps: tubeEnd(piece, schools, 'Does it hang level, all the way round?').map(renamed),
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'seam',
          x1: face.x,
          y1: face.y + below * wall.fabric.rowHeight.value + piece.height.value,
          x2: face.x + face.width,
          y2: face.y + below * wall.fabric.rowHeight.value + piece.height.value,
          label: 'second layer',
        },
      ],
    },
    advice: [],
  };
}

const renamed = (step: WorkStep): WorkStep => (step.id === 'level' ? { ...step, id: 'level-layer' } : step);

function layer(
  count: number,
  rounds: number,
  round: number,
  { own, schools }: { own: FittingContext['fabric']; schools: FittingContext['schools'] },
): Piece {
  const fabric = own.also('single', 'rounds');
  const course: Course = roundOf([work('single', count)], count, 'single', schools, 'layer');
  const courses = Array.from({ length: rounds }, () => course);
  const n = chosen(count, 'stitches', 'the wall’s own count');
  const r = chosen(rounds, 'rows', 'rounds of the layer');
  const height = derive('mm', 'rounds × h', { r, h: fabric.rowHeight }, (v) => v.r * v.h);
  return {
    id: 'layer',
    name: 'Second layer',
    times: 1,
    worked: 'rounds',
    foundation: {
      kind: 'picked-up',
      count,
      edge: 'seam',
      from: `in the free front loops of round ${round}, the bag held upside down`,
    },
    stitches: count,
    rows: rounds,
    roundCounts: courses.map(({ ends }) => ends),
    counts: { foundation: n, stitches: n, rows: r },
    width: derive('mm', 'n × w / 2', { n, w: fabric.stitchWidth }, (v) => (v.n * v.w) / 2),
    height,
    sections: [{ name: 'layer', rows: rounds, from: 1, to: rounds, stitches: count, mm: height.value, count: r }],
    summary: `Pick up ${count}, ${plural(rounds, 'round')} down`,
    courses,
    reach: reachOf(fabric.rowHeight.value),
    fabric,
    notes: { 1: MARK_FIRST_STITCH },
  };
}

export const secondLayer: FittingDefinition = {
  id: 'second-layer',
  name: 'Second layer',
  summary: 'Worked down the free loops of a back-loop wall: twice as thick.',
  asks: ['round-mouth'],
  because: 'It hangs on the loops that rounds leave free.',
  figures: { rounds: 'Rounds', height: 'Height' },
  options: [
    {
      key: 'below',
      kind: 'number',
      label: 'Begins so many rounds below the opening',
      unit: 'rounds',
      whole: true,
      min: 0,
      max: 500,
      default: 0,
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
