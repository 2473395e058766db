import { attempt, reckon, type Plan, type Worked } from '@keep-snug/core';
import { checkPlan } from '@keep-snug/core/formats';
import type { Proof } from '../proof';
import { sizesOf, thingOf, type Counts, type Sizes } from './derive';
import { AUDITED, planFor, type AuditPlan } from './plans';
import { misses } from './judged';

const PLANS = 3000;
/** Sizes nearer than this are the same, mm. */
const ALIKE_MM = 0.5;
/** So many of them can be worked at the least: a refusal is an answer too, but proves no size. */
const WORKED = 0.95;

/** What is said of a plan that does not fit. */
const MISFITS = ['no-count-fits', 'does-not-cover', 'too-deep', 'base-unlike-wall', 'clusters-too-tall'];

/** Of which section the depth is told. */
const FRONT: Readonly<Record<string, string>> = { 'disc-wall': 'wall' };

function countsOf({ shape }: AuditPlan, { pieces }: Worked): Counts {
  const [body] = pieces;
  // a belt pouch is as deep as its inner pocket
  const holds = shape.kind === 'layered' ? pieces.find(({ id }) => id.startsWith('pocket'))! : body!;
  const front = holds.sections.find(({ name }) => name === (FRONT[shape.kind] ?? 'front'));
  // worked sideways a front is so many stitches
  const across = shape.kind === 'strip-along' ? front?.stitches : front?.rows;
  return { stitches: body!.stitches, rows: body!.rows, front: across ?? 0 };
}

/** What is wrong of one plan; nothing where all agrees, or it was refused. */
function faultOf(plan: AuditPlan): string | undefined | 'refused' {
  const checked = checkPlan(plan);
  if (!checked.ok) return `form: ${checked.errors[0]!.path} ${checked.errors[0]!.message}`;
  const tried = attempt(() => reckon(plan as unknown as Plan));
  if (!tried.ok) return 'refused';
  const worked = tried.value;
  const thing = thingOf(plan);
  const own = sizesOf(plan, countsOf(plan, worked));
  const told: Sizes = { girth: worked.inside.girth.value, depth: worked.inside.depth.value };
  const wrong = [
    ['girth of the thing', thing.girth, worked.thing.girth.value] as const,
    ['inside around', own.girth, told.girth] as const,
    ['inside depth', own.depth, told.depth] as const,
  ].find(([, mine, theirs]) => Math.abs(mine - theirs) > ALIKE_MM);
  if (wrong) return `${wrong[0]} ${wrong[2].toFixed(1)}, derived ${wrong[1].toFixed(1)} mm`;
  const missed = misses(plan, own, thing);
  if (missed && !worked.advice.some(({ id }) => MISFITS.includes(id))) return `${missed}, and nothing is said`;
  return undefined;
}

/** Sizes derived a second time, by another hand, from thing and counts alone. */
export const audit: Proof = {
  id: 'audit',
  says: 'inside sizes agree with those derived apart, over joins, borders, bands, stripes and edged mouths, and no misfit is silent',
  run: ({ share }) => {
    const each = Math.ceil((PLANS * share) / AUDITED.length);
    const all = AUDITED.flatMap((shape) =>
      Array.from({ length: each }, (_, index) => planFor(shape, 977 * index + 13)).map((plan) => ({
        plan,
        fault: faultOf(plan),
      })),
    );
    const refused = all.filter(({ fault }) => fault === 'refused').length;
    const wrong = all.filter(({ fault }) => fault !== undefined && fault !== 'refused');
    if (wrong.length > 0) {
      const [{ plan, fault }] = wrong as [(typeof wrong)[number]];
      throw new Error(`${wrong.length} of ${all.length}: ${fault} (${JSON.stringify(plan)})`);
    }
    if (refused > (1 - WORKED) * all.length) throw new Error(`${refused} of ${all.length} were refused`);
    return Promise.resolve(`0 wrong of ${all.length}, ${refused} refused`);
  },
};
