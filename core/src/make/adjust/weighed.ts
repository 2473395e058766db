import { foldMake, inOrder, standingEvents, stepsToMake, type KeptEvent, type MakingStep } from '../log';
import { yarnOf } from '../../craft/fabric';
import { chanceBelow } from '../../reckon/supplies';
import type { Plan } from '../../plan/plan';
import { standingOf, stitchesIn } from './progress';
import type { Worked } from '../../reckon/types';

/** How far what is left of the yarn goes. */
export interface YarnLeft {
  /** Of the ball, as last weighed, g. */
  grams: number;
  /** What the rest of the piece takes, g, with its standard uncertainty. */
  needs: { value: number; sd: number };
  /** The chance that it lasts, 0 to 1. */
  lasts: number;
  /** The course in which it runs out on the whole; null where it reaches the end. */
  runsOut: { piece: string; row: number; section: string } | null;
  /** By so many rows of the first piece it is short, on the whole; 0 where it reaches the end. */
  rowsShort: number;
}

/** A kitchen scale reads to so much, g (prior, handbook 8). */
export const SCALE_SD_G = 1;

/**
 * What the scale says of a make: grams a stitch as the plan has them, narrowed by what the worked part took, and how far
 * what is left goes (law of the normal; handbook 8, weighing).
 *
 * @param plan the plan that is followed, `worked` the same reckoned
 * @returns undefined where nothing was weighed
 */
export function yarnLeft(plan: Plan, worked: Worked, events: readonly KeptEvent[]): YarnLeft | undefined {
  const ordered = standingEvents(inOrder(events));
  const weighed = ordered.filter((event) => event.kind === 'weighed');
  const last = weighed.at(-1);
  if (!last) return undefined;
  const steps = stepsToMake(worked.steps);
  const doneBy = (event: KeptEvent) => stitchesDone(steps, ordered.slice(0, ordered.indexOf(event) + 1));
  const now = doneBy(last);
  const each = gramsEach(worked, between(plan, weighed, doneBy));
  const left = Math.max(0, worked.supplies.stitches - now);
  const needs = { value: left * each.value, sd: left * each.sd };
  return {
    grams: last.grams,
    needs,
    lasts: 1 - chanceBelow(0, { value: last.grams - needs.value, sd: Math.hypot(needs.sd, SCALE_SD_G) }),
    rowsShort: rowsFor(worked, (needs.value - last.grams) / each.value),
    runsOut: courseAfter(steps, now, now + last.grams / each.value),
  };
}

/** So many stitches in whole rows of the first piece; none where nothing is missing. */
const rowsFor = ({ pieces }: Worked, stitches: number): number =>
  Math.max(0, Math.ceil(stitches / Math.max(1, pieces[0]!.stitches)));

type Weighing = Extract<KeptEvent, { kind: 'weighed' }>;

/** Stitches worked between two weighings, and the grams they took: from what the yarn box had, where it was known. */
interface Took {
  stitches: number;
  grams: number;
}

function between(plan: Plan, weighed: readonly Weighing[], doneBy: (event: KeptEvent) => number): Took | undefined {
  const [first] = weighed;
  const last = weighed.at(-1)!;
  const { gramsLeft } = yarnOf(plan.fabric);
  const before = first !== last ? first!.grams : gramsLeft;
  if (before === undefined) return undefined;
  const stitches = doneBy(last) - (first !== last ? doneBy(first!) : 0);
  const grams = before - last.grams;
  return stitches > 0 && grams > 0 ? { stitches, grams } : undefined;
}

/** Grams a stitch: as the plan has it, and as the work took it, each by its precision. */
function gramsEach({ supplies }: Worked, took: Took | undefined): { value: number; sd: number } {
  const { value: all, sd = 0 } = supplies.yarn.grams;
  const planned = { value: all / supplies.stitches, sd: sd / supplies.stitches };
  if (!took || isOtherBall(took.grams / took.stitches / planned.value)) return planned;
  const read = { value: took.grams / took.stitches, sd: (Math.SQRT2 * SCALE_SD_G) / took.stitches };
  const [a, b] = [1 / planned.sd ** 2, 1 / read.sd ** 2];
  return { value: (a * planned.value + b * read.value) / (a + b), sd: 1 / Math.sqrt(a + b) };
}

/** Nobody takes so much more or less yarn than is usual: another ball was weighed, or only one of several. */
const isOtherBall = (ratio: number): boolean => ratio > 2 || ratio < 0.5;

function stitchesDone(steps: readonly MakingStep[], events: readonly KeptEvent[]): number {
  return stitchesIn(steps, standingOf(steps, foldMake(events, steps)).courses);
}

/** The course that so many stitches reach into; null where there are not as many. */
function courseAfter(steps: readonly MakingStep[], done: number, stitches: number): YarnLeft['runsOut'] {
  let sum = 0;
  for (const { piece, row, section, ends } of steps) {
    if (row === null) continue;
    sum += ends ?? 0;
    if (sum > Math.max(done, stitches)) return { piece, row, section };
  }
  return null;
}
