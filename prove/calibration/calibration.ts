import { writeFileSync } from 'node:fs';
import type { Plan, Worked } from '@keep-snug/core';
import type { Proof } from '../proof';
import { made, SHAPES, wayOf, type Shaped } from './made';
import { diceOf, type Dice } from './random';
import { drawTruth, measureSwatch, read, type Truth, type World } from './truth';
import { FIT_NAMES, fits, type Fit } from './verdict';

/** The program's two doors that are held against each other: what it plans, and how sure it says it is. */
interface Doors {
  reckon: (plan: Plan) => Worked;
  chance: (plan: Plan, draws?: number) => { share: number };
}

/** Plans drawn in all, and draws for each stated chance. */
const PLANS = 12_000;
const DRAWS = 2_000;
const SEED = 20_261;

/** Stretch of single, around and upwards (handbook 2.2). */
const STRETCH = { across: 0.08, along: 0.06 };

interface Trial {
  shape: string;
  stated: number;
  fitted: boolean;
}

/** Of one tenth of stated chances: how many plans, what was said of them in the mean, how many fitted. */
interface Tenth {
  plans: number;
  stated: number;
  fitted: number;
}

const PLAIN: World = { wider: 1, bias: 0 };

/** What is told beside it: that it only holds while the priors and the tapes are right. */
const WORLDS: readonly { name: string; world: World }[] = [
  { name: 'as the handbook has it', world: PLAIN },
  { name: 'hands, pieces and yarns 1.5 times as unlike', world: { ...PLAIN, wider: 1.5 } },
  { name: 'every ruler 2 % short', world: { ...PLAIN, bias: 0.02 } },
];

/** A thing, a fabric and a wish; the plan of them from what its maker measured, and what becomes of it. */
function trial(doors: Doors, dice: Dice, world: World): Trial | undefined {
  const how: Shaped = { shape: dice.oneOf(SHAPES), edging: 0, join: dice.oneOf(['whip', 'slip']) };
  const edged = how.shape === 'two-panels' || (how.shape === 'strip-across' && dice.uniform() < 0.3);
  how.edging = edged ? 1 + Math.floor(2 * dice.uniform()) : 0;
  const fit: Fit = dice.oneOf(FIT_NAMES);
  const thing = { width: dice.between(50, 160), height: dice.between(70, 220), depth: dice.between(5, 35) };
  const yarn = { metresPer100g: Math.round(dice.between(110, 320)) };
  const hookMm = dice.oneOf([3, 3.5, 4, 4.5, 5]);
  const base: Plan = {
    format: 'keep-snug.plan/1',
    title: 'drawn',
    thing: { kind: 'slab', width: { mm: thing.width }, height: { mm: thing.height }, depth: { mm: thing.depth } },
    fabric: { stitch: 'single', hookMm, yarn },
    shape: { kind: how.shape, ...(how.edging > 0 ? { edging: how.edging } : {}), ...joined(how) },
    fit: { name: fit },
  };
  const { stitchWidth, thickness } = doors.reckon(base).fabric;
  const usual = {
    w: stitchWidth.value,
    way: wayOf(how.shape),
    t: thickness.value,
    tSpread: thickness.sd! / thickness.value,
  };
  const truth = drawTruth(dice, world, usual, thing);
  const plan = measured(base, truth, dice, world);
  const worked = doors.reckon(plan);
  const { share } = doors.chance(plan, DRAWS);
  const stretch = how.shape === 'strip-along' ? STRETCH.along : STRETCH.across;
  return { shape: how.shape, stated: share, fitted: fits(made(worked, truth, how), truth, fit, stretch) };
}

const joined = ({ shape, join }: Shaped) => (shape === 'strip-across' || shape === 'strip-along' ? { join } : {});

/** The plan as its maker measured: thing and swatch, or no swatch, by tape or calliper, by edges or whole stitches. */
function measured(base: Plan, truth: Truth, dice: Dice, world: World): Plan {
  const by = dice.oneOf(['ruler', 'calliper'] as const);
  const measure = (mm: number) => ({ mm: Math.max(1, read(dice, world, by, mm)), by });
  const { width, height, depth } = truth.thing;
  const thing = { kind: 'slab', width: measure(width), height: measure(height), depth: measure(depth) };
  const swatched = dice.uniform() < 0.7;
  if (!swatched) return { ...base, thing };
  const counting = dice.oneOf(['edges', 'whole'] as const);
  const gauge = {
    stitches: [measureSwatch(dice, world, truth.swatch.w, counting)],
    rows: [measureSwatch(dice, world, truth.swatch.h, counting)],
  };
  return { ...base, thing, fabric: { ...base.fabric, gauge } };
}

function drawn(doors: Doors, world: World, plans: number): Trial[] {
  const dice = diceOf(SEED);
  const all: Trial[] = [];
  for (let index = 0; index < plans; index += 1) {
    try {
      all.push(trial(doors, dice, world)!);
    } catch (error) {
      // what cannot be made is refused, and tells nothing of chances
      if (!(error instanceof Error) || !('errors' in error)) throw error;
    }
  }
  return all;
}

function byTenths(trials: readonly Trial[]): Tenth[] {
  return Array.from({ length: 10 }, (_, tenth) => {
    const of = trials.filter(({ stated }) => Math.min(9, Math.floor(10 * stated)) === tenth);
    const sum = (value: (one: Trial) => number) => of.reduce((all, one) => all + value(one), 0);
    return {
      plans: of.length,
      stated: of.length > 0 ? sum(({ stated }) => stated) / of.length : 0,
      fitted: of.length > 0 ? sum(({ fitted }) => Number(fitted)) / of.length : 0,
    };
  });
}

/** How far a share of so many may lie from what is said of it by chance alone: `times` standard deviations, and half a plan. */
const band = ({ plans, stated }: Tenth, times: number): number =>
  times * Math.sqrt((stated * (1 - stated)) / plans) + 0.5 / plans;

/** 95 times in 100; of the small sample that every check runs, 999 in 1000, so that what it finds is there. */
const WITHIN = { whole: 1.96, sample: 3.29 } as const;

/** A tenth of fewer plans tells nothing. */
const LEAST_PLANS = 30;

interface Told {
  /** Lines of the table as it stands in the documents. */
  lines: string[];
  missed: string[];
  plans: number;
}

/** What is said against what is so: tenth by tenth for each world, and shape by shape for the handbook's own. */
function told(doors: Doors, share: number): Told {
  const times = share === 1 ? WITHIN.whole : WITHIN.sample;
  const [handbook, ...others] = WORLDS.map(({ name, world }, index) => ({
    name,
    trials: drawn(doors, world, Math.round((index === 0 ? PLANS : PLANS / 4) * share)),
  }));
  const tenths = byTenths(handbook!.trials);
  const missed = tenths.flatMap((tenth, at) =>
    tenth.plans >= LEAST_PLANS && Math.abs(tenth.fitted - tenth.stated) > band(tenth, times) ? [spanOf(at)] : [],
  );
  const beside = others.map(({ name, trials }) => ({ name, tenths: byTenths(trials) }));
  const lines = [
    `| said, in 100 | plans | said | fitted | by chance ± | ${beside.map(({ name }) => name).join(' | ')} |`,
    `| --- | --- | --- | --- | --- | ${beside.map(() => '---').join(' | ')} |`,
    ...tenths.flatMap((tenth, at) => {
      if (tenth.plans < LEAST_PLANS) return [];
      const elsewhere = beside.map((one) =>
        one.tenths[at]!.plans < LEAST_PLANS ? '' : percent(one.tenths[at]!.fitted),
      );
      const here = [spanOf(at), tenth.plans, percent(tenth.stated), percent(tenth.fitted), percent(band(tenth, times))];
      return [`| ${[...here, ...elsewhere].join(' | ')} |`];
    }),
    '',
    '| shape | plans | said | fitted |',
    '| --- | --- | --- | --- |',
    ...SHAPES.map((shape) => {
      const of = handbook!.trials.filter((one) => one.shape === shape);
      const stated = of.reduce((sum, one) => sum + one.stated, 0) / of.length;
      return `| ${shape} | ${of.length} | ${percent(stated)} | ${percent(of.filter((one) => one.fitted).length / of.length)} |`;
    }),
  ];
  return { lines, missed, plans: handbook!.trials.length };
}

const spanOf = (tenth: number) => `${10 * tenth} to ${10 * tenth + 10}`;

const percent = (share: number) => (100 * share).toFixed(1);

/** The table as the documents hold it. */
const TABLE = new URL('table.md', import.meta.url);

export const calibration: Proof = {
  id: 'calibration',
  says: 'of plans said to fit so many times in a hundred, so many do',
  run: async ({ share }) => {
    const doors = (await import(new URL('../../core/.cache/core.mjs', import.meta.url).href)) as Doors;
    const { lines, missed, plans } = told(doors, share);
    if (share === 1) {
      console.log(lines.join('\n'));
      writeFileSync(TABLE, `${lines.join('\n')}\n`);
    }
    if (missed.length > 0) throw new Error(`farther off than chance has it: ${missed.join('; ')}`);
    return `${plans} plans, every tenth within what chance has it`;
  },
};
