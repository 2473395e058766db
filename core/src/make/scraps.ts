import { yarnOf, type ScrapSpec } from '../craft/fabric';
import { chanceBelow } from '../reckon/supplies';
import { inOrder, standingEvents, stepsToMake, type KeptEvent, type MakingStep } from './log';

import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { doneIn } from './adjust/takes';
import { SCALE_SD_G } from './adjust/weighed';

/** Where a scrap comes to its end. */
export interface ScrapEnd {
  name: string;
  hex?: string;
  grams: number;
  /** The row or round in which it runs out, the stitch in it, and by how many stitches that may be off; null where it reaches the end. */
  runsOut: { piece: string; section: string; kind: 'row' | 'round'; row: number; stitch: number; sd: number } | null;
  /** Grams of it that are left over on the whole, where it reaches the end. */
  over: number;
}

export interface ScrapsTold {
  /** In the order they are worked. */
  scraps: ScrapEnd[];
  /** Grams the piece takes, with every join’s tails, and grams there are. */
  needs: { value: number; sd: number };
  has: number;
  /** The chance that all of them together last, 0 to 1. */
  lasts: number;
}

interface ScrapsAsk {
  plan: Plan;
  scraps: readonly ScrapSpec[];
  /** What happened to the make: weighings say what is left of the scrap on the hook, and so what a stitch takes. */
  events?: readonly KeptEvent[];
}

/** Joining a scrap leaves a tail of the old one and one of the new, mm (prior, handbook 7). */
const JOIN_MM = 300;

/**
 * Small amounts in the order that tells most: the largest first, since what it takes shows how far the others will go; the
 * smallest last, where what is left of a round can still be made with another (ours).
 */
export const scrapOrder = (scraps: readonly ScrapSpec[]): ScrapSpec[] =>
  [...scraps].sort((a, b) => b.grams - a.grams || a.name.localeCompare(b.name));

/**
 * Where each of several small amounts runs out when they are joined one after the other, row and stitch with its spread; anew
 * from every weighing (law of proportion; spread of the yarn a stitch takes, handbook 7).
 *
 * @throws PlanProblem as reckon does
 */
export function scrapsTold({ plan, scraps, events = [] }: ScrapsAsk): ScrapsTold {
  const { steps: told, supplies } = reckon(plan);
  const steps = stepsToMake(told);
  const rows = steps.filter(({ row, ends }) => row !== null && ends);
  const all = rows.reduce((sum, { ends }) => sum + ends!, 0);
  const { grams } = supplies.yarn;
  const yarn = yarnOf(plan.fabric);
  const perMetre = supplies.yarn.metres.value > 0 ? grams.value / supplies.yarn.metres.value : 0;
  const join = (perMetre * JOIN_MM * (yarn.strands ?? 1)) / 1000;
  const planned = { value: grams.value / all, sd: (grams.sd ?? 0) / all };
  const weighed = weighedUse(steps, events, scraps, join, planned);
  const each = weighed?.each ?? planned;
  let at = weighed?.done ?? 0;
  const fixed = at;
  let reached = 0;
  const ends = scraps.map((scrap, index): ScrapEnd => {
    const has =
      weighed && index < weighed.scrap
        ? 0
        : weighed && index === weighed.scrap
          ? weighed.left
          : scrap.grams - (index > 0 ? join : 0);
    at += Math.max(0, has) / each.value;
    const over = Math.max(0, (at - Math.max(all, reached)) * each.value);
    reached = at;
    const place = at < all ? placeAt(rows, at) : null;
    const sd = ((at - fixed) * each.sd) / each.value;
    return {
      ...scrap,
      runsOut: place && { ...place, sd: Math.round(Math.hypot(sd, SCALE_SD_G / each.value)) },
      over: at >= all ? Math.min(over, scrap.grams) : 0,
    };
  });
  const joins = join * Math.max(0, scraps.length - 1);
  const has = scraps.reduce((sum, scrap) => sum + scrap.grams, 0);
  const rest = (all - fixed) * each.value;
  const restSd = (all - fixed) * each.sd;
  const left = (at - fixed) * each.value;
  return {
    scraps: ends,
    needs: { value: (weighed ? fixed * each.value : 0) + rest + joins, sd: restSd },
    has,
    lasts: chanceBelow(left, { value: rest, sd: Math.hypot(restSd, SCALE_SD_G) }),
  };
}

/** The row that so many stitches reach into, and the stitch in it. */
function placeAt(rows: readonly MakingStep[], stitches: number) {
  let before = 0;
  for (const { piece, section, row, ends, kind } of rows) {
    if (before + ends! > stitches)
      return { piece, section, kind: kind as 'row' | 'round', row: row!, stitch: Math.floor(stitches - before) + 1 };
    before += ends!;
  }
  return null;
}

interface Use {
  /** Grams a stitch. */
  each: { value: number; sd: number };
  /** Stitches done at the last weighing, which scrap was on the hook, and what was left of it. */
  done: number;
  scrap: number;
  left: number;
}

/** What the last weighing says: the scrap on the hook is that which the reckoning has there. */
function weighedUse(
  steps: readonly MakingStep[],
  events: readonly KeptEvent[],
  scraps: readonly ScrapSpec[],
  join: number,
  planned: { value: number; sd: number },
): Use | undefined {
  const ordered = standingEvents(inOrder(events));
  const last = ordered.filter((event) => event.kind === 'weighed').at(-1);
  if (!last) return undefined;
  const upTo = ordered.slice(0, ordered.indexOf(last) + 1);
  const made = doneIn(steps, upTo);
  const done = steps.reduce((sum, { id, row, ends }) => (row !== null && made.has(id) ? sum + (ends ?? 0) : sum), 0);
  const before = (index: number) => scraps.slice(0, index).reduce((sum, { grams }) => sum + grams - join, 0);
  // the scrap on the hook is the one that makes the yarn used most like what was reckoned
  const options = scraps
    .map((scrap, index) => ({ index, used: before(index) + scrap.grams - last.grams }))
    .filter(({ index, used }) => used > 0 && last.grams <= scraps[index]!.grams);
  const near = ({ used }: { used: number }) => Math.abs(Math.log(used / Math.max(1e-9, done * planned.value)));
  const [best] = options.sort((a, b) => near(a) - near(b));
  if (!best || done === 0) return undefined;
  const read = { value: best.used / done, sd: (Math.SQRT2 * SCALE_SD_G) / done };
  const [a, b] = [1 / planned.sd ** 2, 1 / read.sd ** 2];
  const each = { value: (a * planned.value + b * read.value) / (a + b), sd: 1 / Math.sqrt(a + b) };
  return { each, done, scrap: best.index, left: last.grams };
}
