import type { FabricSpec, Hand, KeptEvent, OwnRatio, Plan, Rate, RatesMade, Worked } from '@keep-snug/core';
import { diceOf, type Dice } from './calibration/random';
import { SCENES } from './calibration/scenes';
import { drawFabric, read, type World } from './calibration/truth';
import type { Proof } from './proof';
import { finishedOn, itFits, reckoned, withTape, WORLD, type Doors } from './taping';

/** What a year of making asks of the core. */
interface Learning extends Doors {
  chance: (plan: Plan) => { share: number };
  fabricMade: (plan: Plan, events: readonly KeptEvent[]) => FabricSpec | undefined;
  handFrom: (fabrics: readonly FabricSpec[]) => Hand | undefined;
  ratesMade: (plan: Plan, events: readonly KeptEvent[]) => RatesMade;
  rateFrom: (makes: readonly RatesMade[]) => Rate | undefined;
  yarnUseFrom: (makes: readonly RatesMade[]) => OwnRatio | undefined;
}

const MAKERS = 12;
const COVERS = 25;
const SEED = 30_471;
const SHAPES = ['strip-across', 'two-panels', 'ring-tube', 'strip-along', 'disc-wall'];
const EARLY = 5;
const LATE = 15;

/** How hands differ, and how much one make of a hand from its next, as shares (handbook 2.1 and 7). */
const HANDS = { width: 0.1, together: 0.6, tall: 0.12, yarn: 0.12, pace: 0.25 };
const PER_MAKE = { pace: 0.12, yarn: 0.04 };
/** Of the world that is drawn, so that one make differs from the next by about a twentieth. */
const MAKES: World = { wider: 0.4, bias: 0 };

/** A maker's hand against what is usual, whatever she knows of it. */
interface Maker {
  width: number;
  height: number;
  yarn: number;
  pace: number;
}

function makerOf({ normal }: Dice): Maker {
  const z = normal();
  const { together } = HANDS;
  return {
    width: Math.exp(HANDS.width * z),
    height: Math.exp(HANDS.tall * (together * z + Math.sqrt(1 - together ** 2) * normal())),
    yarn: Math.exp(HANDS.yarn * normal()),
    pace: Math.exp(HANDS.pace * normal()),
  };
}

/** What is known of a maker so far, as a new plan takes it. */
interface Known {
  fabrics: FabricSpec[];
  rates: RatesMade[];
}

interface Cover {
  said: number;
  without: boolean;
  mended: boolean;
  /** What was forecast against what it took, as logarithms, and in standard deviations. */
  yarn: { off: number; z: number };
  time: { off: number; z: number };
  /** What the new plan took the hand to be, against what it is, as logarithms; before the first make nothing is known. */
  width: number | undefined;
  height: number | undefined;
}

const forecast = (told: { value: number; sd?: number }, took: number) => {
  const off = Math.log(took / told.value);
  return { off, z: off / ((told.sd ?? 0) / told.value) };
};

/** One cover as the app would propose it: with what is learnt so far, and nothing measured beforehand. */
function cover(doors: Learning, maker: Maker, known: Known, dice: Dice): Cover | undefined {
  const scene = dice.oneOf(SCENES.filter(({ id }) => SHAPES.includes(id)));
  const drawn = scene.draw(dice);
  const fit = dice.oneOf(['snug', 'slides'] as const);
  const plain: FabricSpec = {
    stitch: scene.stitch,
    hookMm: dice.oneOf([3, 3.5, 4, 4.5]),
    yarn: { metresPer100g: Math.round(dice.between(150, 260)), category: 4 },
  };
  const [hand, rate, yarnUse] = [
    doors.handFrom(known.fabrics),
    doors.rateFrom(known.rates),
    doors.yarnUseFrom(known.rates),
  ];
  const base = {
    format: 'keep-snug.plan/1',
    title: 'drawn',
    ...drawn.plan,
    thing: drawn.typed((mm) => ({ mm: Math.max(1, read(dice, WORLD, 'ruler', mm)), by: 'ruler' })),
    fit: { name: fit },
  } as const;
  const plan: Plan = {
    ...base,
    fabric: { ...plain, ...(hand ? { hand } : {}), ...(rate ? { rate } : {}), ...(yarnUse ? { yarnUse } : {}) },
  };
  const usual = reckoned(doors, { ...base, fabric: plain });
  const worked = reckoned(doors, plan);
  if (!usual || !worked) return undefined;
  const { stitchWidth, rowHeight, thickness } = usual.fabric;
  const truth = drawFabric(dice, MAKES, {
    w: stitchWidth.value * maker.width,
    h: rowHeight.value * maker.height,
    way: scene.way,
    single: scene.stitch === 'single',
    t: thickness.value,
    tSpread: thickness.sd! / thickness.value,
  });
  const made = withTape(doors, plan, { truth, strays: 1 }, scene, dice);
  const took = takenBy(doors, made.plan, maker, truth.piece.w, dice);
  const events: KeptEvent[] = [
    ...made.events,
    {
      id: 'end',
      make: 'm',
      device: 'd',
      at: '',
      n: made.events.length + 1,
      kind: 'finished',
      grams: took.grams,
      minutes: took.minutes,
    },
  ];
  const planned = reckoned(doors, made.plan)!;
  const told: Cover = {
    said: doors.chance(plan).share,
    without: itFits(drawn, { worked, plan }, truth, fit, scene),
    mended: itFits(drawn, made, finishedOn(truth, made, 1), fit, scene),
    yarn: forecast(worked.supplies.yarn.grams, took.grams * sizeOf(worked, planned)),
    time: forecast(worked.supplies.time, (took.minutes * worked.supplies.time.value) / planned.supplies.time.value),
    width: hand && Math.log(hand.width / maker.width),
    height: hand && Math.log(hand.height / maker.height),
  };
  const fabric = doors.fabricMade(plan, events);
  if (fabric) known.fabrics.push(fabric);
  known.rates.push(doors.ratesMade(plan, events));
  return told;
}

/** What was forecast was of the plan as it was begun: as much as that has more stitches than what was made. */
const sizeOf = (begun: Worked, made: Worked): number => begun.supplies.stitches / made.supplies.stitches;

/** What a make truly takes of yarn and time: her stitches at her size, tails and seams as long as anybody's. */
function takenBy(doors: Doors, plan: Plan, maker: Maker, w: number, dice: Dice): { grams: number; minutes: number } {
  const { hand: _hand, rate: _rate, yarnUse: _use, ...fabric } = plan.fabric;
  const { supplies, fabric: sizes } = reckoned(doors, { ...plan, fabric })!;
  const { grams, stitchGrams } = supplies.yarn;
  const each = maker.yarn * (w / sizes.stitchWidth.value) * Math.exp(PER_MAKE.yarn * dice.normal());
  return {
    grams: grams.value - stitchGrams + each * stitchGrams,
    minutes: supplies.time.value * maker.pace * Math.exp(PER_MAKE.pace * dice.normal()),
  };
}

const mean = (list: readonly number[]): number => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);
const rms = (list: readonly number[]): number => Math.sqrt(mean(list.map((one) => one * one)));
const inHundred = (list: readonly boolean[]): number => Math.round(100 * mean(list.map(Number)));

function summed(of: readonly Cover[]) {
  const known = (key: 'width' | 'height') => of.flatMap((one) => one[key] ?? []);
  const within = (key: 'yarn' | 'time') => inHundred(of.map((one) => Math.abs(one[key].z) <= 2));
  return {
    said: Math.round(100 * mean(of.map(({ said }) => said))),
    without: inHundred(of.map(({ without }) => without)),
    mended: inHundred(of.map(({ mended }) => mended)),
    width: rms(known('width')),
    height: rms(known('height')),
    yarn: rms(of.map(({ yarn }) => yarn.off)),
    time: rms(of.map(({ time }) => time.off)),
    yarnWithin: within('yarn'),
    timeWithin: within('time'),
  };
}

type Summed = ReturnType<typeof summed>;

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;

const told = ({ said, without, mended, width, height, yarn, time, yarnWithin, timeWithin }: Summed): string =>
  `said ${said}, fitted ${without} unmended and ${mended} mended of 100; hand off by ${percent(width)} across and ${percent(height)} up; yarn off by ${percent(yarn)} (${yarnWithin} of 100 within two of its spread), time by ${percent(time)} (${timeWithin})`;

/** A year of covers, each begun with what those before it taught. */
export const year: Proof = {
  id: 'year',
  says: 'what makes teach makes later ones fit better, as surely as they say',
  run: async ({ share }) => {
    const doors = (await import(new URL('../core/.cache/core.mjs', import.meta.url).href)) as Learning;
    const dice = diceOf(SEED);
    const early: Cover[] = [];
    const late: Cover[] = [];
    for (let one = 0; one < (share < 1 ? 1 : MAKERS); one += 1) {
      const maker = makerOf(dice);
      const known: Known = { fabrics: [], rates: [] };
      for (let at = 0; at < COVERS; at += 1) {
        const made = cover(doors, maker, known, dice);
        if (made && at < EARLY) early.push(made);
        if (made && at >= LATE) late.push(made);
      }
    }
    const [first, last] = [summed(early), summed(late)];
    if (share === 1) console.log(`  the first ${EARLY}: ${told(first)}\n  from ${LATE} on: ${told(last)}`);
    const faults = [
      last.without <= first.without && 'later makes fit no better than early ones',
      share === 1 && Math.abs(last.said - last.without) > 10 && `said ${last.said} and fitted ${last.without} of 100`,
      last.mended < 80 && `${last.mended} of 100 fit with the tape`,
      last.yarn > 0.12 && `yarn is off by ${percent(last.yarn)}`,
      share === 1 && Math.min(last.yarnWithin, last.timeWithin) < 88 && 'forecasts are less sure than they say',
    ].filter((fault) => fault !== false);
    if (faults.length > 0) throw new Error(faults.join('; '));
    return `unmended ${first.without} then ${last.without}, mended ${first.mended} then ${last.mended} of 100; said ${last.said}`;
  },
};
