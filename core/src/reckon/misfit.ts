import { hookChange, mayBeProposed, stitchDefinition } from '../craft/fabric';
import { attempted, type Advice } from '../base/figure';
import { chanceInputs } from './chanceInputs';
import { FITS, missedAsPlanned, type Verdict } from '../craft/fit';
import type { Plan } from '../plan/plan';
import { applyChange } from '../plan/change';
import { hasHook, hookAtHandFor, hooksBeside, yarnsBeside } from '../plan/atHand';
import { shapeDefinition, SHAPES, type Choice, type ChoiceOption } from '../shapes';
import { capital, formatNumber, mmToken, withArticle } from '../base/units';
import type { WorkedOut } from './types';
import { workOut } from './build';
import { otherEdgings } from '../shapes/common/edgingField';

/** One change of a plan after which its counts fit. */
interface WouldFit {
  /** As an instruction, without its full stop: "use a 3.5 mm hook". */
  text: string;
  change: Record<string, unknown>;
  plan: Plan;
  out: WorkedOut;
}

interface Misfit {
  choice: Choice;
  option: ChoiceOption;
}

/** A change to be tried: in words, and as entries of the plan. */
interface Trial {
  text: string;
  change: Record<string, unknown>;
}

/** How far from the plan's own hook others are tried, the nearest first, mm (ours). */
const HOOK_STEPS = [-0.5, 0.5, -1, 1, -1.5, 1.5, -2, 2, 3, -3];
const FURTHEST_HOOK = 3;

/** The choices whose best count, in force, does not fit; a count that was picked is answered for where it is picked. */
function misfits({ choices }: WorkedOut['built']): Misfit[] {
  return choices.flatMap((choice) => {
    const option = choice.options.find((one) => one.chosen)!;
    return option.best && option.verdict !== 'fits' ? [{ choice, option }] : [];
  });
}

/** Whether no whole count of a plan fits as it is. */
const noCountFits = ({ built }: WorkedOut): boolean => misfits(built).length > 0;

/**
 * What the rest of it misses though its counts fit: it does not cover, is too deep, or its base does not suit its wall; where
 * no count was picked, which is answered for where it is picked.
 */
function missed(plan: Plan, out: WorkedOut): ReturnType<typeof missedAsPlanned> {
  if (noCountFits(out) || Object.keys(plan.picks ?? {}).length > 0) return undefined;
  return missedAsPlanned(chanceInputs(out));
}

/** Whether a plan does not fit though everything comes out as planned. */
export const isMisfit = (plan: Plan, out: WorkedOut): boolean => noCountFits(out) || missed(plan, out) !== undefined;

/**
 * What would make a plan fit whose best counts do not: the nearest hook, an edging, another fit, another stitch, another yarn of
 * those there are, and where none of them does another shape, each only where it truly does; hooks that are at hand before others
 * (handbook 3: silence is a defect).
 */
export function whatWouldFit(plan: Plan): WouldFit[] {
  const found = [hookTrials, edgingTrials, growthTrials, fitTrials, stitchTrials, yarnTrials].flatMap(
    (trials) => firstThatFits(plan, trials(plan)) ?? [],
  );
  return found.length > 0 ? found : [firstThatFits(plan, shapeTrials(plan)) ?? []].flat();
}

function firstThatFits(plan: Plan, trials: readonly Trial[]): WouldFit | undefined {
  for (const trial of trials) {
    const next = applyChange(plan, trial.change);
    const out = attempted(() => workOut(next));
    if (out && !isMisfit(next, out) && !isDoubted(out)) return { ...trial, plan: next, out };
  }
  return undefined;
}

/** Whether a shape goes on saying of a piece what is said of one of groups that is too deep: its own limit is the nearer one. */
function isDoubted({ built: { advice } }: WorkedOut): boolean {
  const ids = SAID_BY_SHAPE['too-deep'] ?? [];
  return advice.some(({ id }) => ids.includes(id));
}

function hookTrials({ fabric, atHand = {} }: Plan): Trial[] {
  const owned = hooksBeside(atHand, fabric.hookMm, FURTHEST_HOOK);
  const others = HOOK_STEPS.map((step) => fabric.hookMm + step).filter(
    (mm) => mayBeProposed(mm) && !hasHook(atHand, mm),
  );
  const trial = (mm: number, has: string): Trial => ({
    text: `use ${withArticle(`${formatNumber(mm, 2)} mm hook`)}${has}`,
    change: hookChange(fabric, mm),
  });
  return [...owned.map((mm) => trial(mm, ', which you have')), ...others.map((mm) => trial(mm, ''))];
}

/** Another yarn of those at hand, on a hook that suits it: one at hand where one is near. */
function yarnTrials({ fabric, atHand = {} }: Plan): Trial[] {
  // what is held together, has bands, or is a pattern of the maker’s own was chosen for its yarn
  if (fabric.yarns || fabric.bands || stitchDefinition(fabric.stitch)!.wantsSwatch) return [];
  return yarnsBeside(atHand, fabric).map((yarn) => {
    const hookMm = hookAtHandFor(yarn, atHand);
    return {
      text: `work it in ${yarn.name ?? 'another yarn'}, which you have, on ${withArticle(`${formatNumber(hookMm, 2)} mm hook`)}`,
      change: {
        'fabric.yarn': yarn,
        'fabric.hookMm': hookMm,
        'fabric.gauge': undefined,
        'fabric.weighed': undefined,
        'fabric.hand': undefined,
      },
    };
  });
}

function edgingTrials({ shape }: Plan): Trial[] {
  const edging = otherEdgings(shapeDefinition(shape.kind)!.options, shape.edging, [1, -1, 2, -2]);
  return (edging?.others ?? []).map((rounds) => ({
    text: rounds === 0 ? 'leave out the edging' : `work an edging of ${rounds === 1 ? '1 round' : `${rounds} rounds`}`,
    change: edging!.change(rounds),
  }));
}

/** A base grows by another number in each round, where it is asked for one. */
function growthTrials({ shape }: Plan): Trial[] {
  if (!shapeDefinition(shape.kind)!.options.some(({ key }) => key === 'each')) return [];
  // whoever typed every round means it so
  if (shape.counts !== undefined)
    return [
      { text: 'say of the base that it is meant to lie so', change: { 'shape.cupped': 'on-purpose' } },
      { text: 'leave the rounds of the base to the program', change: { 'shape.counts': undefined } },
    ];
  return [...(shape.each === undefined ? [] : [undefined]), 6, 7, 5, 8, 12, 10].map((each) => ({
    text:
      each === undefined
        ? 'leave the increases of the base to the program'
        : `work ${each} stitches more in each round of the base`,
    change: { 'shape.each': each, 'shape.start': each },
  }));
}

/** Other shapes, as they are proposed. */
function shapeTrials({ shape }: Plan): Trial[] {
  return SHAPES.filter(({ id }) => id !== shape.kind).map(({ id, name }) => ({
    text: `use the shape “${name}”`,
    change: { shape: { kind: id } },
  }));
}

function fitTrials({ fit }: Plan): Trial[] {
  // what was typed for one fit is not meant for another
  const typed = Object.fromEntries(
    ['easePercent', 'easeMm'].flatMap((key) => (key in fit ? [[`fit.${key}`, undefined]] : [])),
  );
  return FITS.filter(({ id }) => id !== fit.name).map(({ id, name }) => ({
    text: `choose the fit “${name}”`,
    change: { 'fit.name': id, ...typed },
  }));
}

/** Stitches of another width, without a repeat to obey. */
const PLAIN = ['single', 'half-double', 'double'] as const;

function stitchTrials({ fabric }: Plan): Trial[] {
  // a swatch in one stitch is not one in another, and bands have their own
  if (fabric.bands) return [];
  return PLAIN.filter((id) => id !== fabric.stitch).map((id) => ({
    text: `work it in {${id}}`,
    change: { 'fabric.stitch': id, 'fabric.pattern': undefined, ...gaugeUnder(fabric) },
  }));
}

/** What was measured stays, under the name of the stitch it was worked in. */
function gaugeUnder({ stitch, pattern, gauge }: Plan['fabric']): Record<string, unknown> {
  if (!gauge || gauge.stitch !== undefined) return {};
  return { 'fabric.gauge.stitch': stitch, ...(pattern ? { 'fabric.gauge.pattern': pattern } : {}) };
}

const COMES: Readonly<Record<Exclude<Verdict, 'fits'>, string>> = { tight: 'too tight', loose: 'too loose' };

/** Says that no whole count fits, or what the rest of the piece misses, and what would. */
export function misfitAdvice(plan: Plan, out: WorkedOut): Advice[] {
  const [first] = misfits(out.built);
  const misses = missed(plan, out);
  const told = first ? countTold(plan, first) : misses ? TOLD[misses](out) : undefined;
  if (!told) return [];
  const [best, ...more] = whatWouldFit(plan);
  const others = more.map(({ text }) => text);
  return [
    {
      ...told,
      severity: 'warning',
      repair: best ? `${capital(best.text)}${others.length > 0 ? `, or ${others.join(', or ')}` : ''}.` : told.repair,
      ...(best ? { change: best.change } : {}),
    },
  ];
}

/** What a shape says of the same by itself: told in its words, which know why, and with the change that was tried. */
const SAID_BY_SHAPE: Readonly<Record<string, readonly string[]>> = {
  'too-deep': ['clusters-too-tall'],
  'base-unlike-wall': ['base-cups', 'base-ruffles', 'base-against-wall', 'floor-against-wall'],
};

/** All advice on a plan, what there is to say of fitting as a whole first. */
export function withMisfit(plan: Plan, out: WorkedOut, advice: readonly Advice[]): Advice[] {
  return misfitAdvice(plan, out).reduce<Advice[]>(
    (others, found) => {
      const ids = SAID_BY_SHAPE[found.id] ?? [];
      const said = others.find(({ id }) => ids.includes(id));
      const own = said ? { ...found, id: said.id, text: said.text } : found;
      return [own, ...others.filter(({ id }) => !ids.includes(id))];
    },
    [...advice],
  );
}

/** What is said of a misfit, and what to do where no change of the plan was found. */
type Told = Pick<Advice, 'id' | 'text' | 'repair' | 'at'>;

const countTold = ({ fit }: Plan, { choice, option }: Misfit): Told => ({
  id: 'no-count-fits',
  text: `No whole count fits: ${option.count} ${choice.noun} come out ${Math.abs(Math.round(100 * option.easeShare))} % ${option.easeShare < 0 ? 'smaller' : 'larger'} than the item, ${COMES[option.verdict as 'tight' | 'loose']} for “${fit.name}”.`,
  repair: 'Choose a thinner yarn: its smaller stitches come nearer to what is asked.',
  at: `picks.${choice.id}`,
});

const OTHER_YARN = 'Choose another yarn, whose rows come nearer to what is asked, or another shape.';

const TOLD: Readonly<Record<NonNullable<ReturnType<typeof missedAsPlanned>>, (out: WorkedOut) => Told>> = {
  short: ({ built, thing }) => ({
    id: 'does-not-cover',
    text: `It comes out ${mmToken(built.inside.depth.value)} deep inside, and the item is ${mmToken(thing.height.value)} high: it stands out of it.`,
    repair: OTHER_YARN,
    at: 'shape.kind',
  }),
  deep: ({ built, thing }) => ({
    id: 'too-deep',
    text: `It comes out ${mmToken(built.inside.depth.value)} deep inside, and the item is ${mmToken(thing.height.value)} high: it drops out of reach.`,
    repair: OTHER_YARN,
    at: 'shape.kind',
  }),
  base: () => ({
    id: 'base-unlike-wall',
    text: 'The base does not lie flat and as large round as the wall: it cups or ruffles.',
    repair: 'Work the base on another hook until it lies flat, and measure it before the wall.',
    at: 'shape.kind',
  }),
  strap: () => ({
    id: 'strap-short',
    text: 'The strap does not reach as far round as was measured.',
    repair: 'Measure the loop again, or hang the load on the strap and type what it grew.',
    at: 'fittings',
  }),
};
