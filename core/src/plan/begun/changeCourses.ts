import { changeRound } from '../../craft/counts';
import { inOne, work, type Instruction } from '../../craft/fabric';
import type { Course } from '../../piece';

/** Stitches a row can gain or lose: one at each of its edges. */
const BY_ROW = 2;

/** Fewer stitches than this leave no middle between two edges. */
const LEAST = 6;

/**
 * The courses that lead from one count to another: a round takes the change evenly, a row one stitch at each edge, so that
 * more takes several rows (handbook 8, choice 3).
 *
 * @param course a plain course of the count that is left
 * @returns nothing where the stitch is not a plain one, or a round would have to more than halve or double
 */
export function changeCourses(course: Course, to: number): Course[] | undefined {
  const at = plainRun(course.instructions);
  if (at < 0) return undefined;
  const from = course.ends;
  if (course.kind === 'round') {
    if (to > 2 * from || 2 * to < from) return undefined;
    return [changed(course, at, to, (run) => changeRound(run.times, run.times + to - from, run.stitch))];
  }
  const courses: Course[] = [];
  for (let now = from; now !== to;) {
    if (now < LEAST) return undefined;
    const by = Math.sign(to - now) * Math.min(BY_ROW, Math.abs(to - now));
    const plain = widened(course, at, now);
    courses.push(changed(plain, at, now + by, (run) => atEdges(run, by)));
    now += by;
  }
  return courses;
}

type PlainRun = Extract<Instruction, { do: 'work' }>;

/** Where the one run of plain stitches stands that a plain course is, with another that may end it; -1 in any other course. */
function plainRun(instructions: readonly Instruction[]): number {
  const at = instructions.findIndex((one) => one.do === 'work');
  const isPlain = instructions.every(
    (one, index) =>
      index === at ||
      ['turning-chain', 'join', 'skip', 'last-in-top'].includes(one.do) ||
      (index === at + 1 && one.do === 'work' && one.times === 1),
  );
  return isPlain ? at : -1;
}

/** The same course of another count. */
const widened = (course: Course, at: number, ends: number): Course =>
  changed(course, at, ends, (run) => [{ ...run, times: run.times + ends - course.ends }]);

function changed(course: Course, at: number, ends: number, of: (run: PlainRun) => Instruction[]): Course {
  const run = course.instructions[at] as PlainRun;
  return { ...course, ends, instructions: course.instructions.flatMap((one, index) => (index === at ? of(run) : one)) };
}

/** One stitch more or less at the end of a row, or at both its ends. */
function atEdges({ stitch, times, into }: PlainRun, by: number): Instruction[] {
  const edge: Instruction = by > 0 ? inOne(stitch, 2, into, 1, 1) : { do: 'together', stitch, over: 2, times: 1 };
  const taken = by > 0 ? 1 : 2;
  if (Math.abs(by) === 1) return [work(stitch, times - taken, into), edge];
  return [edge, work(stitch, times - 2 * taken, into), edge];
}
