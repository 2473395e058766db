import { inOrder, standingEvents, type KeptEvent, type MakingStep } from '../log';
import { mainColour, yarnOf } from '../../craft/fabric';
import { chanceBelow } from '../../reckon/supplies';
import type { Plan } from '../../plan/plan';
import { workOut } from '../../reckon/build';
import type { Worked } from '../../reckon/types';
import { doneIn, ONE_YARN, takenBy, takesOf, type Takes } from './takes';

/** How far what is left of the yarn goes. */
export interface YarnLeft {
  /** Of the ball, as last weighed, g. */
  grams: number;
  /** Which of several colours was weighed: the one on the hook; null where there is one yarn. */
  colour: string | null;
  /** What the rest takes of that colour, second pieces and seams among it, g, with its standard uncertainty. */
  needs: { value: number; sd: number };
  /** The chance that it lasts, 0 to 1. */
  lasts: number;
  /** Where it runs out on the whole; null where it reaches the end. */
  runsOut: RunsOut | null;
  /** By so many rows of the first piece it is short, on the whole; 0 where it reaches the end. */
  rowsShort: number;
}

/** Where a yarn runs out: a course, of what is made twice of which piece, and whether it is in what comes after that course. */
export interface RunsOut {
  piece: string;
  copy?: number;
  row: number;
  section: string;
  after: boolean;
  /** The course at which its last stripe before that begins, still to come: where a second yarn of its colour shows least. */
  stripe?: Pick<MakingStep, 'piece' | 'copy'> & { row: number };
}

/** A kitchen scale reads to so much, g (prior, handbook 8). */
export const SCALE_SD_G = 1;

/** By how much of the ball is left, without a scale, it is told to so much of itself (prior, handbook 8). */
const EYE_SPREAD = 0.2;

/** How well a weighing is known, g. */
const sdOf = ({ grams, by }: Pick<Weighing, 'grams' | 'by'>): number =>
  by === 'eye' ? Math.max(SCALE_SD_G, EYE_SPREAD * grams) : SCALE_SD_G;

/**
 * What the scale says of a make: grams a metre as the plan has them, narrowed by what the worked part took, and how far
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
  const takes = takesOf(plan, workOut(plan), worked);
  const doneBy = (event: KeptEvent) => doneIn(takes.steps, ordered.slice(0, ordered.indexOf(event) + 1));
  const colour = weighedOf(takes, last, doneBy(last));
  const metresBy = (event: KeptEvent) => metresOf(takes, colour, doneBy(event));
  const all = takenBy(takes, () => true).metres.get(colour) ?? 0;
  const alike = weighed.filter((event) => weighedOf(takes, event, doneBy(event)) === colour);
  const each = gramsEach(worked, colour, between(boxHad(plan, colour), alike, metresBy));
  const done = metresBy(last);
  const left = Math.max(0, all - done);
  const needs = { value: left * each.value, sd: left * each.sd };
  return {
    grams: last.grams,
    colour: colour === ONE_YARN ? null : colour,
    needs,
    lasts: 1 - chanceBelow(0, { value: last.grams - needs.value, sd: Math.hypot(needs.sd, sdOf(last)) }),
    rowsShort: rowsFor(takes, worked, colour, (needs.value - last.grams) / each.value),
    runsOut: courseAfter(takes, colour, doneBy(last), last.grams / each.value),
  };
}

/** The colour that was weighed: the one that was said, else the one on the hook. */
const weighedOf = (takes: Takes, { colour }: Weighing, done: ReadonlySet<string>): string =>
  colour !== undefined && takes.steps.some(({ id }) => takes.each.get(id)!.metres.has(colour))
    ? colour
    : onHook(takes, done);

/** The colour of the last step that is done and takes any; that of the first before there is one. */
function onHook({ steps, each }: Takes, done: ReadonlySet<string>): string {
  const last = steps.filter(({ id, row }) => row !== null && done.has(id)).at(-1) ?? steps[0]!;
  return [...each.get(last.id)!.metres.keys()][0]!;
}

const metresOf = (takes: Takes, colour: string, done: ReadonlySet<string>): number =>
  takenBy(takes, ({ id }) => done.has(id)).metres.get(colour) ?? 0;

/** So many metres in whole rows of the first piece in that colour; none where nothing is missing. */
function rowsFor({ steps, each }: Takes, { pieces }: Worked, colour: string, metres: number): number {
  const rows = steps.filter(({ piece, row, id }) => piece === pieces[0]!.id && row && each.get(id)!.metres.has(colour));
  const taken = rows.reduce((sum, { id }) => sum + each.get(id)!.metres.get(colour)!, 0);
  return rows.length === 0 ? 0 : Math.max(0, Math.ceil((metres * rows.length) / taken));
}

type Weighing = Extract<KeptEvent, { kind: 'weighed' }>;

/** What the yarn box had of a colour before it was begun, g: it is asked of the plan's own yarn alone. */
function boxHad({ fabric }: Plan, colour: string): number | undefined {
  return colour === ONE_YARN || colour === mainColour(fabric) ? yarnOf(fabric).gramsLeft : undefined;
}

/** Metres worked between two weighings, and the grams they took: from what the yarn box had, where it was known. */
interface Took {
  metres: number;
  grams: number;
  /** How well that is known, g. */
  sd: number;
}

function between(
  had: number | undefined,
  weighed: readonly Weighing[],
  metresBy: (event: KeptEvent) => number,
): Took | undefined {
  const [first] = weighed;
  const last = weighed.at(-1)!;
  const before = first !== last ? first!.grams : had;
  if (before === undefined) return undefined;
  const metres = metresBy(last) - (first !== last ? metresBy(first!) : 0);
  const grams = before - last.grams;
  const sd = Math.hypot(first !== last ? sdOf(first!) : SCALE_SD_G, sdOf(last));
  return metres > 0 && grams > 0 ? { metres, grams, sd } : undefined;
}

/** Grams a metre: as the plan has it, and as the work took it, each by its precision. */
function gramsEach({ supplies }: Worked, colour: string, took: Took | undefined): { value: number; sd: number } {
  const { value: all, sd = 0 } = supplies.yarn.grams;
  const own = supplies.byColour.find(({ name }) => name === colour);
  const [grams, metres] = own ? [own.grams, own.metres] : [all, supplies.yarn.metres.value];
  const planned = { value: grams / metres, sd: ((sd / all) * grams) / metres };
  if (!took || isOtherBall(took.grams / took.metres / planned.value)) return planned;
  const read = { value: took.grams / took.metres, sd: took.sd / took.metres };
  const [a, b] = [1 / planned.sd ** 2, 1 / read.sd ** 2];
  return { value: (a * planned.value + b * read.value) / (a + b), sd: 1 / Math.sqrt(a + b) };
}

/** Nobody takes so much more or less yarn than is usual: another ball was weighed, or only one of several. */
const isOtherBall = (ratio: number): boolean => ratio > 2 || ratio < 0.5;

/** Where so many metres of a colour end; null where they reach the end. */
function courseAfter(
  { steps, each }: Takes,
  colour: string,
  done: ReadonlySet<string>,
  metres: number,
): RunsOut | null {
  let sum = 0;
  let reached: MakingStep | undefined;
  let stripe: MakingStep | undefined;
  let before = '';
  for (const step of steps) {
    const taken = each.get(step.id)!.metres;
    const [now = ''] = taken.keys();
    const begins = step.row !== null && now === colour && before !== colour;
    if (step.row !== null) before = now;
    if (done.has(step.id)) continue;
    if (begins) stripe = step;
    sum += taken.get(colour) ?? 0;
    if (step.row !== null) reached = step;
    if (sum > metres && reached) return placeOf(step, reached, stripe);
  }
  return null;
}

function placeOf(step: MakingStep, reached: MakingStep, stripe: MakingStep | undefined): RunsOut {
  const at = (one: MakingStep) => ({
    piece: one.piece,
    row: one.row!,
    ...(one.copy === undefined ? {} : { copy: one.copy }),
  });
  return {
    ...at(reached),
    section: step.row === null ? step.section : reached.section,
    after: step.row === null,
    ...(stripe && step.row !== null ? { stripe: at(stripe) } : {}),
  };
}
