import type { Figure } from '../base/figure';
import { plural, roundedAmount } from '../base/units';
import { ballsFor } from '../reckon/supplies';
import type { Worked } from '../reckon/types';

/** Under so many minutes a time is told to a quarter of an hour, above to half an hour. */
const BY_QUARTERS = 120;

const FRACTIONS: Readonly<Record<number, string>> = { 0: '', 15: '¼', 30: '½', 45: '¾' };

/** Minutes that were calculated, as people say them: 15 minutes, 1¾ hours, 3½ hours; no finer than they are known. */
export function duration(minutes: number): string {
  const step = minutes < BY_QUARTERS ? 15 : 30;
  const rounded = Math.max(15, Math.round(minutes / step) * step);
  if (rounded < 60) return `${rounded} minutes`;
  const [hours, rest] = [Math.floor(rounded / 60), rounded % 60];
  return rounded === 60 ? '1 hour' : `${hours}${FRACTIONS[rest]} hours`;
}

const METRES_A_YARD = 0.9144;

/** Hooks, needle and the rest, in a line. */
export function notionsText(notions: Worked['supplies']['notions']): string {
  return notions
    .map(({ name, size, count }) => {
      const what = count > 1 ? `${count} ${manyOf(name)}` : name;
      // a size is a word beside its name; what it is good for goes on from it
      return size ? `${what} ${/^\d/.test(size) ? `(${size})` : size}` : what;
    })
    .join(', ');
}

/** Several of what is called so: “buttons on a shank”, “stitch markers”. */
function manyOf(name: string): string {
  const [, head = name, rest = ''] = /^(.+?)( (?:on|for|to|with|of) .+)?$/.exec(name) ?? [];
  return `${/s$/.test(head) ? head : `${head}s`}${rest}`;
}

/** How much to buy, so that it suffices, m: two spreads more, to the next five (ours). */
const toBuy = ({ value, sd = 0 }: Figure): number => Math.ceil((value + 2 * sd) / 5) * 5;

/** Grams to have, so that they suffice: rounded up, to 5 below 100 and to 10 from there (ours). */
export function gramsUp(grams: number): number {
  const step = grams < 100 ? 5 : 10;
  return step * Math.ceil(grams / step - 1e-9);
}

/**
 * What it takes, about, and what to buy: whole balls where a ball's weight is known, of each colour its own.
 *
 * @param ballGrams what a ball weighs, g
 */
export function yarnText({ yarn: { metres, grams, balls }, byColour }: Worked['supplies'], ballGrams?: number): string {
  const each = ballGrams === undefined ? [] : byColour.map((one) => ballsOf(one.grams, grams, ballGrams));
  const all = each.length > 1 ? each.reduce((sum, one) => sum + one, 0) : balls;
  const buy = all === null ? `buy ${toBuy(metres)} m` : `buy ${plural(all, 'ball')}`;
  const yards = Math.round(roundedAmount(metres.value) / METRES_A_YARD);
  return `about ${roundedAmount(metres.value)} m (${yards} yd), ${roundedAmount(grams.value)} g; ${buy}`;
}

/** Balls of one colour: its grams are known as well as all of them are. */
const ballsOf = (own: number, { value, sd = 0 }: Figure, ballGrams: number): number =>
  ballsFor({ value: own, sd: (own * sd) / Math.max(value, 1e-9) }, ballGrams);

/** What a pattern takes of each colour, rounded up, with its balls. */
export function coloursText({ yarn: { grams }, byColour }: Worked['supplies'], ballGrams?: number): string {
  return byColour
    .map(({ name, grams: own }) => {
      const balls = ballGrams === undefined ? '' : ` (${plural(ballsOf(own, grams, ballGrams), 'ball')})`;
      return `${name} ${gramsUp(own)} g${balls}`;
    })
    .join(', ');
}
