import { attempted } from '../../base/figure';
import { hexOf, lightness, mainColour } from '../../craft/fabric';
import { startsOf, runAt } from '../../craft/repeating';
import type { Plan } from '../../plan/plan';
import { lengthsIn, workedAs } from '../../reckon/asRepeated';
import { workOut } from '../../reckon/build';
import { TURN_TAKES } from '../../craft/repeating/effect';

/** What helps to count a course. */
export interface CountingAids {
  /** Of a yarn whose colours repeat: what the course is worked in, from its beginning, in whole stitches. */
  colours: readonly { name: string; stitches: number }[];
  /** Whether its stitches are hard to see. */
  isDark: boolean;
  /** So many markers, one every so many stitches, where a course is too long to count in one go. */
  markers: number;
}

/** Darker than so its stitches are hard to tell apart (prior, ours): CIE L*. */
const DARK_BELOW = 35;

/** A marker every so many stitches, and from how many on it is worth hanging them (prior, ours). */
export const MARK = { every: 50, from: 120 } as const;

/**
 * What helps to count a course of a plan’s first piece: the colours it is worked in, whether its yarn is dark, and how many markers
 * part it (handbook 8, advice at its moment).
 *
 * @param row of the first piece, from 1
 * @param stitches the course ends on
 */
export function countingAids(plan: Plan, row: number, stitches: number): CountingAids {
  const hex = hexOf(plan.palette, plan.fabric, mainColour(plan.fabric));
  return {
    colours: coloursOfCourse(plan, row),
    isDark: hex !== undefined && lightness(hex) < DARK_BELOW,
    markers: stitches < MARK.from ? 0 : Math.floor((stitches - 1) / MARK.every),
  };
}

/** The runs of a repeating yarn along one course, as the hook meets them. */
function coloursOfCourse(plan: Plan, row: number): CountingAids['colours'] {
  const runs = plan.fabric.yarn?.runs ?? [];
  const out = runs.length > 1 ? attempted(() => workOut(plan)) : undefined;
  const piece = out?.built.pieces[0];
  const course = piece?.courses[row - 1];
  if (!out || !piece || !course) return [];
  const takes = TURN_TAKES[workedAs(plan, piece).turning];
  const begins = piece.courses.slice(0, row - 1).reduce((sum, { ends }) => sum + ends + takes, 0);
  const starts = startsOf(lengthsIn(plan, out, runs));
  const colours: { name: string; stitches: number }[] = [];
  for (let stitch = 0; stitch < course.ends; stitch += 1) {
    // the middle of a stitch says which colour it is
    const { name } = runs[runAt(starts, begins + stitch + 0.5)]!;
    const last = colours.at(-1);
    if (last?.name === name) last.stitches += 1;
    else colours.push({ name, stitches: 1 });
  }
  return colours;
}
