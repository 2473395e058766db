import { diceOf, type Dice } from './calibration/random';
import { SCENES, type Scene } from './calibration/scenes';
import { drawFabric, read } from './calibration/truth';
import { FIT_NAMES } from './calibration/verdict';
import type { Proof } from './proof';
import { asAdvised, DRIFT, finishedOn, itFits, OTHER_HOOK, reckoned, withTape, WORLD, type Doors } from './taping';

/** Makers of each shape, none of whom worked a swatch: chance moves the share of so many by 3 in 100. */
const MAKERS = 120;
/** As many of each in the checks. */
const SAMPLED = 3;
const SEED = 4_711;
const SHAPES = SCENES.map(({ id }) => id);

/** So many in 100 of each shape fit with the tape, at the least. */
const LEAST = 85;
/** As far below as so few makers may come by chance. */
const LUCK = 8;

/** Some of each shape whose tension drifts by so much within a make; what is said of them is held to what they had. */
const DRIFTERS = 20;
const MUCH_DRIFT = 0.08;
const HONEST_WITHIN = 5;

interface Tried {
  shape: string;
  without: boolean;
  mended: boolean;
  /** Times the work was pulled out. */
  ripped: number;
  /** The chance that was told last. */
  said: number | undefined;
}

/** One maker: the plan followed blindly, and the same with the tape in hand. */
function tried(doors: Doors, scene: Scene, dice: Dice, drift = DRIFT): Tried | undefined {
  const drawn = scene.draw(dice);
  const fit = dice.oneOf(FIT_NAMES);
  const plan = asAdvised(doors, {
    format: 'keep-snug.plan/1',
    title: 'drawn',
    ...drawn.plan,
    thing: drawn.typed((mm) => ({ mm: Math.max(1, read(dice, WORLD, 'ruler', mm)), by: 'ruler' })),
    fabric: {
      stitch: scene.stitch,
      hookMm: dice.oneOf([3, 3.5, 4, 4.5, 5]),
      yarn: { metresPer100g: Math.round(dice.between(110, 320)) },
    },
    fit: { name: fit },
  });
  const worked = reckoned(doors, plan);
  // who is warned to take another shape does
  if (!worked || worked.advice.some(({ severity, change }) => severity === 'warning' && change && 'shape' in change))
    return undefined;
  const { stitchWidth, rowHeight, thickness } = worked.fabric;
  const truth = drawFabric(dice, WORLD, {
    w: stitchWidth.value,
    h: rowHeight.value,
    way: scene.way,
    single: scene.stitch === 'single',
    t: thickness.value,
    tSpread: thickness.sd! / thickness.value,
  });
  const strays = Math.exp(OTHER_HOOK * dice.normal());
  const made = withTape(doors, plan, { truth, strays, drift }, scene, dice);
  return {
    shape: scene.id,
    without: itFits(drawn, { worked, plan }, truth, fit, scene),
    mended: itFits(drawn, made, finishedOn(truth, made, strays), fit, scene),
    ripped: made.ripped,
    said: made.said,
  };
}

export const makers: Proof = {
  id: 'makers',
  says: 'makers without a swatch who mend by the tape make what fits',
  run: async ({ share }) => {
    const doors = (await import(new URL('../core/.cache/core.mjs', import.meta.url).href)) as Doors;
    const dice = diceOf(SEED);
    const all: Tried[] = [];
    for (const shape of SHAPES) {
      const scene = SCENES.find(({ id }) => id === shape)!;
      for (let maker = 0; maker < (share < 1 ? SAMPLED : MAKERS); maker += 1) {
        const one = tried(doors, scene, dice);
        if (one) all.push(one);
      }
    }
    const inHundred = (of: readonly Tried[], what: 'without' | 'mended') =>
      Math.round((100 * of.filter((one) => one[what]).length) / of.length);
    if (share === 1)
      for (const shape of SHAPES) {
        const of = all.filter((one) => one.shape === shape);
        const rips = of.reduce((sum, { ripped }) => sum + ripped, 0) / of.length;
        if (inHundred(of, 'mended') < LEAST - LUCK)
          throw new Error(`${shape}: ${inHundred(of, 'mended')} in 100 fit with the tape, and ${LEAST} is the least`);
        console.log(
          `  ${shape}: ${inHundred(of, 'without')} in 100 without, ${inHundred(of, 'mended')} with the tape, pulled out ${rips.toFixed(2)} times each`,
        );
      }
    const drifting = SHAPES.flatMap((shape) =>
      Array.from({ length: share < 1 ? 0 : DRIFTERS }, () =>
        tried(
          doors,
          SCENES.find(({ id }) => id === shape)!,
          dice,
          MUCH_DRIFT,
        ),
      ),
    );
    const honest = [all, drifting.flatMap((one) => one ?? [])].map((of) => {
      const asked = of.filter(({ said }) => said !== undefined);
      return {
        said: Math.round((100 * asked.reduce((sum, { said }) => sum + said!, 0)) / asked.length),
        had: inHundred(asked, 'mended'),
      };
    });
    if (share === 1)
      for (const [at, { said, had }] of honest.entries()) {
        console.log(`  ${at === 0 ? 'usually' : 'drifting by 8 %'}: said ${said}, had ${had} in 100`);
        if (Math.abs(said - had) > HONEST_WITHIN) throw new Error(`said ${said}, had ${had} in 100`);
      }
    const [without, mended] = [inHundred(all, 'without'), inHundred(all, 'mended')];
    if (mended < without + 20) throw new Error(`${mended} in 100 fit with the tape, ${without} without`);
    return `${all.length} makers: ${without} in 100 fit without, ${mended} with the tape`;
  },
};
