import { seedOf } from '../reckon/chance';
import { chanceInputs } from '../reckon/chanceInputs';
import { onHook, type YarnRun } from '../craft/fabric';
import { lengthsIn, workedAs } from '../reckon/asRepeated';
import { attempted } from '../base/figure';
import { chanceOfFit } from '../craft/fit';
import { inOrder, standingEvents, type KeptEvent } from '../make/log';
import { planFollowed } from '../make/adjust';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import {
  effectOf,
  holdsOf,
  landedOf,
  repeatGrid,
  slopeOf,
  sumOf,
  type Landed,
  type Landing,
  type RepeatEffect,
  type Repeated,
} from '../craft/repeating';
import { workOut } from '../reckon/build';

/** A plan in a yarn that repeats, and what it is to come to. */
export interface RepeatAsk {
  plan: Plan;
  runs: readonly YarnRun[];
  effect?: RepeatEffect;
  /** What happened to the make: where its rounds ended says how its hand works the yarn. */
  events?: readonly KeptEvent[];
  seed?: number;
}

/** A count and a hook at which the yarn comes to an effect. */
export interface RepeatOption {
  count: number;
  hookMm: number;
  effect: RepeatEffect;
  /** What the count leaves round the thing, mm. */
  easeMm: number;
  /** Of fit, 0 to 1. */
  chance: number;
  /** What to pick of the plan's counts for it. */
  picks: Record<string, number>;
}

export interface RepeatTold {
  /** All runs together, stitches. */
  sum: number;
  effect: RepeatEffect;
  /** Stitches from round to round, with its sign: against the work where positive. */
  driftPerRound: number;
  /** Of a line of colour from the level, the lean of unturned rounds in it. */
  slopeDegrees: number;
  /** Rounds until tension alone has moved the colours of half the makers by a stitch. */
  holdsRounds: number;
  /** Which run each stitch lies in, course by course, as seen from the right side. */
  grid: number[][];
  options: RepeatOption[];
  /** What rounds that ended in the yarn say of the hand; nothing where none was noted. */
  landed: Landed | null;
}

/** Courses that are drawn: more tell nothing new. */
const MOST_COURSES = 60;
/** Counts to either side that are looked at, and hooks beside the plan’s, mm. */
const NEAR = 6;
const HOOKS_BESIDE = [0, -0.5, 0.5];
/** Draws for a rank. */
const RANK_DRAWS = 1000;
const MOST_OPTIONS = 12;

/**
 * What a repeating yarn comes to on a plan’s first piece, and the counts and hooks near it that come to the effect that is
 * wanted; any effect but scattered where none is said (handbook 7).
 *
 * @throws PlanProblem as reckon does
 */
export function repeat({ plan: begun, runs, effect, events = [], seed }: RepeatAsk): RepeatTold {
  const plan = planFollowed(begun, events);
  const out = workOut(plan);
  const piece = out.built.pieces[0]!;
  const counts = piece.courses.slice(0, MOST_COURSES).map(({ ends }) => ends);
  const given = lengthsIn(plan, out, runs);
  const { turning, left } = workedAs(plan, piece);
  const landed = landedOf(
    piece.courses.map(({ ends }) => ends),
    given,
    turning,
    landingsOf(plan, events, runs.length),
  );
  const lengths = landed?.lengths ?? given;
  const said = effectOf(piece.stitches, lengths, turning, left);
  const { stitchWidth, rowHeight } = out.fabric;
  return {
    sum: sumOf(lengths),
    effect: said.effect,
    driftPerRound: perRound(said),
    slopeDegrees: slopeOf(said.seen, stitchWidth.value, rowHeight.value),
    holdsRounds: holdsOf(piece.stitches),
    grid: repeatGrid({ counts, lengths, turning, left, seed: seed ?? seedOf(plan) }),
    options: optionsOf(plan, runs, effect),
    landed,
  };
}

/** The rounds of the first piece that were noted, in order; the last word on each. */
function landingsOf(plan: Plan, events: readonly KeptEvent[], runs: number): Landing[] {
  const noted = standingEvents(inOrder(events)).filter((event) => event.kind === 'landed');
  if (noted.length === 0) return [];
  const { steps, pieces } = reckon(plan);
  const rows = new Map(steps.flatMap(({ id, row, piece }) => (row && piece === pieces[0]!.id ? [[id, row]] : [])));
  const landings = new Map<number, Landing>();
  for (const { atStep, run, stitches } of noted) {
    const course = rows.get(atStep);
    if (course && run < runs) landings.set(course, { course, run, stitches });
  }
  return [...landings.values()].sort((a, b) => a.course - b.course);
}

/** In rows the drift is told over two of them. */
const perRound = ({ drift }: Repeated): number => Math.round(drift * 100) / 100;

/** Every count near the plan’s on every hook near it that comes to what is wanted, the surest to fit first. */
function optionsOf(plan: Plan, runs: readonly YarnRun[], wanted: RepeatEffect | undefined): RepeatOption[] {
  const found = HOOKS_BESIDE.flatMap((by) => {
    const hookMm = plan.fabric.hookMm + by;
    const { picks: _picks, ...rest } = plan;
    const onIt = by === 0 ? plan : { ...rest, fabric: onHook(plan.fabric, hookMm) };
    return hookMm < 1 ? [] : countsOn(onIt, runs, wanted);
  });
  return found.sort((a, b) => b.chance - a.chance || Math.abs(a.easeMm) - Math.abs(b.easeMm)).slice(0, MOST_OPTIONS);
}

function countsOn(plan: Plan, runs: readonly YarnRun[], wanted: RepeatEffect | undefined): RepeatOption[] {
  const first = attempted(() => workOut(plan));
  // the count of a course, not of courses
  const choice = first?.built.choices.find(({ id }) => id === 'stitches') ?? first?.built.choices[0];
  if (!first || !choice) return [];
  const now = first.built.pieces[0]!.stitches;
  const chosen = choice.options.find((option) => option.chosen)?.count ?? now;
  const counts = new Set([...choice.options.map(({ count }) => count), ...nearby(chosen)]);
  return [...counts].flatMap((count) => {
    if (count < 1 || Math.abs(count - chosen) > NEAR) return [];
    const picked: Plan = { ...plan, picks: { ...plan.picks, [choice.id]: count } };
    const out = attempted(() => workOut(picked));
    const own = out?.built.choices.find(({ id }) => id === choice.id);
    const option = own?.options.find((one) => one.chosen);
    // a count that a fitting cannot be placed on is none to offer
    if (!out || option?.count !== count || own?.broken?.length) return [];
    const piece = out.built.pieces[0]!;
    const { turning, left } = workedAs(picked, piece);
    const { effect } = effectOf(piece.stitches, lengthsIn(picked, out, runs), turning, left);
    if (wanted ? effect !== wanted : effect === 'scattered') return [];
    const { share } = chanceOfFit(chanceInputs(out), seedOf(picked), RANK_DRAWS);
    const { hookMm } = picked.fabric;
    const picks = { [choice.id]: count };
    return [{ count: piece.stitches, hookMm, effect, easeMm: option.easeMm, chance: share, picks }];
  });
}

const nearby = (count: number): number[] => Array.from({ length: 2 * NEAR + 1 }, (_, index) => count - NEAR + index);
