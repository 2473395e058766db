import { CHAIN, mainColour, tallyRow, type StitchTally } from '../../craft/fabric';
import { fabricAt, type Walked, type Work } from '../../piece';
import type { Plan } from '../../plan/plan';
import { workedThrough } from '../../reckon/reckon';
import { allPieces } from '../../reckon/steps';
import {
  coloursOf,
  rowMinutes,
  slowerBy,
  STEP_MINUTES,
  workYarn,
  yarnOfRow,
  type ColourNeed,
} from '../../reckon/supplies';
import type { WorkedOut, Worked } from '../../reckon/types';
import type { WorkStep } from '../../shapes';
import { foldMake, madeUncounted, stepsToMake, type KeptEvent, type MakingStep } from '../log';
import { isWorked, standingOf } from './progress';

/** What one step of a make takes. */
export interface StepTakes {
  minutes: number;
  stitches: number;
  /** Metres by the name of their colour; one without a name where there is one yarn. */
  metres: ReadonlyMap<string, number>;
}

/** What every step of a make takes, copies among them: together what the plan takes. */
export interface Takes {
  steps: readonly MakingStep[];
  each: ReadonlyMap<string, StepTakes>;
}

/** The name of the one yarn. */
export const ONE_YARN = '';

/** What a step takes before the whole is shared out: so much more of it than of another. */
interface Weight {
  minutes: number;
  /** Whether its minutes are told by its stitches. */
  rows: boolean;
  stitches: number;
  colour: string;
  metres: number;
}

/**
 * The plan's minutes, stitches and metres of each colour shared out over its steps as hands go through them, what is made twice
 * among them: rows by their stitches, what joins and finishes by what it works and sews, tails with them (handbook 7 and 8). The
 * sum over all steps is the whole.
 *
 * @param made the same plan's steps and supplies
 */
export function takesOf(plan: Plan, out: WorkedOut, made: Pick<Worked, 'steps' | 'supplies'>): Takes {
  const steps = stepsToMake(made.steps);
  const weigh = weigher(plan, out, made.supplies.byColour);
  const weights = steps.map(weigh);
  const minutes = minutesShared(weights, made.supplies.time.value, slowerBy(plan.fabric.rate));
  const stitches = shared(
    weights.map((weight) => weight.stitches),
    made.supplies.stitches,
  );
  const metres = metresShared(weights, made.supplies);
  return {
    steps,
    each: new Map(
      steps.map(({ id }, index) => [
        id,
        {
          minutes: minutes[index]!,
          stitches: stitches[index]!,
          metres: new Map([[weights[index]!.colour, metres[index]!]]),
        },
      ]),
    ),
  };
}

/** What steps take together. */
export function takenBy({ steps, each }: Takes, isCounted: (step: MakingStep) => boolean): StepTakes {
  const metres = new Map<string, number>();
  let [minutes, stitches] = [0, 0];
  for (const step of steps) {
    if (!isCounted(step)) continue;
    const one = each.get(step.id)!;
    minutes += one.minutes;
    stitches += one.stitches;
    for (const [colour, length] of one.metres) metres.set(colour, (metres.get(colour) ?? 0) + length);
  }
  return { minutes, stitches, metres };
}

/**
 * Steps that are done: those ticked, copies that were made although nobody counted them, and the foundation of whatever has a
 * row.
 */
export function doneIn(steps: readonly MakingStep[], events: readonly KeptEvent[]): ReadonlySet<string> {
  const { done } = foldMake(events, steps);
  const ticked = new Set(done);
  const all = new Set([...done, ...madeUncounted(steps, ticked)]);
  const { each } = standingOf(steps, { done: [...all] });
  for (const step of steps) if (isWorked(step, each)) all.add(step.id);
  return all;
}

/** Metres of all colours together. */
export const metresIn = ({ metres }: StepTakes): number => [...metres.values()].reduce((sum, one) => sum + one, 0);

/** A whole shared out by weights; alike where there are none. */
function shared(weights: readonly number[], whole: number): number[] {
  const all = weights.reduce((sum, one) => sum + one, 0);
  return all > 0 ? weights.map((one) => (whole * one) / all) : weights.map(() => whole / Math.max(1, weights.length));
}

/** Rows take what their stitches do at the plan's pace; the rest is what finishing takes. */
function minutesShared(weights: readonly Weight[], whole: number, slower: number): number[] {
  const rows = weights.map((weight) => (weight.rows ? slower * weight.minutes : 0));
  const inRows = rows.reduce((sum, one) => sum + one, 0);
  const besides = weights.map((weight) => (weight.rows ? 0 : weight.minutes));
  if (inRows >= whole || besides.every((one) => one === 0)) return shared(rows, whole);
  const finishing = shared(besides, whole - inRows);
  return rows.map((one, index) => one + finishing[index]!);
}

/** Each colour's metres over the steps that are worked in it. */
function metresShared(weights: readonly Weight[], { yarn, byColour }: Worked['supplies']): number[] {
  const needs: readonly Pick<ColourNeed, 'name' | 'metres'>[] =
    byColour.length > 0 ? byColour : [{ name: ONE_YARN, metres: yarn.metres.value }];
  const all = weights.map(() => 0);
  for (const { name, metres } of needs) {
    // a step that is worked in it takes of it, however little
    const of = weights.map(({ colour, metres: own }) => (colour === name ? own + 1e-9 : 0));
    shared(of, metres).forEach((one, index) => {
      all[index]! += one;
    });
  }
  return all;
}

function weigher(plan: Plan, out: WorkedOut, byColour: readonly ColourNeed[]): (step: MakingStep) => Weight {
  const { fabric: spec } = plan;
  const { after, walked } = workedThrough(out);
  const done = new Map(after.map((step) => [step.id, step]));
  const pieces = new Map(allPieces(out).map((piece) => [piece.id, { piece, colourOf: coloursOf(piece, spec) }]));
  const plain = out.fabric.also('single', out.fabric.worked);
  const names = byColour.map(({ name }) => name);
  const named = (colour: string | undefined): string => {
    if (names.length === 0) return ONE_YARN;
    const name = colour ?? mainColour(spec);
    return names.includes(name) ? name : names[0]!;
  };
  const ofRow = ({ piece: id, row, work, copy }: MakingStep): Weight => {
    const { piece, colourOf } = pieces.get(id)!;
    const second = copy === undefined ? undefined : piece.secondColour;
    const tally = tallyRow(work!);
    return {
      minutes: rowMinutes(work!),
      rows: true,
      stitches: inAll(tally),
      colour: named(second ?? colourOf(row!)),
      metres: yarnOfRow(spec, tally, fabricAt(piece, row!)),
    };
  };
  const ofChain = ({ piece: id, makes, copy, row }: MakingStep): Weight => {
    const { piece, colourOf } = pieces.get(id)!;
    const chains = makes?.count ?? 0;
    const second = copy === undefined ? undefined : piece.secondColour;
    // chain and row 1 in one
    const first = row === 1 ? tallyRow(piece.courses[0]!.instructions) : {};
    return {
      minutes: chains / CHAIN.aMinute + (row === 1 ? rowMinutes(piece.courses[0]!.instructions) : 0),
      rows: true,
      stitches: chains + inAll(first),
      colour: named(second ?? colourOf(1)),
      metres: yarnOfRow(spec, { ...first, chain: chains + (first.chain ?? 0) }, piece.fabric),
    };
  };
  const ofWork = (step: MakingStep): Weight => {
    const own = done.get(step.id.replace(/@\d+$/, ''));
    const works = worksIn(own).flatMap((work) => walked.get(work) ?? []);
    return {
      minutes: (own?.minutes ?? STEP_MINUTES) + works.reduce((sum, { courses }) => sum + minutesOf(courses), 0),
      rows: false,
      stitches: works.reduce((sum, { courses }) => sum + stitchesOf(courses), 0),
      colour: named(own && colourIn(own, step.copy === undefined ? [] : copiesIn(after, own))),
      metres: works.reduce((sum, one) => sum + workYarn(spec, one, plain, false), 0),
    };
  };
  return (step) => {
    if (step.work && step.row !== null) return ofRow(step);
    return step.kind === 'foundation' ? ofChain(step) : ofWork(step);
  };
}

/** What a step does itself: what is made once more has steps of its own. */
const worksIn = (step: WorkStep | undefined): readonly Work[] =>
  (step?.does ?? []).filter(({ do: what }) => what !== 'again');

/** The colour a step works in; of one that is made once more that of its second, where it says one. */
function colourIn({ colour, does = [] }: WorkStep, seconds: readonly Work[]): string | undefined {
  const own = (works: readonly Work[]) =>
    works.flatMap((work) => ('colour' in work && work.colour ? [work.colour] : []))[0];
  return own(seconds) ?? colour ?? own(does);
}

/** What a step does on the piece that is made once more. */
function copiesIn(after: readonly WorkStep[], { does = [] }: WorkStep): readonly Work[] {
  const ids = new Set(does.flatMap((work) => ('id' in work ? [work.id] : [])));
  const again = after.flatMap((step) => step.does ?? []).flatMap((work) => (work.do === 'again' ? work.works : []));
  return again.filter((work) => 'id' in work && ids.has(work.id));
}

const inAll = (tally: StitchTally): number => Object.values(tally).reduce((sum, count) => sum + count, 0);

const minutesOf = (courses: Walked['courses']): number =>
  courses.flat().reduce((sum, { instructions }) => sum + rowMinutes(instructions), 0);

const stitchesOf = (courses: Walked['courses']): number =>
  courses.flat().reduce((sum, { instructions }) => sum + inAll(tallyRow(instructions)), 0);
