import { refuseBeyond, type Reach } from '../../counts';
import type { WorkedFabric } from '../../fabric';
import { chosen, derive, type Figure } from '../../figure';
import type { Course, Foundation, Piece, Section } from '../definition';

/** A run of rounds that belong together: a base, a wall, a shoulder. */
export interface RoundRun {
  name: string;
  courses: Course[];
  fabric: WorkedFabric;
  /** Wanted height, with its workings. */
  wanted: Figure<'mm'>;
}

export interface RoundPieceWish {
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
}

/** A piece worked in rounds: runs of courses, each with its own gauge, end to end. */
export function roundPiece(wish: RoundPieceWish): Piece {
  const courses = wish.runs.flatMap((run) => run.courses);
  return {
    id: wish.id,
    name: wish.name,
    times: 1,
    worked: 'rounds',
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
    notes: wish.notes ?? {},
  };
}

function runSections(runs: readonly RoundRun[]): Section[] {
  let done = 0;
  return runs
    .filter(({ courses }) => courses.length > 0)
    .map(({ name, courses, fabric, wanted }) => {
      const rows = courses.length;
      const section: Section = {
        name,
        rows,
        from: done + 1,
        to: done + rows,
        stitches: courses.at(-1)!.ends,
        mm: rows * fabric.rowHeight.value,
        count: derive('rows', 'rounds = wanted / h, to the nearest', { wanted, h: fabric.rowHeight }, () => rows),
      };
      done += rows;
      return section;
    });
}

function runReach(runs: readonly RoundRun[]): Reach {
  return (rows) => {
    let left = rows;
    let mm = 0;
    for (const { courses, fabric } of runs) {
      const here = Math.min(left, courses.length);
      mm += here * fabric.rowHeight.value;
      left -= here;
    }
    return mm;
  };
}

/**
 * Rounds for a height: to the nearest, one at least.
 * @throws PlanProblem beyond what is built here
 */
export function roundsFor(wanted: Figure<'mm'>, { rowHeight }: WorkedFabric): number {
  const rounds = Math.max(1, Math.round(wanted.value / rowHeight.value));
  refuseBeyond(rounds, 'courses', 'thing');
  return rounds;
}
