/**
 * What a hand may be taken to be. A number typed wrongly once would otherwise be in every plan from then on: what lies beyond the
 * likely teaches nothing and is asked about; what is learnt stays within what a plan may say.
 */
export interface Bounds {
  least: number;
  most: number;
}

/** What a plan may say of its maker's hand; the plan's form takes these, and nothing learnt goes beyond them. */
export const MAY_SAY = {
  /** Measured sizes against estimated ones. */
  hand: { least: 0.3, most: 3 },
  handSpread: { least: 0.005, most: 0.5 },
  /** Yarn, or growth, against what is usual. */
  own: { least: 0.05, most: 20 },
  ownSpread: { least: 0.005, most: 2 },
  /** Single crochet (US) a minute. */
  perMinute: { least: 0.5, most: 200 },
  rateSpread: { least: 0.005, most: 1 },
} as const satisfies Record<string, Bounds>;

/** As factors of what is usual: beyond these something else was timed, weighed or measured (priors, ours). */
export const LIKELY = {
  /** Sizes of stitches. */
  hand: { least: 0.55, most: 1.8 },
  /** Time at the hook. */
  time: { least: 0.25, most: 5 },
  yarn: { least: 0.5, most: 2 },
  strap: { least: 0.1, most: 10 },
} as const satisfies Record<string, Bounds>;

/** Whether a value lies within bounds, both of them included. */
export const isWithin = (value: number, { least, most }: Bounds): boolean => value >= least && value <= most;

/** The value, or the bound it lies beyond. */
export const within = (value: number, { least, most }: Bounds): number => Math.min(most, Math.max(least, value));
