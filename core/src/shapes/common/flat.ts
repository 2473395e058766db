import { chosen, derive, prior, PlanProblem, type Figure } from '../../base/figure';
import { BASES } from '../../craft/fabric';
import { bottomGive, tubeGirth } from '../../craft/fit';
import { mmToken, mostToken, typedToken } from '../../base/units';
import type { Demands, ShapeContext } from '../definition';
import { joinOf } from './joins';
import type { Sized } from './sized';

type Mm = Figure<'mm'>;

/** Wanted length round the middle of the fabric, and of one flat face (law, handbook 3). */
export function wantedRound({ thing, fit, fabric }: ShapeContext): { round: Mm; face: Mm } {
  const round = tubeGirth(thing.girth, fit.girthEase, fabric.thickness, thing.pockets);
  return { round, face: derive('mm', 'F = C / 2', { C: round }, (v) => v.C / 2) };
}

/** Wanted height of a face above a folded or seamed bottom: `H + cover ease + D/2 + πt/4` (law, handbook 3). */
export function wholeFront({ thing, fit, fabric }: ShapeContext): Mm {
  return derive(
    'mm',
    'front = H + cover ease + D/2 + πt/4',
    { H: thing.height, cover: fit.coverEase, give: bottomGive(thing.depth, fabric.thickness) },
    (v) => v.H + v.cover + v.give,
  );
}

/** What of it is left to rows where an edging at the mouth adds to them. */
export const wantedFront = (context: ShapeContext): Mm => lessRim(wholeFront(context), context);

/** What of a height is left to rows where an edging at the mouth adds to them (law, handbook 3). */
export function lessRim(height: Mm, { demands: { rim } }: Pick<ShapeContext, 'demands'>): Mm {
  if (!rim) return height;
  return derive('mm', 'height − edging', { height, edging: rim }, (v) => Math.max(0.1, v.height - v.edging));
}

/** A height with an edging at the mouth (law, handbook 3). */
export function withRim(height: Mm, { demands: { rim } }: Pick<ShapeContext, 'demands'>): Mm {
  return rim ? derive('mm', 'height + edging', { height, edging: rim }, (v) => v.height + v.edging) : height;
}

/** The same of a size that is sampled. */
export function sizedWithRim(size: Sized, { demands: { rim } }: Pick<ShapeContext, 'demands'>): Sized {
  if (!rim) return size;
  const { value, sd = 0 } = rim;
  return {
    figure: derive('mm', 'inside + edging', { inside: size.figure, edging: rim }, (v) => v.inside + v.edging),
    of: (sample) => size.of(sample) + (sd > 0 ? sample.rim! : value),
    also: { ...size.also, ...(sd > 0 ? { rim } : {}) },
  };
}

/** The same without the cover ease, for a back that goes on over the top. */
export function wantedBack({ thing, fabric }: ShapeContext): Mm {
  return derive(
    'mm',
    'back = H + D/2 + πt/4',
    { H: thing.height, give: bottomGive(thing.depth, fabric.thickness) },
    (v) => v.H + v.give,
  );
}

/** What an edging of so many rounds adds to an edge, mm, the last of them in its own stitch (law, handbook 3). */
export function edgingDepth(rounds: number, { fabric, options }: Pick<ShapeContext, 'fabric' | 'options'>): Mm {
  if (rounds === 0) return chosen(0, 'mm', 'no edging');
  const last = options.edgingOf === 'slip' ? BASES.slip.roundHeight / BASES.single.roundHeight : 1;
  const k = chosen(rounds - 1 + last, '1', last === 1 ? 'rounds of edging' : 'rounds of edging, the last a lower one');
  const h = fabric.also('single', 'rounds').rowHeight;
  return derive('mm', 'edging = k × h', { k, h }, (v) => v.k * v.h);
}

/** What edgings add to a face beside its columns, and what a join takes of it, mm (law, handbook 3 and 4.4). */
export function besideColumns(context: Pick<ShapeContext, 'fabric' | 'options'>): number {
  const { options, fabric } = context;
  const edging = edgingDepth(Number(options.edging ?? 0), context).value;
  return 2 * edging - 2 * joinOf(options.join).take * fabric.stitchWidth.value;
}

/** A length less an edging on so many of its ends. */
export function lessEdging(length: Mm, edging: Mm, ends: 1 | 2): Mm {
  if (edging.value === 0) return length;
  const times = ends === 2 ? '2 × edging' : 'edging';
  return derive('mm', `length − ${times}`, { length, edging }, (v) => Math.max(v.length - ends * v.edging, 0.1));
}

/** A flap that carries a closure reaches down the front so far at the least, mm (prior, handbook 6). */
export const LEAST_WITH_CLOSURE_MM = 35;

/** Lengths nearer than this are told as one, mm. */
const AS_GOOD_AS = 0.05;

/** A flap reaches down so far at the least, mm. */
const LEAST_FLAP_MM = 5;

/**
 * How far a flap is to reach down the front: as typed, else a third of the front, at least 35 mm where it closes, as far as what
 * closes it leaves room for below.
 * @throws PlanProblem when it would pass the bottom
 */
export function flapOverlap({ flap, belowFlap = 0 }: Pick<Demands, 'flap' | 'belowFlap'>, height: Mm): Mm {
  if (flap?.overlapMm !== undefined) {
    if (flap.overlapMm > height.value + AS_GOOD_AS)
      throw new PlanProblem([
        {
          path: `${flap.path}.overlapMm`,
          message: `A flap reaching ${typedToken(flap.overlapMm)} down would pass the bottom of the front (${mmToken(height.value)}). Make it ${mostToken(height.value)} or less.`,
        },
      ]);
    return chosen(flap.overlapMm, 'mm', 'typed');
  }
  const most = Math.max(LEAST_FLAP_MM, height.value - belowFlap);
  const least = !flap || flap.withClosure ? LEAST_WITH_CLOSURE_MM : 0;
  const asked = Math.min(most, height.value, Math.max(height.value / 3, least));
  return prior(asked, 'mm', 0, 'a third of the front, at least 35 mm where it closes and there is room for it');
}

/** How far a flap must come down at the least before it counts as reaching: half of what was asked, mm (prior, ours). */
export function leastReach(overlap: Mm): number {
  return overlap.value / 2;
}

/** Where a chain's gauge makes its edge pucker, or gape (handbook 2.1). */
export const PUCKERS_BELOW = 0.95;
export const GAPES_ABOVE = 1.05;
