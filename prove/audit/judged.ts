import type { Sizes, thingOf } from './derive';
import type { AuditPlan } from './plans';

/** Handbook 3: ease, use of stretch and slack of each fit. */
const FITS: Readonly<Record<string, { use: number; slack: number }>> = {
  grips: { use: 1, slack: 0 },
  snug: { use: 0.5, slack: 0.06 },
  slides: { use: 0, slack: 0.12 },
  roomy: { use: 0, slack: Infinity },
};

/** Stretch across, and along, of plain stitches (handbook 2.2): the least of those there are. */
const ACROSS: Readonly<Record<string, number>> = { single: 0.08, 'half-double': 0.12, double: 0.15 };
const ALONG: Readonly<Record<string, number>> = { single: 0.06, 'half-double': 0.1, double: 0.12 };

/** So near to a limit either answer is right. */
const NEAR = 0.004;

/** Why the finished piece, come out as planned, does not hold its thing; nothing where it does. */
export function misses(
  { fabric, fit, shape, fittings }: AuditPlan,
  { girth, depth }: Sizes,
  thing: ReturnType<typeof thingOf>,
): string | undefined {
  const { use, slack } = FITS[fit.name]!;
  const sideways = shape.kind === 'strip-along' || shape.kind === 'packet';
  const table = sideways ? ALONG : ACROSS;
  const stitches = fabric.bands?.map(({ stitch }) => stitch) ?? fabric.pattern?.rows ?? [fabric.stitch];
  const stretch = Math.max(...stitches.map((id) => table[id]!));
  if (girth * (1 + use * stretch) < thing.girth * (1 - NEAR))
    return `${girth.toFixed(0)} mm inside lets ${thing.girth.toFixed(0)} not in`;
  if (girth > thing.girth * (1 + slack + NEAR))
    return `${girth.toFixed(0)} mm inside does not hold ${thing.girth.toFixed(0)}`;
  // a packet covers all round, and under a flap less is enough
  if (shape.kind === 'packet' || fittings.some(({ kind }) => kind === 'flap')) return undefined;
  const out = thing.height - depth;
  if (out > Math.max(thing.height / 20, 3) * (1 + NEAR) + 0.5) return `${out.toFixed(0)} mm stand out`;
  const over = -out - (fit.name === 'roomy' ? 10 : fit.name === 'slides' ? 5 : fit.name === 'snug' ? 2 : 0);
  return over > Math.max(thing.height / 5, 15) + 1 ? `${over.toFixed(0)} mm too deep` : undefined;
}
