import { seedOf } from '../reckon/chance';
import { chanceInputs } from '../reckon/chanceInputs';
import { onHook, yarnOf, type FabricSpec } from '../craft/fabric';
import { PlanProblem } from '../base/figure';
import { chanceOfFit, FITS, type FitName } from '../craft/fit';
import { hasHook, type AtHand } from '../plan/atHand';
import type { Plan } from '../plan/plan';
import { SHAPES, shapeDefinition, type View } from '../shapes';
import { withShape } from '../plan/withShape';
import { wordText } from '../pattern';
import type { WorkedOut } from '../reckon/types';
import { findings } from '../reckon/advice';
import { workOut } from '../reckon/build';
import { stepsAfter } from '../reckon/steps';
import { suppliesOf } from '../reckon/supplies/suppliesOf';

const WAYS_FORMAT = 'keep-snug.ways/1';

/** What to compare; what is left out stays as the plan has it. */
export interface WaysAsk {
  plan: Plan;
  shapes?: readonly string[];
  hooksMm?: readonly number[];
  fits?: readonly FitName[];
  /** Yarns with their stitch and gauge: each on every hook that is named, and on its own where none is. */
  fabrics?: readonly FabricSpec[];
  /** What the maker has: ways that need nothing else come first. */
  atHand?: AtHand;
}

/** One way to make a cover for the thing. */
export interface Way {
  possible: boolean;
  shape: string;
  fit: FitName;
  hookMm: number;
  stitch: string;
  yarn: string;
  /** Whether its hook and its yarn are at hand; not said where nobody told what is. */
  atHand?: boolean;
  /** Why, or why not, in a line. */
  why: string;
  /** What speaks against it for this thing, in a line. */
  but?: string;
  /** The plan to take, where it is possible. */
  plan?: Plan;
  chance?: number;
  metres?: number;
  grams?: number;
  enough?: number | null;
  minutes?: number;
  cover?: number;
  stitches?: number;
  rows?: number;
  summary?: string;
  /** The flat drawing, for a small picture. */
  view?: View;
}

export interface Ways {
  format: typeof WAYS_FORMAT;
  ways: Way[];
}

/** Draws for a rank: one in a hundred is near enough to tell ways apart. */
const RANK_DRAWS = 2000;

/**
 * Every way to make a cover for the thing: shapes x hooks x fits x yarns, those that can be made first, by the chance of
 * fit, the yarn in the house, time and firmness; each with its reason, those that cannot be made too (handbook 5).
 */
export function ways(ask: WaysAsk): Ways {
  const all = [...waysByShape(ask)].at(-1);
  return all?.ways ?? { format: WAYS_FORMAT, ways: [] };
}

/** What was found after one shape more: how many shapes are looked through, of how many. */
export interface WaysSoFar {
  ways: Ways;
  done: number;
  of: number;
}

/**
 * The same shape by shape, each time all that was found up to there in its order: for whoever shows how far it is, or stops.
 *
 * @source handbook 5
 */
export function* waysByShape(ask: WaysAsk): Generator<WaysSoFar> {
  const { plan } = ask;
  const fabrics = ask.fabrics ?? [plan.fabric];
  const shapes = ask.shapes ?? SHAPES.map(({ id }) => id);
  const found: Way[] = [];
  for (const [index, shape] of shapes.entries()) {
    for (const fabric of fabrics)
      for (const hookMm of ask.hooksMm ?? [fabric.hookMm])
        for (const fit of ask.fits ?? FITS.map(({ id }) => id))
          found.push({ ...way(candidate(plan, shape, fabric, hookMm, fit)), ...hasAll(ask, fabric, hookMm) });
    const ordered = [...found].sort((a, b) => byWorth(a, b, plan.fit.name));
    yield { ways: { format: WAYS_FORMAT, ways: ordered }, done: index + 1, of: shapes.length };
  }
}

/** The plan with another shape, hook, fit: picks fall away, and fittings that cannot stay; a gauge keeps the hook it was taken on. */
function candidate(plan: Plan, shape: string, fabric: FabricSpec, hookMm: number, fit: FitName): Plan {
  const { picks: _picks, ...rest } = withShape(plan, shape);
  return {
    ...rest,
    fabric: onHook(fabric, hookMm),
    fit: plan.fit.name === fit ? plan.fit : { name: fit },
  };
}

/** Whether a way's hook and yarn are at hand; the plan’s own are, for they were chosen. */
function hasAll({ plan, atHand = {} }: WaysAsk, fabric: FabricSpec, hookMm: number): Pick<Way, 'atHand'> {
  const name = yarnOf(fabric).name;
  const isOther = { hook: hookMm !== plan.fabric.hookMm, yarn: name !== yarnOf(plan.fabric).name };
  const { hooksMm = [], yarns = [] } = atHand;
  // of what nobody told of nothing is said
  if ((isOther.hook && hooksMm.length === 0) || (isOther.yarn && yarns.length === 0)) return {};
  const hook = !isOther.hook || hasHook(atHand, hookMm);
  return { atHand: hook && (!isOther.yarn || yarns.some((one) => one.name === name)) };
}

function way(plan: Plan): Way {
  const shape = shapeDefinition(plan.shape.kind)!;
  const named = {
    shape: shape.id,
    fit: plan.fit.name,
    hookMm: plan.fabric.hookMm,
    stitch: plan.fabric.stitch,
    yarn: yarnOf(plan.fabric).name ?? '',
  };
  try {
    const out = workOut(plan);
    const { yarn, time } = suppliesOf(plan, out, stepsAfter(out));
    const piece = out.built.pieces[0]!;
    const { share } = chanceOfFit(chanceInputs(out), seedOf(plan), RANK_DRAWS);
    const view = out.built.views[0];
    return {
      possible: true,
      ...named,
      why: shape.why,
      ...butOf(plan, out),
      plan,
      chance: share,
      metres: yarn.metres.value,
      grams: yarn.grams.value,
      enough: yarn.enough,
      minutes: time.value,
      cover: out.fabric.cover.value,
      stitches: piece.stitches,
      rows: piece.rows,
      summary: wordText(piece.summary, out.schools),
      ...(view ? { view } : {}),
    };
  } catch (error) {
    if (!(error instanceof PlanProblem)) throw error;
    const { terms = 'US', units = 'mm' } = plan.schools ?? {};
    return { possible: false, ...named, why: wordText(error.errors[0]!.message, { terms, units }) };
  }
}

/** What a way is warned of that another need not be: what a shape is not meant for, and what the fabric lets through. */
const SPEAK_AGAINST = ['pokes-through', 'falls-through', 'no-count-fits'];

function butOf(plan: Plan, out: WorkedOut): Pick<Way, 'but'> {
  const caveat = out.shape.caveat?.(out.thing);
  const warned = findings(plan, out).find(({ id }) => SPEAK_AGAINST.includes(id))?.text;
  const but = caveat ?? warned;
  return but === undefined ? {} : { but: wordText(but, out.schools) };
}

/** Below this chance a way is no better for being at hand (ours). */
const GOOD = 0.5;

/** Chances nearer than this are alike, and yarn, time and firmness decide. */
const ALIKE = 0.02;

/** What can be made first; within the fit that is wanted before others; what nothing speaks against before what something does; what is at hand before what is to be bought. */
function byWorth(a: Way, b: Way, wanted: FitName): number {
  if (a.possible !== b.possible) return a.possible ? -1 : 1;
  if (!a.possible) return 0;
  if ((a.fit === wanted) !== (b.fit === wanted)) return a.fit === wanted ? -1 : 1;
  if ((a.but === undefined) !== (b.but === undefined)) return a.but === undefined ? -1 : 1;
  const [ha, hb] = [a, b].map(({ atHand, chance }) => atHand !== false && chance! >= GOOD);
  if (ha !== hb) return ha ? -1 : 1;
  const [ca, cb] = [Math.round(a.chance! / ALIKE), Math.round(b.chance! / ALIKE)];
  if (ca !== cb) return cb - ca;
  const [ea, eb] = [a.enough ?? 0.5, b.enough ?? 0.5].map((share) => (share > 0.9 ? 1 : share < 0.5 ? -1 : 0));
  if (ea !== eb) return eb! - ea!;
  return a.minutes! - b.minutes! || b.cover! - a.cover!;
}
