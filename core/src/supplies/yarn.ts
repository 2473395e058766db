import {
  BASES,
  baseStitch,
  CHAIN,
  metresPer100g,
  tallyRow,
  type FabricSpec,
  type StitchTally,
  type WorkedFabric,
} from '../fabric';
import { derive, phi, prior, type Figure } from '../figure';
import { bandsOf, type Band, type Walked } from '../piece';
import type { Course, Piece, WorkStep } from '../shapes';

/** Spread of the yarn factors, as a fraction (prior, handbook 7). */
const YARN_SPREAD = 0.15;

/** A piece of the same fabric as its weighed swatch (prior, ours). */
const WEIGHED_SPREAD = 0.05;

/** Yarn left hanging at every beginning and end, mm (prior, handbook 7). */
const TAIL_MM = 150;

export interface YarnNeed {
  metres: Figure<'m'>;
  grams: Figure<'g'>;
  /** Whole balls, where a ball's weight is known. */
  balls: number | null;
  /** The chance that what is in the house lasts, 0 to 1; null where it is not known what there is. */
  enough: number | null;
}

/** mm of yarn in a stitch of a weighed swatch: its grams over its stitches (law, handbook 7). */
function weighedStitch({ weighed, yarn }: FabricSpec): number | undefined {
  if (!weighed) return undefined;
  const strands = yarn.strands ?? 1;
  return ((weighed.grams / weighed.stitches) * metresPer100g(yarn) * 10) / strands;
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
    if (course.before) add('chain', count * course.before.count);
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
  const tallies = Array.from(walked, ({ work, courses }) => {
    const once = courses.flat().map(({ instructions }) => tallyRow(instructions));
    return work.do === 'free' ? Array.from({ length: work.times }, () => once).flat() : once;
  });
  return addTallies(...tallies.flat());
}

/** Tallies added up. */
export function addTallies(...tallies: readonly StitchTally[]): StitchTally {
  const total: StitchTally = {};
  for (const tally of tallies)
    for (const [stitch, count] of Object.entries(tally)) total[stitch] = (total[stitch] ?? 0) + count;
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
function seamYarn({ seam, does = [] }: WorkStep): number {
  const sewn = does.reduce((sum, work) => {
    if (work.do === 'seam') return sum + work.mm * work.factor;
    return work.do === 'sew' ? sum + work.mm : sum;
  }, 0);
  return sewn + (seam ? seam.mm * seam.factor : 0);
}

/** Yarn in stitches of a fabric, mm. */
function yarnIn(tally: StitchTally, fabric: WorkedFabric, weighed: number | undefined): number {
  const single = fabric.stitchWidth.value / fabric.stitch.factors.width;
  return Object.entries(tally).reduce((sum, [stitch, count]) => {
    if (weighed !== undefined && stitch !== 'chain') return sum + count * weighed;
    return sum + count * yarnFactor(stitch, fabric) * (baseStitch(stitch)?.width ?? 1) * single;
  }, 0);
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
  extraMm: number,
): YarnNeed {
  const weighed = weighedStitch(spec);
  const inStitches = tallies.reduce((sum, { tally, fabric }) => sum + yarnIn(tally, fabric, weighed), 0);
  const seams = steps.reduce((sum, step) => sum + seamYarn(step), 0);
  const free = steps.flatMap(({ does = [] }) => does.filter((work) => work.do === 'free'));
  const tails =
    pieces.reduce((sum, { times }) => sum + 2 * times * TAIL_MM, 0) +
    free.reduce((sum, { times, tails: left }) => sum + 2 * times * (left || TAIL_MM), 0);
  const from = weighed === undefined ? 'every stitch at its factor of a stitch’s width' : 'your weighed swatch';
  const spread = weighed === undefined ? YARN_SPREAD : WEIGHED_SPREAD;
  const metres = derive(
    'm',
    'metres = (stitches + seams + tails + cords) × strands / 1000',
    {
      stitches: prior(inStitches, 'mm', spread * inStitches, from),
      seams: prior(seams, 'mm', YARN_SPREAD * seams, '3 or 4 times the seam'),
      tails: prior(tails, 'mm', 0.2 * tails, '150 mm at each beginning and end'),
      cords: prior(extraMm, 'mm', 0.1 * extraMm, 'cords, loops and tassels'),
      strands: prior(spec.yarn.strands ?? 1, '1', 0, 'held together'),
    },
    (v) => ((v.stitches + v.seams + v.tails + v.cords) * v.strands) / 1000,
  );
  const per100 = prior(metresPer100g(spec.yarn), 'm', 0, 'metres per 100 g');
  const grams = derive(
    'g',
    'grams = metres / metres per 100 g × 100',
    { metres, per100 },
    (v) => (v.metres / v.per100) * 100,
  );
  const { ballGrams, gramsLeft } = spec.yarn;
  return {
    metres,
    grams,
    balls: ballGrams === undefined ? null : Math.ceil(grams.value / ballGrams - 1e-9),
    enough: gramsLeft === undefined ? null : chanceBelow(gramsLeft, grams),
  };
}

/** The chance that a normal figure stays at or below a limit (law). */
export function chanceBelow(limit: number, { value, sd = 0 }: Figure): number {
  if (sd === 0) return value <= limit ? 1 : 0;
  return phi((limit - value) / sd);
}
