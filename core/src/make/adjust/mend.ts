import type { BegunSpec } from '../../plan/begun';
import { chanceInputs } from '../../reckon/chanceInputs';
import { chanceOfFit, inputsOf, type ChanceInputs, type Sample } from '../../craft/fit';
import {
  inOrder,
  standingEvents,
  stepsToMake,
  type KeptEvent,
  type MakeState,
  type MakingStep,
  type Place,
} from '../log';
import { wordText } from '../../pattern';
import { timesInHundred } from '../../base/units';
import { refereePiece } from '../../pattern/refereePiece';
import { type Piece } from '../../piece';
import { workFaults } from '../../piece/referee';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { begunOf } from './begunOf';
import { hereOf, leftBefore, readAgainst, type Here } from './here';
import {
  CHANGED_FINDERS,
  FINDERS,
  lastingFinders,
  withoutBegun,
  type Candidate,
  type Finder,
  type Short,
  type Situation,
} from './candidates';
import { bandsRead, readBy, unreadOf, withMeasures, type BandsRead } from './measures';
import { reckonedOrNot, type ToMake } from './reckoned';
import { alikeUpTo, isWorked } from './progress';
import { yarnLeft } from './weighed';
import { metresIn, takenBy, takesOf, type Takes } from './takes';
import type { WorkedOut, Worked } from '../../reckon/types';
import { workOut } from '../../reckon/build';
import { prepare } from '../../reckon/prepare';
import { attempted } from '../../base/figure';
import type { WorkedFabric } from '../../craft/fabric';
import { outerWidth } from '../../shapes/common/rowPiece';
import { allPieces, workOf } from '../../reckon/steps';

/** Sizes that a way to go on comes to, mm. */
interface Sizes {
  inside: { girth: number; depth: number };
  outside: { width: number; height: number };
}

/** A way to go on, side by side with others (handbook 8). */
export interface MendChoice extends Sizes {
  id: string;
  title: string;
  recommended: boolean;
  /** To where the work is pulled out; null where nothing is. */
  from: Place | null;
  /** The plan that is followed then. */
  plan: Plan;
  /** Chance of fit, 0 to 1. */
  chance: number;
  /** From now to the end, pulling out included. */
  minutes: number;
  metres: number;
  shows: Candidate['shows'];
  why: string;
}

export interface Mended {
  /** The plan now followed: that of the last decision, else the one given. */
  plan: Plan;
  worked: Worked;
  state: MakeState;
  /** Stitch width and row height as they were planned and as the piece has them, mm, and which of them the tape has read. */
  gauge: { planned: Gauge; now: Gauge; read: { stitches: boolean; courses: boolean } };
  /** Why the last measure tells nothing, and which would; null where it was read. */
  unread: string | null;
  /** What there is to say where no way is likely to fit; null where one is. */
  noneFits: string | null;
  choices: MendChoice[];
}

interface Gauge {
  stitchWidth: number;
  rowHeight: number;
}

/** Pulling out takes so much of the time the work took (prior, handbook 8). */
const RIPPING = 0.15;

/** Carrying on is well where its chance is so good (handbook 8). */
const GOOD_ENOUGH = 0.8;

/** Another way has to gain so much on it, as a share of all (handbook 8). */
export const WORTH_IT = 0.05;

/** What fits less often than this is never recommended (handbook 8). */
const LEAST_CHANCE = 0.2;

/** Rows are counted again every so often, by tape: a height strays by no more than that last stretch (handbook 8). */
const RECOUNTED = { everyMm: 40, tapeMm: 2 };

/** Draws for each way's chance: enough to tell one from another. */
const DRAWS = 1000;

/**
 * A make as its tape has it: what was measured weighed against what was planned, and the ways to go on from here, each with
 * what it comes to. Pure, as reckon is.
 *
 * @param plan the plan the make was begun with
 * @param events all that happened to the make, in any order
 * @throws PlanProblem where the plan followed cannot be reckoned, measured or not
 * @source handbook 8 (measure now)
 */
export function mend(plan: Plan, events: readonly KeptEvent[]): Mended {
  const here = hereOf(plan, events);
  const { followed, worked, state, before } = here;
  const measured = withMeasures(followed, readAgainst(here), here.measures);
  const now = measured === followed ? before : asMeasured(here, measured);
  const bands = bandsRead(followed, readAgainst(here), here.measures);
  const choices = measured === followed ? [] : choicesOf(here, now, measured, FINDERS);
  return {
    plan: followed,
    worked,
    state,
    gauge: { planned: gaugeOf(before, bands), now: gaugeOf(now, bands), read: readBy(here.measures) },
    unread: unreadOf(followed, readAgainst(here), here.measures),
    noneFits: choices.length > 0 && !choices.some((choice) => choice.recommended) ? NONE_FITS : null,
    choices,
  };
}

/**
 * How often such a piece fits by all that is known of it now: the plan that is followed, at the gauge its tape has read. Once the
 * last course is done it is what was said of the piece that was made (handbook 10).
 *
 * @param plan the plan the make was begun with
 * @param events all that happened to the make, in any order
 * @returns 0 to 1
 * @throws PlanProblem where the plan followed cannot be reckoned
 */
export function chanceStanding(plan: Plan, events: readonly KeptEvent[]): number {
  const here = hereOf(plan, events);
  const measured = withMeasures(here.followed, readAgainst(here), here.measures);
  return asWritten(here, measured === here.followed ? here.before : asMeasured(here, measured)).chance;
}

/**
 * The ways to go on where the plan of a make was changed after it was begun: as begun, by the new plan as far as the work
 * allows, or with the count that is on the hook.
 *
 * @param plan the plan the make was begun with
 * @param events all that happened to the make, in any order
 * @param changed the plan as it is now
 * @throws PlanProblem where either cannot be reckoned
 * @source handbook 8
 */
export function changedWays(plan: Plan, events: readonly KeptEvent[], changed: Plan): MendChoice[] {
  const here = hereOf(plan, events);
  const measured = withMeasures(changed, readAgainst(here), here.measures);
  return choicesOf(here, attempted(() => workOut(measured)) ?? workOut(changed), measured, CHANGED_FINDERS);
}

/**
 * The ways to go on where the yarn does not last (handbook 8, weighing): nothing is pulled out for any of them.
 *
 * @param short where it runs out, and by how many rows of the first piece it is short
 * @throws PlanProblem where the plan followed cannot be reckoned
 */
export function lastingWays(plan: Plan, events: readonly KeptEvent[], short: Omit<Short, 'lasts'>): MendChoice[] {
  const here = hereOf(plan, events);
  const measured = withMeasures(here.followed, readAgainst(here), here.measures);
  const lasts = (other: Plan) => attempted(() => yarnLeft(other, reckon(other), events)?.runsOut === null) ?? false;
  return choicesOf(here, asMeasured(here, measured), measured, lastingFinders({ ...short, lasts })).filter(
    ({ id, from }) => id !== 'carry-on' && from === null,
  );
}

/** The plan that was last asked about: what the make was begun with, or what it was changed to since. */
export const planAsked = (plan: Plan, events: readonly KeptEvent[]): Plan =>
  standingEvents(inOrder(events)).reduce((last, event) => (event.kind === 'decided' && event.asked) || last, plan);

/**
 * The plan followed, at the gauge that the tape read. Where its shape would come out otherwise now than it is worked, or does not
 * come out at all, what was planned stands, in the fabric as it is now.
 */
function asMeasured({ before }: Here, measured: Plan): WorkedOut {
  const fabric = attempted(() => prepare(measured).context.fabric);
  return attempted(() => workOut(measured)) ?? inFabric(before, fabric ?? before.fabric);
}

/** What was planned, its pieces in another gauge. */
function inFabric(before: WorkedOut, fabric: WorkedFabric): WorkedOut {
  const [first, ...others] = before.built.pieces as [Piece, ...Piece[]];
  const { worked, stitch } = first.fabric;
  const own = stitch.id === fabric.stitch.id ? fabric : first.fabric;
  const pieces = [{ ...first, fabric: worked === own.worked ? own : first.fabric }, ...others];
  return { ...before, fabric, built: { ...before.built, pieces } };
}

/** A stitch's width and a row's height: of the bands they were read on, where that is told by band. */
const gaugeOf = ({ fabric }: WorkedOut, { stitches, courses }: BandsRead = {}): Gauge => ({
  stitchWidth: (fabric.bands?.[stitches ?? -1]?.fabric ?? fabric).stitchWidth.value,
  rowHeight: (fabric.bands?.[courses ?? -1]?.fabric ?? fabric).rowHeight.value,
});

function choicesOf(here: Here, now: WorkedOut, measured: Plan, finders: readonly Finder[]): MendChoice[] {
  const carryOn = asWritten(here, now);
  const situation: Situation = {
    followed: here.followed,
    worked: here.worked,
    measured,
    begun: begunOf(allPieces(here.before), here.standing.courses, here.measures, here.followed.begun, leftBefore(here)),
    wider: now.fabric.stitchWidth.value / here.before.fabric.stitchWidth.value,
  };
  const found = finders.flatMap((find) => find(situation)).flatMap((candidate) => weighedUp(here, candidate) ?? []);
  const choices = worthTelling([carryOn, ...differing(found, here)]);
  const best = recommended(choices, carryOn);
  return anewFirst(choices, best).map(({ anew: _, says: _s, aside: _a, with: _w, ...choice }) => ({
    ...choice,
    recommended: choice.id === best?.id,
  }));
}

/** Borders, joins and fits only where they gain on what is there without them, and of each kind the best. */
function worthTelling(choices: readonly Weighed[]): Weighed[] {
  const plain = choices.filter(({ aside, from }) => !aside && !from);
  const without = Math.max(...plain.map(({ chance }) => chance));
  return choices.filter((choice) => {
    if (!choice.aside) return true;
    const alike = choices.filter(({ aside, from }) => aside === choice.aside && !from);
    const best = alike.reduce((most, one) => (one.chance > most.chance ? one : most), choice);
    return best === choice && !choice.from && choice.chance >= without + WORTH_IT;
  });
}

/** A way with the minutes that the whole make would take anew, by which ways are weighed. */
type Weighed = Omit<MendChoice, 'recommended'> &
  Pick<Candidate, 'aside' | 'with'> & {
    anew: number;
    /** All its steps: ways that say the same are one. */
    says: string;
  };

const saysOf = ({ fit }: Plan, { steps }: ToMake): string =>
  `${fit.name}\n${steps.map(({ id, text }) => `${id} ${text}`).join('\n')}`;

/** Gone on with as written, at the gauge the piece has. */
function asWritten({ followed, worked, before, standing, takes, seed }: Here, now: WorkedOut): Weighed {
  const planned = chanceInputs(before);
  const found = chanceInputs(now);
  const inputs: ChanceInputs = {
    ...found,
    model: { ...planned.model, also: { ...planned.model.also, ...found.model.also } },
    ...(planned.rooms ? { rooms: planned.rooms } : {}),
    ...(planned.wants ? { wants: planned.wants } : {}),
  };
  const middle = Object.fromEntries(
    Object.entries(inputsOf(inputs)).map(([name, { value }]) => [name, value]),
  ) as Sample;
  const wider = eachWide(now) / eachWide(before);
  const taller = now.fabric.rowHeight.value / before.fabric.rowHeight.value;
  const { width, height } = before.built.outside;
  return {
    id: 'carry-on',
    title: 'Carry on as written',
    why: 'Nothing changes.',
    from: null,
    plan: followed,
    chance: chanceOfFit(inputs, seed, DRAWS).share,
    inside: insideNow(before, middle),
    outside: { width: width.value * wider, height: height.value * taller },
    ...leftOf(takes, standing.each, standing.others),
    anew: worked.supplies.time.value,
    says: saysOf(followed, worked),
    shows: 'no',
  };
}

/** What a stitch of the first piece takes of its outside width, mm: where bands are of several widths that of what bulges. */
function eachWide({ fabric, built }: WorkedOut): number {
  const [piece] = built.pieces as [Piece];
  return piece.bands ? outerWidth(piece).value / piece.stitches : fabric.stitchWidth.value;
}

/** The inside that was planned, and by how much it comes out otherwise. */
function insideNow({ built }: WorkedOut, now: Sample): Sizes['inside'] {
  const { girth, depth } = built.inside;
  const planned: Sample = { ...now, ...plannedSample(built) };
  return {
    girth: girth.value + built.model.girth(now) - built.model.girth(planned),
    depth: depth.value + built.model.depth(now) - built.model.depth(planned),
  };
}

function plannedSample({ pieces, model }: WorkedOut['built']): Record<string, number> {
  const { stitchWidth, rowHeight, thickness } = pieces[0]!.fabric;
  const also = Object.fromEntries(Object.entries(model.also ?? {}).map(([name, { value }]) => [name, value]));
  return { ...also, w: stitchWidth.value, h: rowHeight.value, t: thickness.value };
}

/** What a way comes to; nothing where it cannot be made, or would undo what was done besides rows. */
function weighedUp(here: Here, { plan: asked, ...candidate }: Candidate): Weighed | undefined {
  const { before, standing, takes, seed } = here;
  // what is worked may stand in the way: then it is pulled out to where both ways part
  const asIs = reckonedOrNot(asked);
  const plan = asIs || candidate.aside || !asked.begun ? asked : withoutBegun(asked);
  const next = asIs ?? (plan === asked ? undefined : reckonedOrNot(plan));
  if (!next) return undefined;
  const { out } = next;
  const then = next.worked();
  const after = stepsToMake(then.steps);
  const pieces = new Map(allPieces(out).map((piece) => [piece.id, piece]));
  const kept = new Map(
    allPieces(before)
      .filter(({ id }) => standing.courses.has(id))
      .map((piece) => [piece.id, Math.min(standing.courses.get(piece.id)!, alikeUpTo(piece, pieces.get(piece.id)))]),
  );
  const ripped = [...kept].find(([id, courses]) => courses < standing.courses.get(id)!);
  const from = ripped ? { piece: ripped[0], course: Math.max(0, ripped[1]) } : null;
  // begun anew it may as well have the count that fits
  if (from?.course === 0 && candidate.id === 'rows-to-come') return undefined;
  if (!keepsItsWords(here, after, kept)) return undefined;
  if (candidate.aside === 'change' && !canBeWorked(out, then)) return undefined;
  // where the chain itself changes nothing of the piece is kept
  const stay = new Map([...kept].map(([id, courses]) => [id, Math.max(0, courses)]));
  const stays = new Map(
    [...standing.each].map(([name, courses]) => [name, Math.min(courses, stay.get(name.split('/')[0]!) ?? 0)]),
  );
  const minutesOf = (each: ReadonlyMap<string, number>) => takenBy(takes, (step) => isWorked(step, each)).minutes;
  const lost = minutesOf(standing.each) - minutesOf(stays);
  const left = leftOf(takesOf(plan, out, then), stays, standing.others);
  const inputs = chanceInputs(out);
  const { width, height } = out.built.outside;
  return {
    ...candidate,
    why: wordText(candidate.why, out.schools),
    title: wordText(titleOf(candidate, from, pieces), out.schools),
    from,
    plan: plan.begun ? plan : onWhatIsDone(plan, begunOf([...pieces.values()], stay, [], [], leftBefore(here))),
    chance: chanceOfFit(inputs, seed, DRAWS, recounted(out)).share,
    inside: { girth: out.built.inside.girth.value, depth: out.built.inside.depth.value },
    outside: { width: width.value, height: height.value },
    minutes: left.minutes + RIPPING * lost,
    metres: left.metres,
    anew: then.supplies.time.value,
    says: saysOf(plan, then),
  };
}

/** What is left of a make when so much of every copy is worked, and these steps besides. */
function leftOf(
  takes: Takes,
  each: ReadonlyMap<string, number>,
  others: readonly MakingStep[],
): { minutes: number; metres: number } {
  const done = new Set(others.map(({ id }) => id));
  const left = takenBy(takes, (step) => !isWorked(step, each) && !done.has(step.id));
  return { minutes: left.minutes, metres: metresIn(left) };
}

/** The plan with what is worked already, where it carries that. */
function onWhatIsDone(plan: Plan, begun: readonly BegunSpec[]): Plan {
  const carried = { ...plan, begun };
  return begun.length > 0 && attempted(() => workOut(carried)) ? carried : plan;
}

/** Whether every course and every seam can be worked as it is written, from the first chain on. */
function canBeWorked(out: WorkedOut, { steps }: ToMake): boolean {
  const pieces = allPieces(out);
  return (
    pieces.every(({ id }) => refereePiece(steps, id).faults.length === 0) &&
    workFaults(workOf(out), pieces).length === 0
  );
}

/**
 * Whether what is kept of the work was made as the way has it: a tail that was not left cannot be sewn with, and what was
 * joined or edged stays so.
 */
function keepsItsWords(
  { steps, standing }: Here,
  after: readonly MakingStep[],
  kept: ReadonlyMap<string, number>,
): boolean {
  const then = new Map(after.map(({ id, text }) => [id, unnamed(text)]));
  const isKept = ({ piece, row, kind }: MakingStep) => {
    const upTo = kept.get(piece);
    if (upTo === undefined || (row === null && kind !== 'foundation')) return false;
    return row === null ? upTo > 0 : row <= upTo;
  };
  return [...steps.filter(isKept), ...standing.others].every(({ id, text }) => then.get(id) === unnamed(text));
}

/** A step without the name of its yarn: which one was taken from the start is no other work. */
const unnamed = (text: string): string => text.replace(/^With [^:]+: /, '');

/** Kept as it is, or from where it is pulled out to. */
function titleOf(
  { id, title, with: goal = 'the count that fits' }: Omit<Candidate, 'plan'>,
  from: Place | null,
  pieces: ReadonlyMap<string, Piece>,
): string {
  // nothing that is worked stands in the way
  if (!from) return id === 'other-count' ? 'Use the count that fits' : title;
  if (from.course === 0) return `Start again with ${goal}`;
  const where = `Pull out to ${pieces.get(from.piece)?.worked === 'rounds' ? 'round' : 'row'} ${from.course}`;
  return id === 'rows-to-come' ? `${where}, keep the count and calculate the rest again` : `${where} and use ${goal}`;
}

/** The height's spread where rows are counted again all along: the tape's, and that of the last stretch. */
function recounted({ fabric, built }: WorkedOut): { h?: number } {
  const { value: h, sd = 0 } = fabric.rowHeight;
  const tall = Math.max(RECOUNTED.everyMm, built.outside.height.value);
  const left = Math.hypot(RECOUNTED.tapeMm, (RECOUNTED.everyMm * sd) / h);
  return { h: Math.min(sd, (h * left) / tall) };
}

/** Ways that differ from carrying on: other steps are to come, or something else is asked of the fit. */
function differing(found: readonly Weighed[], { followed, worked }: Here): Weighed[] {
  const known = new Set([saysOf(followed, worked)]);
  return found.filter(({ says }) => {
    if (known.has(says)) return false;
    known.add(says);
    return true;
  });
}

/**
 * Carrying on where its chance is good or nothing gains on it; else what costs least, a failure costing the whole make
 * anew. Never what fits less surely than carrying on, nor what hardly ever fits: then nothing is recommended (handbook 8).
 */
function recommended(choices: readonly Weighed[], carryOn: Weighed): Weighed | undefined {
  const gains = choices.some(({ chance }) => chance >= carryOn.chance + WORTH_IT);
  if (carryOn.chance >= GOOD_ENOUGH) return carryOn;
  const cost = ({ minutes, chance, anew }: Weighed) => minutes + (1 - chance) * anew;
  const likely = choices.filter(({ chance }) => chance >= Math.max(carryOn.chance, LEAST_CHANCE));
  if (!gains && likely.includes(carryOn)) return carryOn;
  return likely.reduce<Weighed | undefined>(
    (best, choice) => (best === undefined || cost(choice) < cost(best) ? choice : best),
    undefined,
  );
}

const isAnew = ({ from }: Pick<Weighed, 'from'>): boolean => from?.course === 0;

/** Where nothing that keeps the work is likely to fit, beginning again stands first and says why. */
function anewFirst(choices: readonly Weighed[], best: Weighed | undefined): readonly Weighed[] {
  const keeping = choices.filter((choice) => !isAnew(choice));
  if (!best || !isAnew(best) || keeping.some(({ chance }) => chance >= LEAST_CHANCE)) return choices;
  const why = `Nothing that keeps what is worked fits as often as ${timesInHundred(LEAST_CHANCE)}. ${best.why}`;
  return [{ ...best, why }, ...choices.filter((choice) => choice !== best)];
}

/** What is said where no way is likely to fit. */
const NONE_FITS =
  'None of these is likely to fit. Measure again, over as many stitches as there are. If the tape says the same, start again, or use the piece for another item.';
