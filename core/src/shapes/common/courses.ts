import { BASES, uncounted, type BaseId, type CourseContext, type Instruction, type StitchPattern } from '../../fabric';
import type { Band } from '../../piece';
import type { Course, ShapeSchools } from '../definition';

/**
 * Rows from the foundation up, band upon band; rows alike share one object. Where a band leaves spaces, the next begins with a
 * plain row that takes each up by as many stitches as it spans (handbook 4.3).
 */
export function bandCourses(
  bands: readonly Band[],
  stitches: number,
  schools: ShapeSchools,
  sectionAt: (row: number) => string,
): Course[] {
  const [only] = bands;
  if (only && bands.length === 1) return rowCourses(only, stitches, schools, sectionAt, 'chain', 0);
  let levelled = 0;
  return bands.flatMap((band, index) => {
    const before = bands[index - 1];
    const level = before && levelOn(before, before.to - before.from + 1 - levelled, band.fabric.stitch, stitches);
    levelled = level ? 1 : 0;
    const rows = rowCourses(band, stitches, schools, sectionAt, before ? 'plain' : 'chain', levelled);
    if (!level) return rows;
    return [{ instructions: level, ends: stitches, kind: 'row', turned: true, section: sectionAt(band.from) }, ...rows];
  });
}

/** The plain row a band begins with where the last row before it leaves spaces; undefined where it leaves stitches. */
function levelOn({ fabric }: Band, course: number, next: StitchPattern, stitches: number): Instruction[] | undefined {
  // a band of one row may be the plain one that levelled another
  const body = course > 0 ? fabric.stitch.levelRow?.(stitches, course, next.base) : undefined;
  return body && [uncounted(next.base, 'plain'), ...body];
}

function rowCourses(
  { fabric: { stitch: pattern }, from, to }: Band,
  stitches: number,
  schools: ShapeSchools,
  sectionAt: (row: number) => string,
  upon: CourseContext['below'],
  levelled: number,
): Course[] {
  const made = new Map<string, Map<number, Course>>();
  return Array.from({ length: to - from + 1 - levelled }, (_, index) => {
    const course = index + 1;
    const first = course === 1;
    const section = sectionAt(from + levelled + index);
    const ofSection = made.get(section) ?? new Map<number, Course>();
    made.set(section, ofSection);
    return known(ofSection, first ? -1 : course % pattern.rowsInRepeat, () => ({
      instructions: pattern.row({
        stitches,
        course,
        below: first ? upon : 'pattern',
        turningChainCounts: schools.turningChainCounts,
      }),
      ends: stitches,
      kind: 'row',
      turned: from + levelled + index > 1,
      section,
    }));
  });
}

/** Rounds of a pattern over a chain, over plain stitches, or over itself; rounds alike share one object. */
export function roundCourses(
  pattern: StitchPattern,
  stitches: number,
  rounds: number,
  schools: ShapeSchools,
  section: string,
  upon: 'chain' | 'plain',
): Course[] {
  const made = new Map<number, Course>();
  return Array.from({ length: rounds }, (_, index) => {
    const course = index + 1;
    const first = course === 1;
    const context: CourseContext = {
      stitches,
      course,
      below: first ? upon : 'pattern',
      turningChainCounts: schools.turningChainCounts,
    };
    return known(made, first ? -1 : course % pattern.rowsInRepeat, () =>
      roundOf(pattern.round(context), stitches, pattern.base, schools, section),
    );
  });
}

/** One round with its beginning and end as the school has it: chained up and joined, or on in a spiral. */
export function roundOf(
  body: Instruction[],
  ends: number,
  base: BaseId,
  schools: ShapeSchools,
  section: string,
): Course {
  const instructions = schools.rounds === 'spiral' ? body : [...risen(body, base, schools), { do: 'join' } as const];
  return { instructions, ends, kind: 'round', turned: false, section };
}

/** Chains up; they stand for the first stitch where the school has it so and the round begins with plain stitches. */
function risen(body: Instruction[], base: BaseId, { turningChainCounts }: ShapeSchools): Instruction[] {
  const { chainsUp, neverCounts } = BASES[base];
  const [first, ...rest] = body;
  const counts =
    turningChainCounts && !neverCounts && first?.do === 'work' && first.stitch === base && first.into === 'stitch';
  if (!counts) return [{ do: 'turning-chain', chains: neverCounts ? chainsUp : chainsUp - 1, counts: false }, ...body];
  const start: Instruction[] = [
    { do: 'turning-chain', chains: chainsUp, counts: true },
    { do: 'skip', times: 1, into: 'stitch' },
  ];
  return first.times > 1 ? [...start, { ...first, times: first.times - 1 }, ...rest] : [...start, ...rest];
}

function known(made: Map<number, Course>, key: number, make: () => Course): Course {
  const before = made.get(key);
  if (before) return before;
  const course = make();
  made.set(key, course);
  return course;
}
