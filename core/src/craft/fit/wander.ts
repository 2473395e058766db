import { TENSION_WANDERS } from '../fabric';
import { seeded } from '../../base/figure';

/** Over so many courses the hand forgets: courses i and j go together as `exp(−|i − j| / 15)` (prior, ours; handbook 2.1). */
const FORGETS_COURSES = 15;

/** A thing goes in and stays by the narrowest stretch of so many mm (handbook 2.1). */
const NARROWEST_MM = 30;

/**
 * Courses across the thing, one above the other over its depth. Of two layers a girth has a course of each: `folded`, where one
 * piece runs down one and up the other, `apart`, where each is a piece of its own; `round`, where a course goes round it all.
 */
export interface Wander {
  courses: number;
  lies: 'round' | 'folded' | 'apart';
}

/** Pieces made to learn how far the narrowest of them lies below its own mean. */
const PIECES = 256;

/** Beyond so many courses a piece is narrowest somewhere about as much. */
const MOST_COURSES = 400;

const known = new Map<string, Float64Array>();

/**
 * How far the narrowest 30 mm of a piece lies from its mean width, as a fraction below 0: of 256 pieces as a hand makes them,
 * the least first.
 *
 * @param high a course, mm
 * @source handbook 2.1 (tension wanders)
 */
export function narrowest({ courses, lies }: Wander, high: number): Float64Array {
  const count = Math.max(1, Math.min(MOST_COURSES, Math.round(courses)));
  const over = Math.max(1, Math.min(count, Math.round(NARROWEST_MM / high)));
  const key = `${lies} ${count} ${over}`;
  const before = known.get(key);
  if (before) return before;
  const uniform = seeded(0x9e3779b9);
  const found = Float64Array.from({ length: PIECES }, () => leastOf(levels(count, lies, uniform), over)).sort();
  known.set(key, found);
  return found;
}

/** Each level's girth as a fraction off the mean of all. */
function levels(count: number, lies: Wander['lies'], uniform: () => number): Float64Array {
  if (lies === 'round') return centred(strayed(count, uniform));
  const [down, up] =
    lies === 'apart' ? [strayed(count, uniform), strayed(count, uniform)] : halves(strayed(2 * count, uniform));
  return centred(Float64Array.from({ length: count }, (_, level) => (down[level]! + up[level]!) / 2));
}

/** Down one layer and up the other: from the fold upwards both. */
const halves = (all: Float64Array): [Float64Array, Float64Array] => [
  all.slice(0, all.length / 2).reverse(),
  all.slice(all.length / 2),
];

/** A standard normal number (law: Box and Muller). */
const normal = (uniform: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());

/** Courses as a hand makes them, one after the other (law: first-order autoregression). */
function strayed(count: number, uniform: () => number): Float64Array {
  const keeps = Math.exp(-1 / FORGETS_COURSES);
  const anew = Math.sqrt(1 - keeps ** 2);
  let at = normal(uniform);
  return Float64Array.from({ length: count }, (_, index) => {
    if (index > 0) at = keeps * at + anew * normal(uniform);
    return TENSION_WANDERS * at;
  });
}

function centred(all: Float64Array): Float64Array {
  const mean = all.reduce((sum, one) => sum + one, 0) / all.length;
  return all.map((one) => one - mean);
}

/** The least mean over so many neighbours. */
function leastOf(all: Float64Array, over: number): number {
  let sum = 0;
  let least = Infinity;
  for (let index = 0; index < all.length; index += 1) {
    sum += all[index]! - (index >= over ? all[index - over]! : 0);
    if (index >= over - 1) least = Math.min(least, sum / over);
  }
  return least;
}
