import { LEAN } from '../counts';

/** What a repeating yarn comes to on a piece (handbook 7). */
export type RepeatEffect = 'stacked' | 'spiral-left' | 'spiral-right' | 'plaid' | 'scattered';

export const REPEAT_EFFECTS: readonly RepeatEffect[] = ['stacked', 'spiral-left', 'spiral-right', 'plaid', 'scattered'];

/** How a piece is worked round or to and fro. */
export type Turning = 'spiral' | 'joined' | 'rows';

/** What joining a round or turning a row takes of the yarn, in stitches (priors, handbook 7). */
export const TURN_TAKES: Readonly<Record<Turning, number>> = { spiral: 0, joined: 1, rows: 0.5 };

export interface Repeated {
  effect: RepeatEffect;
  /** Stitches the colours move from one round to the next (to the row after next, in rows): against the work where positive. */
  drift: number;
  /** The same as it is seen: unturned rounds lean against the work, and carry their colours with them (handbook 4.4). */
  seen: number;
  /** After how many rounds or rows the colours lie so again. */
  every: number;
}

/** The remainder nearest to zero (law). */
export function nearestRest(value: number, whole: number): number {
  const rest = ((value % whole) + whole) % whole;
  return rest > whole / 2 ? rest - whole : rest;
}

/** Nearer than this it is as good as exact: a maker’s hand takes up so much, stitches. */
const EXACT = 0.25;
/** Colours that come back after more rounds than this are not seen to belong together. */
const MOST_ROUNDS = 4;

/**
 * What a repeating yarn comes to, from the stitches of a course and the sum of its runs (law, handbook 7).
 *
 * @param count stitches of a round or row
 * @param lengths of the runs, stitches
 * @param left whether it is worked by the left hand, which sees it mirrored
 */
export function effectOf(count: number, lengths: readonly number[], turning: Turning, left = false): Repeated {
  const sum = lengths.reduce((all, length) => all + length, 0);
  const taken = count + TURN_TAKES[turning];
  // neighbours of one colour must still lie on each other to be seen as a line
  const touching = Math.max(1, Math.min(...lengths));
  const step = turning === 'rows' ? 2 : 1;
  const leans = turning === 'rows' ? 0 : LEAN;
  const drift = nearestRest(step * taken, sum);
  const seen = drift + leans;
  if (Math.abs(drift) <= EXACT) return { effect: 'stacked', drift: 0, seen: leans, every: step };
  // what runs back just as far as its rounds lean stands upright
  if (turning !== 'rows' && Math.abs(seen) <= EXACT) return { effect: 'stacked', drift, seen, every: step };
  if (Math.abs(drift) <= touching)
    return { effect: turning === 'rows' ? 'plaid' : sideOf(seen, left), drift, seen, every: step };
  for (let rounds = 2; rounds <= MOST_ROUNDS; rounds += 1)
    if (Math.abs(nearestRest(rounds * step * taken, sum)) <= EXACT)
      return { effect: 'stacked', drift: 0, seen: leans, every: rounds * step };
  return { effect: 'scattered', drift, seen, every: step };
}

/** Against the work is to the right, worked with the right hand and seen from the right side. */
const sideOf = (seen: number, left: boolean): RepeatEffect => (seen > 0 === left ? 'spiral-left' : 'spiral-right');

/**
 * How steep a line of colour rises from the level, degrees (law: atan(h / (|d + lean| w)), handbook 7 and 4.4); upright where nothing moves.
 *
 * @param seen stitches it moves a round, the lean of the rounds among them
 */
export const slopeOf = (seen: number, width: number, height: number): number =>
  seen === 0 ? 90 : (Math.atan2(height, Math.abs(seen) * width) * 180) / Math.PI;

/** How far a round's use of yarn strays by itself, as a share (prior, handbook 7). */
export const TENSION_SD = 0.01;

/**
 * After how many rounds half the makers are a whole stitch off, where nobody corrects it: each round strays by 1 % of itself,
 * and the sum of what strayed first passes a stitch then (fitted to that walk simulated, handbook 7).
 *
 * @param count stitches of a round
 */
export const holdsOf = (count: number): number =>
  Math.max(1, Math.round(0.76 * (1 / (TENSION_SD * count) + 0.58) ** 2));
