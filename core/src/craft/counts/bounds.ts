import { PlanProblem } from '../../base/figure';
import { formatNumber } from '../../base/units';

/** Stitches in one course, and courses in one piece: beyond them nothing is built (handbook 4). */
export const MOST_STITCHES = 2000;
export const MOST_COURSES = 5000;

/**
 * Refuses a count beyond what is built here, before anything is.
 *
 * @param path the plan's entry that would have to change
 * @throws PlanProblem naming the count, the limit and the repair
 */
export function refuseBeyond(count: number, of: 'stitches' | 'courses', path: string): void {
  const most = of === 'stitches' ? MOST_STITCHES : MOST_COURSES;
  if (count <= most) return;
  const what = of === 'stitches' ? 'stitches in a row or round' : 'rows or rounds in a piece';
  throw new PlanProblem([
    {
      path,
      message: `${formatNumber(count, 0)} ${what} are more than the ${most} that can be calculated here. Check the measurements and the {gauge}, use a thicker yarn, or make it in several pieces.`,
    },
  ]);
}
