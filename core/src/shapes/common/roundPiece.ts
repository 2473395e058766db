import { nearestRow, refuseBeyond, type Reach } from '../../craft/counts';
import type { WorkedFabric } from '../../craft/fabric';
import { chosen, derive, type Figure } from '../../base/figure';
import type { Band } from '../../piece';
import type { Course, Foundation, Piece, Section } from '../definition';
import { bandsIn, reachOfOne, rowsOfBands } from './rowPiece';

/** A run of rounds that belong together: a base, a wall, a shoulder. */
export interface RoundRun {
  name: string;
  courses: Course[];
  fabric: WorkedFabric;
  /** Its bands, counted from its own first round, where it is of several. */
  bands?: readonly Band[];
  /** Wanted height, with its workings. */
  wanted: Figure<'mm'>;
}

interface RoundPieceWish {
  id: string;
  name: string;
  foundation: Foundation;
  foundationFigure: Figure<'chains' | 'stitches'>;
  /** Stitches of the widest round, as they came about. */
  stitches: Figure<'stitches'>;
  runs: readonly RoundRun[];
  /** The run whose gauge gives the piece's width. */
  main: WorkedFabric;
  width: Figure<'mm'>;
  height: Figure<'mm'>;
  summary: string;
  notes?: Record<number, string>;
  /** Which side faces, where it is not the one that comes outside. */
  facing?: 'wrong' | undefined;
}

/** A piece worked in rounds: runs of courses, each with its own gauge, end to end. */
export function roundPiece(wish: RoundPieceWish): Piece {
  const courses = wish.runs.flatMap((run) => run.courses);
  return {
    id: wish.id,
    name: wish.name,
    times: 1,
    worked: 'rounds',
    ...(wish.facing ? { facing: wish.facing } : {}),
    foundation: wish.foundation,
    stitches: wish.stitches.value,
    rows: courses.length,
    roundCounts: courses.map(({ ends }) => ends),
    counts: {
      foundation: wish.foundationFigure,
      stitches: wish.stitches,
      rows: chosen(courses.length, 'rows', 'rounds in all'),
    },
    width: wish.width,
    height: wish.height,
    sections: runSections(wish.runs),
    summary: wish.summary,
    courses,
    reach: runReach(wish.runs),
    fabric: wish.main,
    ...bandsOfRuns(wish.runs),
    notes: wish.notes ?? {},
  };
}

/** The bands of all runs, where they are not of one fabric throughout. */
function bandsOfRuns(runs: readonly RoundRun[]): Pick<Piece, 'bands'> {
  let done = 0;
  const bands = runs.flatMap(({ courses, fabric, bands: own }): Band[] => {
    const rounds = courses.length;
    const here = own ?? (rounds > 0 ? [{ fabric, from: 1, to: rounds }] : []);
    const moved = here.map((band) => ({ ...band, from: band.from + done, to: band.to + done }));
    done += rounds;
    return moved;
  });
  const [first] = bands;
  const alike = bands.every(({ fabric }) => fabric.stitch.id === first?.fabric.stitch.id);
  return alike && !runs.some((run) => run.bands) ? {} : { bands };
}

/** How high so many rounds of a run reach, mm. */
function reachIn({ fabric, bands }: RoundRun, rounds: number): number {
  if (!bands) return reachOfOne(fabric)(rounds);
  return bands.reduce(
    (sum, { fabric: own, from, to }) => sum + reachOfOne(own)(Math.max(0, Math.min(rounds, to) - from + 1)),
    0,
  );
}

function runSections(runs: readonly RoundRun[]): Section[] {
  let done = 0;
  return runs
    .filter(({ courses }) => courses.length > 0)
    .map((run) => {
      const { name, courses, fabric, wanted } = run;
      const rows = courses.length;
      const section: Section = {
        name,
        rows,
        from: done + 1,
        to: done + rows,
        stitches: courses.at(-1)!.ends,
        mm: reachIn(run, rows),
        ...(courses[0]!.kind === 'row' ? { worked: 'rows' } : {}),
        count: derive(
          'rows',
          `${courses[0]!.kind}s = wanted / h, to the nearest`,
          { wanted, h: fabric.rowHeight },
          () => rows,
        ),
      };
      done += rows;
      return section;
    });
}

function runReach(runs: readonly RoundRun[]): Reach {
  return (rows) => {
    let left = rows;
    let mm = 0;
    for (const run of runs) {
      const here = Math.min(left, run.courses.length);
      mm += reachIn(run, here);
      left -= here;
    }
    return mm;
  };
}

/** A fabric of several bands begun at its other end. */
export function upsideDown(fabric: WorkedFabric): WorkedFabric {
  return fabric.bands ? { ...fabric, bands: [...fabric.bands].reverse() } : fabric;
}

/** A wall of one stitch, or band upon band from its bottom up: its rounds, as near to a height as they come. */
export function wallBands(wanted: Figure<'mm'>, fabric: WorkedFabric, least = 1): { rounds: number; bands: Band[] } {
  if (!fabric.bands) {
    const rounds = Math.max(least, roundsFor(wanted, fabric));
    return { rounds, bands: [{ fabric, from: 1, to: rounds }] };
  }
  const rounds = Math.max(least, rowsOfBands(fabric, wanted.value));
  refuseBeyond(rounds, 'courses', 'thing');
  return { rounds, bands: bandsIn(fabric, rounds)! };
}

/**
 * Rounds for a height: to the nearest, one at least.
 * @throws PlanProblem beyond what is built here
 */
export function roundsFor(wanted: Figure<'mm'>, fabric: WorkedFabric): number {
  const rounds = Math.max(1, nearestRow(wanted.value, reachOfOne(fabric)));
  refuseBeyond(rounds, 'courses', 'thing');
  return rounds;
}
