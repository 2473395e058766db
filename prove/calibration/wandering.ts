import type { Dice } from './random';

/** A course's width strays by so much of itself, and is forgotten over so many courses (handbook 2.1). */
const STRAYS = 0.015;
const FORGOTTEN_OVER = 15;

/** A thing is held by so many mm of a piece at once (handbook 2.1). */
const HELD_MM = 30;

/** How courses lie round a thing: each round all of it, or half of it in front and half behind. */
export type Laid = 'round' | 'one piece folded' | 'two pieces';

/**
 * How narrow the narrowest 30 mm of a piece is, against its mean: every course of it drawn, those behind set against those in
 * front, and a window slid up it.
 *
 * @param high a course, mm
 */
export function narrowestShare(dice: Dice, courses: number, high: number, laid: Laid): number {
  const front = hand(dice, courses);
  const behind = { round: front, 'one piece folded': hand(dice, courses, front[0]), 'two pieces': hand(dice, courses) }[
    laid
  ];
  const girths = front.map((one, level) => (one + behind[level]!) / 2);
  const sums = girths.reduce<number[]>((all, one) => [...all, all.at(-1)! + one], [0]);
  const mean = sums.at(-1)! / courses;
  const window = Math.max(1, Math.min(courses, Math.round(HELD_MM / high)));
  const windows = sums.slice(window).map((sum, from) => (sum - sums[from]!) / window);
  return 1 + Math.min(...windows) - mean;
}

/** Courses from the bottom upwards; those behind begin beside the lowest in front where they are of one piece. */
function hand({ normal }: Dice, courses: number, beside?: number): number[] {
  const kept = Math.exp(-1 / FORGOTTEN_OVER);
  const next = (before: number | undefined) =>
    before === undefined ? STRAYS * normal() : kept * before + Math.sqrt(1 - kept * kept) * STRAYS * normal();
  const all: number[] = [];
  for (let course = 0; course < courses; course += 1) all.push(next(all.at(-1) ?? beside));
  return all;
}
