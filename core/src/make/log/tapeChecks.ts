import type { Step } from '../../pattern';

/** Rows are worth counting again every so often, mm (handbook 8). */
export const EVERY_MM = 40;

/** A moment to lay the tape on the work: what it is laid on, and why now. */
export interface TapeCheck {
  /** The course it comes after. */
  step: string;
  piece: string;
  row: number;
  /** How high the piece is then, mm. */
  mm: number;
  /** The first course, a section's end, or so many mm since the last. */
  because: 'first' | 'section' | 'every';
  /** The section that comes next, where one does. */
  before?: string;
  /** What is measured of it: across its stitches, round them, through a base, or up its courses. */
  what: 'width' | 'girth' | 'diameter' | 'rows';
  /** How many of them it is laid on. */
  count: number;
}

type Course = Pick<Step, 'id' | 'piece' | 'row' | 'kind' | 'section' | 'heightMm' | 'ends'> & {
  copy?: number | undefined;
};

/**
 * When the tape is laid on a piece: after its first course, every 40 mm, and before a new section (handbook 8). Rounds that
 * begin in a ring have no width worth measuring: their base is, when it is done.
 *
 * @param steps of the whole make, in the order they are worked
 * @param ringed pieces begun in a ring
 */
export function tapeChecks(steps: readonly Course[], ringed: ReadonlySet<string>): TapeCheck[] {
  const courses = steps.filter(({ row, ends }) => row !== null && ends !== null);
  return courses.flatMap((course, at): TapeCheck[] => {
    const [before, next] = [courses[at - 1], courses[at + 1]].map((one) =>
      one && isOn(one, course) ? one : undefined,
    );
    if (!next) return [];
    const inRing = ringed.has(course.piece);
    const because = reasonOf(course, before, next, inRing);
    if (!because) return [];
    const isBase =
      inRing &&
      because === 'section' &&
      !courses.slice(0, at).some((one) => isOn(one, course) && one.section !== course.section);
    return [
      {
        step: course.id,
        piece: course.piece,
        row: course.row!,
        mm: course.heightMm ?? 0,
        because,
        ...(because === 'section' ? { before: next.section } : {}),
        ...laidOn(course, because, isBase),
      },
    ];
  });
}

const isOn = (one: Course, other: Course): boolean => one.piece === other.piece && one.copy === other.copy;

function reasonOf(
  course: Course,
  before: Course | undefined,
  next: Course,
  inRing: boolean,
): TapeCheck['because'] | undefined {
  if (course.row === 1) return inRing ? undefined : 'first';
  if (next.section !== course.section) return 'section';
  const passed = (mm: number | null | undefined) => Math.floor((mm ?? 0) / EVERY_MM);
  return passed(course.heightMm) === passed(before?.heightMm) ? undefined : 'every';
}

function laidOn(
  { row, ends, kind }: Course,
  because: TapeCheck['because'],
  isBase: boolean,
): Pick<TapeCheck, 'what' | 'count'> {
  if (because === 'first') return { what: kind === 'round' ? 'girth' : 'width', count: ends! };
  return { what: isBase ? 'diameter' : 'rows', count: row! };
}
