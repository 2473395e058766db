import type { Figure } from '../base/figure';
import { plural, roundedAmount } from '../base/units';
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
    .map(({ name, size, count }) => `${count > 1 ? `${count} × ` : ''}${name}${size ? ` ${size}` : ''}`)
    .join(', ');
}

/** How much to buy, so that it suffices, m: two spreads more, to the next five (ours). */
const toBuy = ({ value, sd = 0 }: Figure): number => Math.ceil((value + 2 * sd) / 5) * 5;

/** What it takes, about, and what to buy: whole balls where a ball's weight is known. */
export function yarnText({ yarn: { metres, grams, balls } }: Worked['supplies']): string {
  const buy = balls === null ? `buy ${toBuy(metres)} m` : `buy ${plural(balls, 'ball')}`;
  const yards = Math.round(roundedAmount(metres.value) / METRES_A_YARD);
  return `about ${roundedAmount(metres.value)} m (${yards} yd), ${roundedAmount(grams.value)} g; ${buy}`;
}
