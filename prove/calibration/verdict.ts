/** What a finished piece leaves, mm; nothing of the program's own sizes goes into it, only its steps. */
export interface Made {
  girth: number;
  depth: number;
  /** How narrow its narrowest 30 mm are against its mean; nothing where its girth runs along its courses. */
  narrow?: number;
  /** How far its flap comes down below the thing's top, and the least it must. */
  flap?: { reach: number; least: number };
  /** Round the edge of its base: lying flat, by its own stitches, and the wall on it. */
  base?: { flat: number; stitches: number; wall: number };
  /** Where several things have rooms of their own: the inside of each, and what goes in. */
  rooms?: readonly { inside: number; holds: number }[];
}

/** The thing as it truly is, mm. */
export interface Thing {
  girth: number;
  height: number;
  depth: number;
}

/** What each fit lets pass (handbook 3): stretch used for getting in, and at the narrowest (2.1), slack before it falls out; what is asked above the thing, mm. */
const FITS = {
  grips: { use: 1, narrowUse: 1, slack: 0, cover: 0 },
  snug: { use: 0.5, narrowUse: 0.5, slack: 0.06, cover: 2 },
  slides: { use: 0, narrowUse: 0.25, slack: 0.12, cover: 5 },
  roomy: { use: 0, narrowUse: 0, slack: Infinity, cover: 10 },
} as const;

export type Fit = keyof typeof FITS;
export const FIT_NAMES = Object.keys(FITS) as Fit[];

/** A base may be so much larger or smaller than its wall (handbook 4.1). */
const BASE_WITHIN = 0.15;

/** Whether a finished piece truly fits the thing as it truly is (handbook 3, one verdict over everything). */
export function fits(
  { girth, depth, narrow = NaN, flap, base, rooms }: Made,
  thing: Thing,
  fit: Fit,
  stretch: number,
): boolean {
  const { use, narrowUse, slack, cover } = FITS[fit];
  const wanders = !Number.isNaN(narrow);
  const held = wanders ? narrow : 1;
  const gives = 1 + (wanders ? narrowUse : use) * stretch;
  const goesIn = rooms
    ? rooms.every(({ inside, holds }) => inside * held * gives >= holds)
    : girth * held * gives >= thing.girth && girth * held <= thing.girth * (1 + slack);
  const out = Math.max(3, 0.05 * thing.height, flap?.least ?? 0);
  const covered = depth >= thing.height - out;
  const notTooDeep = depth <= thing.height + cover + Math.max(15, 0.2 * thing.height);
  const closes = !flap || flap.reach >= flap.least;
  const stands = !base || [base.stitches, base.wall].every((round) => Math.abs(round / base.flat - 1) <= BASE_WITHIN);
  return goesIn && covered && notTooDeep && closes && stands;
}
