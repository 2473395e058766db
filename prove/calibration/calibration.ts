import { writeFileSync } from 'node:fs';
import type { Plan, Worked } from '@keep-snug/core';
import type { Proof } from '../proof';
import { diceOf, type Dice } from './random';
import { SCENES, type Measure, type Scene } from './scenes';
import { drawFabric, measureSwatch, read, type Fabric, type World } from './truth';
import { FIT_NAMES, fits } from './verdict';

/** The program's two doors that are held against each other: what it plans, and how sure it says it is. */
interface Doors {
  reckon: (plan: Plan) => Worked;
  chance: (plan: Plan, draws?: number) => { share: number };
}

/** Plans drawn in all, and draws for each stated chance. */
const PLANS = 24_000;
const DRAWS = 2_000;
const SEED = 20_261;

interface Trial {
  scene: string;
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
function trial(doors: Doors, scene: Scene, dice: Dice, world: World): Trial {
  const { thing, typed, plan: asked, made } = scene.draw(dice);
  const fit = dice.oneOf(FIT_NAMES);
  const yarn = { metresPer100g: Math.round(dice.between(110, 320)) };
  const fabric = { stitch: scene.stitch, hookMm: dice.oneOf([3, 3.5, 4, 4.5, 5]), yarn, ...asked.fabric };
  const by = dice.oneOf(['ruler', 'calliper'] as const);
  const measure: Measure = (mm) => ({ mm: Math.max(1, read(dice, world, by, mm)), by });
  const base: Plan = {
    format: 'keep-snug.plan/1',
    title: 'drawn',
    ...asked,
    thing: typed(measure),
    fabric,
    fit: { name: fit },
  };
  const { stitchWidth, rowHeight, thickness } = doors.reckon(base).fabric;
  const truth = drawFabric(dice, world, {
    w: stitchWidth.value,
    h: rowHeight.value,
    way: scene.way,
    single: scene.stitch === 'single',
    t: thickness.value,
    tSpread: thickness.sd! / thickness.value,
  });
  const plan =
    dice.uniform() < SWATCHED ? { ...base, fabric: { ...fabric, gauge: swatch(scene, truth, dice, world) } } : base;
  const worked = doors.reckon(plan);
  const { share } = doors.chance(plan, DRAWS);
  return { scene: scene.id, stated: share, fitted: fits(made(worked.steps, truth), thing, fit, scene.stretch) };
}

/** Makers who work a swatch, by their share. */
const SWATCHED = 0.7;

/** A swatch in rows, or in rounds of what has no rows; by edges or by whole stitches. */
function swatch({ stitch }: Scene, truth: Fabric, dice: Dice, world: World): Plan['fabric']['gauge'] {
  const counting = dice.oneOf(['edges', 'whole'] as const);
  const across = [measureSwatch(dice, world, truth.swatch.w, counting)];
  const up = [measureSwatch(dice, world, truth.swatch.h, counting)];
  return stitch === 'cluster' ? { roundStitches: across, rounds: up } : { stitches: across, rows: up };
}

function drawn(doors: Doors, world: World, plans: number): Trial[] {
  const dice = diceOf(SEED);
  const all: Trial[] = [];
  for (let index = 0; index < plans; index += 1) {
    try {
      all.push(trial(doors, dice.oneOf(SCENES), dice, world));
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

/** A tenth by itself lies within its band 95 times in 100: what the table shows. */
const OWN_BAND = 1.96;

/**
 * All ten together lie within theirs 95 times in 100, so that a run fails by chance once in twenty; of the small sample that
 * every check runs, 999 in 1000 each, so that what it finds is there.
 */
const WITHIN = { whole: 2.81, sample: 3.29 } as const;

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
      const here = [
        spanOf(at),
        tenth.plans,
        percent(tenth.stated),
        percent(tenth.fitted),
        percent(band(tenth, OWN_BAND)),
      ];
      return [`| ${[...here, ...elsewhere].join(' | ')} |`];
    }),
    '',
    '| of what | plans | said | fitted | by chance ± |',
    '| --- | --- | --- | --- | --- |',
    ...SCENES.map(({ id }) => {
      const of = handbook!.trials.filter((one) => one.scene === id);
      const stated = of.reduce((sum, one) => sum + one.stated, 0) / of.length;
      const fitted = of.filter((one) => one.fitted).length / of.length;
      const chance = band({ plans: of.length, stated, fitted }, OWN_BAND);
      return `| ${[id, of.length, percent(stated), percent(fitted), percent(chance)].join(' | ')} |`;
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
