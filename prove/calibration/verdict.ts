import type { Made } from './made';
import type { Truth } from './truth';

/** What each fit lets pass (handbook 3): stretch used for getting in, slack before it falls out. */
const FITS = {
  grips: { use: 1, slack: 0 },
  snug: { use: 0.5, slack: 0.06 },
  slides: { use: 0, slack: 0.12 },
  roomy: { use: 0, slack: Infinity },
} as const;

export type Fit = keyof typeof FITS;
export const FIT_NAMES = Object.keys(FITS) as Fit[];

/** What each fit asks above the thing, mm (handbook 3). */
const COVER: Readonly<Record<Fit, number>> = { grips: 0, snug: 2, slides: 5, roomy: 10 };

/** Girth of a box with square edges. */
const girthOf = ({ width, depth }: Truth['thing']): number => 2 * (width + depth);

/** Whether a finished piece truly fits the thing as it truly is (handbook 3, one verdict over everything). */
export function fits({ girth, depth }: Made, truth: Truth, fit: Fit, stretch: number): boolean {
  const { use, slack } = FITS[fit];
  const { thing } = truth;
  const goesIn = girth * (1 + use * stretch) >= girthOf(thing);
  const stays = girth <= girthOf(thing) * (1 + slack);
  const covered = depth >= thing.height - Math.max(3, 0.05 * thing.height);
  const notTooDeep = depth <= thing.height + COVER[fit] + Math.max(15, 0.2 * thing.height);
  return goesIn && stays && covered && notTooDeep;
}
