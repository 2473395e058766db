import {
  addRow,
  BASES,
  baseStitch,
  CHAIN,
  countedIn,
  metresPer100g,
  tallyRow,
  yarnOf,
  type FabricSpec,
  type StitchTally,
  type WorkedFabric,
  type YarnSpec,
} from '../../craft/fabric';
import { derive, phi, prior, type Figure } from '../../base/figure';
import { bandsOf, TAIL_MM, tailsHanging, tailsUsed, yarnEach, type Band, type Walked, type Work } from '../../piece';
import type { Course, Piece, WorkStep } from '../../shapes';

/** Spread of the yarn factors, as a fraction (prior, handbook 7). */
export const YARN_SPREAD = 0.15;

/** A piece of the same fabric as its weighed swatch (prior, ours). */
const WEIGHED_SPREAD = 0.05;

export interface YarnNeed {
  metres: Figure<'m'>;
  grams: Figure<'g'>;
  /** Of the grams, what is in stitches: the rest is seams, tails and what is sewn on. */
  stitchGrams: number;
  /** Whole balls, where a ball's weight is known. */
  balls: number | null;
  /** The chance that what is in the house lasts, 0 to 1; null where it is not known what there is. */
  enough: number | null;
  /** How many times over it lasts, nine times in ten; null where it is not known what there is. */
  reach: number | null;
}

/** Repeats of a row that a swatch is judged by: its edges then weigh little. */
const REPEATS = 20;

/**
 * How much more yarn the maker's stitches take than their factors say, by a weighed swatch: its grams over what people
 * count of it, stitches, Vs or loops, against the same by the factors (law, handbook 7); 1 where nothing was weighed.
 */
function weighedScale(spec: FabricSpec, fabric: WorkedFabric): number {
  const { weighed } = spec;
  if (!weighed) return 1;
  const yarn = yarnOf(spec);
  const each = ((weighed.grams / weighed.stitches) * metresPer100g(yarn) * 10) / (yarn.strands ?? 1);
  return each / factorYarnOfOne(fabric.also(spec.stitch, fabric.worked, spec.pattern));
}

/** Yarn by the factors in one of what people count of a fabric, mm, over all rows of its repeat. */
function factorYarnOfOne(fabric: WorkedFabric): number {
  const { stitch } = fabric;
  const stitches = stitch.rows.repeat * REPEATS + stitch.rows.edge;
  const rows = Array.from({ length: stitch.rowsInRepeat }, (_, index) =>
    stitch.row({ stitches, course: index + 2, below: 'pattern', turningChainCounts: false }),
  );
  const mm = rows.reduce((sum, row) => sum + yarnIn(tallyRow(row), fabric, 1), 0);
  const counted = rows.map(countedIn).reduce((sum, { stitches: plain, others }) => sum + plain + others, 0);
  return mm / Math.max(1, counted);
}

/** Stitches of every kind in so many of a piece's courses, its foundation among them where they begin with the first. */
function tallyBand({ foundation, courses, times }: Piece, { from, to }: Band): StitchTally {
  const total: StitchTally = {};
  const add = (stitch: string, count: number) => {
    total[stitch] = (total[stitch] ?? 0) + count;
  };
  if (from === 1 && foundation.kind !== 'ring') add('chain', times * foundation.count);
  // rows alike share one object: each is counted once, and taken as often as it stands
  const often = new Map<Course, number>();
  for (let row = from; row <= to; row += 1) {
    const course = courses[row - 1]!;
    often.set(course, (often.get(course) ?? 0) + times);
  }
  for (const [course, count] of often) {
    const tally = tallyRow(course.instructions);
    for (const stitch of Object.keys(tally)) add(stitch, count * tally[stitch]!);
  }
  return total;
}

/** Stitches in one of a piece's fabrics. */
export interface BandTally {
  fabric: WorkedFabric;
  colour: string | undefined;
  tally: StitchTally;
}

/** Stitches of all pieces, fabric by fabric: counted from the rows themselves. */
export function tallyPieces(pieces: readonly Piece[]): BandTally[] {
  return pieces.flatMap((piece) =>
    bandsOf(piece).map((band) => ({ fabric: band.fabric, colour: band.colour, tally: tallyBand(piece, band) })),
  );
}

/** Stitches of every kind that borders and crocheted joins are made of, those of pieces made once more among them. */
export function tallyWork(walked: Iterable<Walked>): StitchTally {
  const total: StitchTally = {};
  for (const { work, courses } of walked) {
    const times = work.do === 'free' ? work.times : 1;
    for (const parts of courses) for (const { instructions } of parts) addRow(total, instructions, times);
  }
  return total;
}

/** What a stitch of a kind takes of yarn against its own width (prior, handbook 2.2). */
function yarnFactor(stitch: string, { stitch: pattern }: WorkedFabric): number {
  if (stitch === 'chain') return CHAIN.yarn;
  const base = baseStitch(stitch);
  if (base) return base.yarn;
  // kinds of single: in the back loop, linked, spike; and a maker's own
  return stitch === 'own' ? pattern.factors.yarn : Math.max(BASES.single.yarn, pattern.factors.yarn);
}

/** Yarn of what a step sews, mm. */
function seamYarn({ does = [] }: Pick<WorkStep, 'does'>): number {
  return does.reduce((sum, work) => {
    // what is sewn with tails is counted with them
    if ((work.do !== 'seam' && work.do !== 'sew') || tailsUsed(work).length > 0) return sum;
    return sum + yarnEach(work);
  }, 0);
}

/**
 * Yarn in the tails of every piece and of what is made by itself, each as long as it is left (prior, handbook 7). Those of
 * borders begun anew are taken as part of what their stitches vary by.
 */
function tailYarn(pieces: readonly Piece[], steps: readonly WorkStep[]): number {
  const works = steps.flatMap(({ does = [] }) => does);
  const free = works.filter((work) => work.do === 'free');
  const ends = 2 * pieces.reduce((sum, { times }) => sum + times, 0);
  const ofFree = free.reduce((sum, { times, tails }) => sum + 2 * times * (tails || TAIL_MM), 0);
  // what is crocheted with a tail is counted by its stitches
  const longer = [
    ...tailsHanging(
      works.filter((work) => work.do !== 'border'),
      pieces,
    ),
  ].filter(([name]) => !free.some(({ id }) => name.startsWith(id)));
  const changed = 2 * TAIL_MM * changesOfLoop(works);
  return ends * TAIL_MM + ofFree + changed + longer.reduce((sum, [, mm]) => sum + Math.max(0, mm - TAIL_MM), 0);
}

/** How often another colour is drawn through a loop: the one is cut, and the other begun. */
const changesOfLoop = (works: readonly Work[]): number =>
  works.reduce(
    (sum, work) => sum + (work.do === 'again' ? changesOfLoop(work.works) : work.do === 'change' ? 1 : 0),
    0,
  );

/**
 * Yarn in stitches of a fabric, mm.
 * @param scale as a weighed swatch has it against the factors
 */
export function yarnIn(tally: StitchTally, fabric: WorkedFabric, scale: number): number {
  const single = fabric.stitchWidth.value / fabric.stitch.factors.width;
  return Object.entries(tally).reduce(
    (sum, [stitch, count]) =>
      sum + count * scale * yarnFactor(stitch, fabric) * (baseStitch(stitch)?.width ?? 1) * single,
    0,
  );
}

/**
 * Yarn a plan takes: every stitch at its factor of a stitch's width, foundation, seams, tails (prior, sd 15 %,
 * handbook 7).
 *
 * @param tallies of its pieces, and of the borders and joins
 * @param extraMm cords, tassels and other lengths besides
 */
export function yarnNeed(
  spec: FabricSpec,
  tallies: readonly BandTally[],
  pieces: readonly Piece[],
  steps: readonly WorkStep[],
): YarnNeed {
  const yarn = yarnOf(spec);
  const { scale, spread, from } = takenEach(spec, tallies[0]?.fabric);
  const inStitches = tallies.reduce((sum, { tally, fabric }) => sum + yarnIn(tally, fabric, scale), 0);
  const seams = steps.reduce((sum, step) => sum + seamYarn(step), 0);
  const tails = tailYarn(pieces, steps);
  const metres = derive(
    'm',
    'metres = (stitches + seams + tails) × strands / 1000',
    {
      stitches: prior(inStitches, 'mm', spread * inStitches, from),
      seams: prior(seams, 'mm', YARN_SPREAD * seams, 'seams, and what is sewn on or wound'),
      tails: prior(tails, 'mm', 0.2 * tails, '150 mm at each beginning and end'),
      strands: prior(yarn.strands ?? 1, '1', 0, 'held together'),
    },
    (v) => ((v.stitches + v.seams + v.tails) * v.strands) / 1000,
  );
  const per100 = prior(metresPer100g(yarn), 'm', 0, 'metres per 100 g');
  const grams = derive(
    'g',
    'grams = metres / metres per 100 g × 100',
    { metres, per100 },
    (v) => (v.metres / v.per100) * 100,
  );
  const { ballGrams } = yarn;
  return {
    metres,
    grams,
    stitchGrams: (grams.value * inStitches) / Math.max(1e-9, inStitches + seams + tails),
    balls: ballGrams === undefined ? null : ballsFor(grams, ballGrams),
    enough: enoughOf(spec, grams),
    reach: reachOf(spec, grams),
  };
}

/**
 * Yarn that one work beside rows takes, m: the stitches of a border or of what is made by itself, what it sews, and a tail at
 * either end of yarn that is begun for it (prior, handbook 7).
 *
 * @param begun whether its tails are counted with it
 */
export function workYarn(spec: FabricSpec, walked: Walked, fabric: WorkedFabric, begun: boolean): number {
  const { scale } = takenEach(spec, fabric);
  const { work } = walked;
  const tails = begun ? 2 * TAIL_MM : 0;
  const mm = yarnIn(tallyWork([walked]), fabric, scale) + seamYarn({ does: [work] }) + tails;
  return (mm * (yarnOf(spec).strands ?? 1)) / 1000;
}

/** Yarn in a row of a fabric, m. */
export function yarnOfRow(spec: FabricSpec, tally: StitchTally, fabric: WorkedFabric): number {
  return (yarnIn(tally, fabric, takenEach(spec, fabric).scale) * (yarnOf(spec).strands ?? 1)) / 1000;
}

/** What the stitches take against their factors: by a weighed swatch, else by what finished makes took, else as usual. */
export function takenEach(
  spec: FabricSpec,
  fabric: WorkedFabric | undefined,
): { scale: number; spread: number; from: string } {
  if (spec.weighed && fabric)
    return { scale: weighedScale(spec, fabric), spread: WEIGHED_SPREAD, from: 'your weighed swatch' };
  const taken = spec.yarnUse;
  if (taken) {
    // learnt at the size the stitches came out; how large these will is as unsure as their gauge
    const { value = 1, sd = 0 } = fabric?.stitchWidth ?? {};
    const spread = Math.hypot(taken.spread, sd / value);
    return { scale: taken.ratio, spread, from: `your own use of yarn, from ${taken.makes} finished` };
  }
  return { scale: 1, spread: YARN_SPREAD, from: 'every stitch at its factor of a stitch’s width' };
}

/** Standard deviations above the mean that nine in ten lie below (law of the normal). */
const NINE_IN_TEN = 1.2816;

/** Whole balls that suffice nine times in ten (handbook 7). */
export function ballsFor({ value, sd = 0 }: Pick<Figure, 'value' | 'sd'>, ballGrams: number): number {
  return Math.ceil((value + NINE_IN_TEN * sd) / ballGrams - 1e-9);
}

/** The chance that what there is lasts: of yarns held together, that of the one that is scarcest. */
function enoughOf({ yarn, yarns = [yarn] }: FabricSpec, grams: Figure<'g'>): number | null {
  const weight = (one: YarnSpec) => (one.strands ?? 1) / metresPer100g(one);
  const all = yarns.reduce((sum, one) => sum + weight(one), 0);
  const chances = yarns.flatMap((one) => {
    if (one.gramsLeft === undefined) return [];
    const share = weight(one) / all;
    return [chanceBelow(one.gramsLeft, { ...grams, value: share * grams.value, sd: share * (grams.sd ?? 0) })];
  });
  return chances.length > 0 ? Math.min(...chances) : null;
}

/** How many times over an amount lasts for what is needed, nine times in ten (law of the normal, handbook 7). */
export const timesOver = (left: number, { value, sd = 0 }: Pick<Figure, 'value' | 'sd'>): number =>
  left / Math.max(1e-9, value + NINE_IN_TEN * sd);

function reachOf({ yarn, yarns = [yarn] }: FabricSpec, grams: Figure<'g'>): number | null {
  const weight = (one: YarnSpec) => (one.strands ?? 1) / metresPer100g(one);
  const all = yarns.reduce((sum, one) => sum + weight(one), 0);
  const times = yarns.flatMap((one) =>
    one.gramsLeft === undefined ? [] : [timesOver(one.gramsLeft, grams) / (weight(one) / all)],
  );
  return times.length > 0 ? Math.min(...times) : null;
}

/** What it takes of one of several yarns held together. */
export interface YarnShare {
  name: string;
  metres: number;
  grams: number;
}

/** Of every yarn held with others as many metres as of all of them, for each of its strands (law). */
export function yarnShares({ yarns = [] }: FabricSpec, metres: number): YarnShare[] {
  return yarns.map((yarn, index) => {
    const own = metres * (yarn.strands ?? 1);
    return { name: yarn.name ?? `yarn ${index + 1}`, metres: own, grams: (own / metresPer100g(yarn)) * 100 };
  });
}

/** The chance that a normal figure stays at or below a limit (law). */
export function chanceBelow(limit: number, { value, sd = 0 }: Pick<Figure, 'value' | 'sd'>): number {
  if (sd === 0) return value <= limit ? 1 : 0;
  return phi((limit - value) / sd);
}
