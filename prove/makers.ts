import type { Happening, KeptEvent, Mended, MendChoice, Plan, Worked } from '@keep-snug/core';
import { diceOf, type Dice } from './calibration/random';
import { SCENES, type Drawn, type Scene } from './calibration/scenes';
import { drawFabric, read, type Fabric, type World } from './calibration/truth';
import { FIT_NAMES, fits, type Fit } from './calibration/verdict';
import type { Proof } from './proof';

interface Doors {
  reckon: (plan: Plan) => Worked;
  mend: (plan: Plan, events: readonly KeptEvent[]) => Mended;
}

/** Makers of each shape, none of whom worked a swatch. */
const MAKERS = 60;
const SEED = 4_711;
const SHAPES = SCENES.map(({ id }) => id);

/** So many in 100 fit with the tape, of each shape where all are run: of groups a round is so wide that often none fits. */
const LEAST: Readonly<Record<string, number>> = { 'cluster-panels': 60 };
const LEAST_USUALLY = 85;
/** As far below as so few makers may come by chance. */
const LUCK = 8;

const WORLD: World = { wider: 1, bias: 0 };

/** A piece drifts by so much from its beginning to its end, and its first course lies so much wider. */
const DRIFT = 0.01;
const FIRST_WIDER = 0.02;

/** Besides, each course at which a width is taken strays by so much (handbook 2.1). */
const STRAYS = 0.015;

/** They measure after the first course and every so often. */
const EVERY_MM = 40;

/** What is taken: the ways of which these pieces can be built; of each shape. */
const COUNTS = /^(carry-on|rows-to-come|(change|other)-count)$/;
const isTaken = (id: string, { mends }: Scene): boolean => COUNTS.test(id) || (mends?.test(id) ?? false);

interface Tried {
  shape: string;
  without: boolean;
  mended: boolean;
  /** Times the work was pulled out. */
  ripped: number;
}

/** A plan reckoned; nothing where it is refused: nobody makes it. */
function reckoned({ reckon }: Doors, plan: Plan): Worked | undefined {
  try {
    return reckon(plan);
  } catch (error) {
    if (!(error instanceof Error) || !('errors' in error)) throw error;
    return undefined;
  }
}

/** One maker: the plan followed blindly, and the same with the tape in hand. */
function tried(doors: Doors, scene: Scene, dice: Dice): Tried | undefined {
  const drawn = scene.draw(dice);
  const fit = dice.oneOf(FIT_NAMES);
  const plan: Plan = {
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
  };
  const worked = reckoned(doors, plan);
  if (!worked) return undefined;
  const { stitchWidth, rowHeight, thickness } = worked.fabric;
  const truth = drawFabric(dice, WORLD, {
    w: stitchWidth.value,
    h: rowHeight.value,
    way: scene.way,
    single: true,
    t: thickness.value,
    tSpread: thickness.sd! / thickness.value,
  });
  const strays = Math.exp(OTHER_HOOK * dice.normal());
  const made = withTape(doors, plan, { truth, strays }, scene, dice);
  return {
    shape: scene.id,
    without: itFits(drawn, { worked, plan }, truth, fit, scene),
    mended: itFits(drawn, made, finishedOn(truth, made, strays), fit, scene),
    ripped: made.ripped,
  };
}

/** A plan as it was followed to its end. */
interface Followed {
  worked: Worked;
  plan: Plan;
}

const itFits = (
  { made, thing }: Drawn,
  { worked: { steps }, plan: { shape } }: Followed,
  truth: Fabric,
  fit: Fit,
  { stretch }: Scene,
): boolean => fits(made(steps, truth, shape), thing, fit, stretch);

/** Width of a single on a hook, mm (prior, handbook 2.1). */
const singleOn = (hookMm: number, metres: number): number => 0.8 * hookMm + 1.3 * 3.4 * (120 / metres) ** 0.75;

/** A fabric on another hook strays from what the hooks say by so much (prior, handbook 2.1). */
const OTHER_HOOK = 0.03;

/** How much larger stitches come on the hook that was changed to; nothing where none was. */
function changedBy({ fabric: { bands, hookMm, yarn } }: Plan, strays: number): number | undefined {
  const other = bands?.find((band) => band.hookMm !== undefined)?.hookMm;
  const metres = yarn.metresPer100g!;
  return other && (singleOn(other, metres) / singleOn(hookMm, metres)) * strays;
}

/** The fabric of a piece that was finished on another hook: as tight as its tightest part, as tall as its rows come to. */
function finishedOn(truth: Fabric, { plan, worked }: Followed, strays: number): Fabric {
  const by = changedBy(plan, strays);
  const { w, h } = truth.piece;
  if (by === undefined) return truth;
  const { bands, rows, sections } = worked.pieces[0]!;
  const front = sections.find(({ name }) => name === 'front')?.rows ?? rows;
  const before = Math.min(front, bands!.find((band) => band.hookMm !== undefined)!.from - 1);
  return { ...truth, piece: { w: Math.min(w, by * w), h: (h * (before + by * (front - before))) / front } };
}

/** Made with a tape in hand: measured after the first course and every 40 mm, what is recommended taken each time. */
function withTape(
  doors: Doors,
  plan: Plan,
  { truth, strays }: { truth: Fabric; strays: number },
  scene: Scene,
  dice: Dice,
): Followed & { ripped: number } {
  const events: KeptEvent[] = [];
  const happened = (what: Happening) =>
    events.push({ id: `e${events.length}`, make: 'm', device: 'd', at: '', n: events.length + 1, ...what });
  let ripped = 0;
  let decided: string | null = null;
  for (let turn = 0; turn < 60; turn += 1) {
    const { worked, state, plan: now } = doors.mend(plan, events);
    const piece = worked.pieces[0]!;
    const steps = worked.steps.filter(
      (step) => step.piece === piece.id && (step.kind === 'foundation' || step.row !== null),
    );
    const done = new Set(state.done);
    const left = steps.filter(({ id }) => !done.has(id));
    if (left.length === 0) break;
    const rows = steps.length - left.length;
    const many = rows < 2 ? 2 - rows + (steps[0]!.row === 1 ? -1 : 0) : Math.round(EVERY_MM / truth.piece.h);
    const next = left.slice(0, Math.max(1, many));
    for (const { id } of next) happened({ kind: 'ticked', step: id, under: decided });
    const last = next.at(-1)!;
    const course = last.row ?? 0;
    if (course === 0) continue;
    const band = piece.bands?.find(({ from, to }) => course >= from && course <= to);
    const on = band?.hookMm === undefined ? 1 : changedBy(now, strays)!;
    const since = band?.hookMm === undefined ? course : course - band.from + 1;
    const here = 1 + STRAYS * dice.normal();
    const wide =
      here * on * truth.piece.w * (1 + DRIFT * (course / piece.rows - 0.5)) * (course === 1 ? 1 + FIRST_WIDER : 1);
    const tape = (what: 'stitches' | 'rows', count: number, size: number) =>
      happened({
        kind: 'measured',
        piece: piece.id,
        what,
        count,
        mm: Math.max(1, read(dice, WORLD, 'tape', count * size)),
        by: 'tape',
        atStep: last.id,
      });
    tape('stitches', last.ends ?? piece.stitches, wide);
    if (since > 4) tape('rows', since, on * truth.piece.h);
    const choice = taken(doors.mend(plan, events).choices, scene);
    if (!choice || choice.id === 'carry-on') continue;
    if (choice.from) ripped += 1;
    decided = `e${events.length}`;
    happened({ kind: 'decided', choice: choice.id, from: choice.from, plan: choice.plan });
  }
  const { worked, plan: followed } = doors.mend(plan, events);
  return { worked, plan: followed, ripped };
}

/** What is recommended, or of the ways these pieces can be built from the surest. */
function taken(choices: readonly MendChoice[], scene: Scene): MendChoice | undefined {
  const possible = choices.filter(({ id }) => isTaken(id, scene));
  const best = possible.find(({ recommended }) => recommended);
  return best ?? [...possible].sort((a, b) => b.chance - a.chance)[0];
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
      for (let maker = 0; maker < MAKERS * share; maker += 1) {
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
        const least = LEAST[shape] ?? LEAST_USUALLY;
        if (inHundred(of, 'mended') < least - LUCK)
          throw new Error(`${shape}: ${inHundred(of, 'mended')} in 100 fit with the tape, and ${least} is the least`);
        console.log(
          `  ${shape}: ${inHundred(of, 'without')} in 100 without, ${inHundred(of, 'mended')} with the tape, pulled out ${rips.toFixed(2)} times each`,
        );
      }
    const [without, mended] = [inHundred(all, 'without'), inHundred(all, 'mended')];
    if (mended < without + 20) throw new Error(`${mended} in 100 fit with the tape, ${without} without`);
    return `${all.length} makers: ${without} in 100 fit without, ${mended} with the tape`;
  },
};
