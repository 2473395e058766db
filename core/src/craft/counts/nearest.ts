import { PlanProblem } from '../../base/figure';
import { mmToken } from '../../base/units';
import type { CountCondition } from './conditions';

export interface CountAsk {
  /** The size wanted, mm. */
  askedMm: number;
  /** The size of a count, mm; grows evenly with the count. */
  sizeOf: (count: number) => number;
  /** All of them must hold. */
  conditions: readonly CountCondition[];
  /** Which error hurts more. */
  hurts: 'small' | 'large';
  /** The least count that makes sense. */
  atLeast: number;
  /** The plan's entry that asks, for the fault when no count will do. */
  path: string;
}

export interface CountOption {
  count: number;
  mm: number;
  best: boolean;
}

/** A millimetre in the direction that hurts costs this much more than one in the other (prior, ours, handbook 4). */
const HURT = 1.25;

/** How far from the wanted size counts are looked for: beyond any multiple and parity together. */
const REACH = 1200;

/**
 * The best count for a size, with the next one less and the next one more that obey every condition (handbook 4). The
 * nearer of the two either side wins unless it errs in the direction that hurts and is hardly nearer.
 *
 * @returns counts in rising order, one of them best; the lesser one is left out where none is large enough
 * @throws PlanProblem naming the conditions when no count obeys them all
 */
export function nearestCounts(ask: CountAsk): CountOption[] {
  const middle = countNear(ask);
  const below = seek(ask, Math.floor(middle + 1e-9), -1);
  const above = seek(ask, Math.floor(middle + 1e-9) + 1, 1);
  const best = cheaper(below, above, ask);
  if (best === undefined) throw new PlanProblem([{ path: ask.path, message: impossible(ask) }]);
  const less = best === above ? below : seek(ask, best - 1, -1);
  const more = best === below ? above : seek(ask, best + 1, 1);
  return [less, best, more]
    .filter((count): count is number => count !== undefined)
    .map((count) => ({ count, mm: ask.sizeOf(count), best: count === best }));
}

/** What each condition costs: how far off the best count is because of it, mm; only those that cost something. */
export function conditionCosts(ask: CountAsk): { condition: CountCondition; mm: number; without: number }[] {
  const bestOf = (conditions: readonly CountCondition[]) =>
    nearestCounts({ ...ask, conditions }).find(({ best }) => best)!;
  const now = bestOf(ask.conditions);
  return ask.conditions.flatMap((condition) => {
    const without = bestOf(ask.conditions.filter((other) => other !== condition));
    const mm = Math.abs(now.mm - ask.askedMm) - Math.abs(without.mm - ask.askedMm);
    return without.count !== now.count && mm > 0.05 ? [{ condition, mm, without: without.count }] : [];
  });
}

/** So many counts tell how much one adds on the whole, where not all add alike: rows of a stripe. */
const SEVERAL = 120;

/** The count, not yet whole, whose size is the asked one. */
function countNear({ askedMm, sizeOf, atLeast }: CountAsk): number {
  const one = (sizeOf(atLeast + SEVERAL) - sizeOf(atLeast)) / SEVERAL;
  const near = Math.max(atLeast, atLeast + (askedMm - sizeOf(atLeast)) / one);
  let whole = Math.floor(near + 1e-9);
  while (whole > atLeast && sizeOf(whole) > askedMm + 1e-9) whole -= 1;
  while (sizeOf(whole + 1) <= askedMm + 1e-9) whole += 1;
  return whole === Math.floor(near + 1e-9) ? near : whole;
}

function seek({ conditions, atLeast }: CountAsk, from: number, step: 1 | -1): number | undefined {
  for (let count = from; Math.abs(count - from) <= REACH && count >= atLeast; count += step) {
    if (conditions.every((condition) => condition.allows(count))) return count;
  }
  return undefined;
}

function cheaper(a: number | undefined, b: number | undefined, ask: CountAsk): number | undefined {
  if (a === undefined || b === undefined) return a ?? b;
  return cost(b, ask) < cost(a, ask) ? b : a;
}

function cost(count: number, ask: CountAsk): number {
  const error = ask.sizeOf(count) - ask.askedMm;
  const hurting = ask.hurts === 'small' ? error < 0 : error > 0;
  return Math.abs(error) * (hurting ? HURT : 1);
}

function impossible({ conditions, askedMm }: CountAsk): string {
  const all = conditions.map(({ text }) => text).join('; ');
  return `No count near ${mmToken(askedMm)} is ${all}. Drop one of these wishes.`;
}
