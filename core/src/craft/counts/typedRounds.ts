import { attempted, PlanProblem, type Advice } from '../../base/figure';
import { formatNumber, listed } from '../../base/units';
import { FLAT_WITHIN } from './flatRounds';

/** A round can at most double the one before it: two in each. */
const MOST_TIMES = 2;

/** More rounds than this no base has here. */
const MOST_ROUNDS = 200;

/**
 * The counts of a base as the maker types them, round by round: each at least the one before, at most twice it (law, handbook 14).
 *
 * @param text numbers with anything but figures between them
 * @param path the plan's entry
 * @returns stitches of each round; nothing where nothing is typed
 * @throws PlanProblem naming the round, what it has and what it could have
 */
export function typedCounts(text: unknown, path: string): readonly number[] | undefined {
  if (typeof text !== 'string' || text.trim() === '') return undefined;
  const refuse = (message: string): never => {
    throw new PlanProblem([{ path, message }]);
  };
  if (!/^\s*\d+(?:\s*[,;\s]\s*\d+)*\s*$/.test(text))
    return refuse(`“${text}” is no list of numbers. Type the stitches of each round: 6, 12, 18.`);
  const counts = text.match(/\d+/g)!.map(Number);
  if (counts.length > MOST_ROUNDS)
    return refuse(`${counts.length} rounds are too many for a base. Type ${MOST_ROUNDS} or fewer.`);
  if (counts[0]! < 3) return refuse(`Round 1 has ${counts[0]!} stitches. Begin with 3 or more.`);
  counts.forEach((count, index) => {
    const before = counts[index - 1];
    if (before === undefined || (count >= before && count <= MOST_TIMES * before)) return;
    const near = count < before ? before : MOST_TIMES * before;
    refuse(
      `Round ${index + 1} has ${count} stitches after ${before}: ${before} to ${MOST_TIMES * before} can be worked. Use ${near}.`,
    );
  });
  return counts;
}

/**
 * The list as it ends on another count: the rounds that have fewer, then that one (law, handbook 14).
 *
 * @param counts stitches of each round, as typed
 * @param last stitches wanted of the last round
 * @returns what to type; nothing where no round before leads up to so many
 */
export function endedOn(counts: readonly number[], last: number): string | undefined {
  const list = [...counts.filter((count) => count < last), last].join(', ');
  return attempted(() => typedCounts(list, '')) && list;
}

/**
 * How rounds lie as they are worked: `N w / (2πkh) − 1` (law, handbook 14).
 *
 * @param h round height and `w` stitch width, mm
 * @returns a share for each round: 0 lies flat, more ruffles, less cups
 */
export const liesOff = (counts: readonly number[], h: number, w: number): number[] =>
  counts.map((count, index) => (count * w) / (2 * Math.PI * (index + 1) * h) - 1);

/** What there is to say of a base that was typed: which of its rounds cup or ruffle, and by how much (handbook 4.1). */
export function typedAdvice(counts: readonly number[], h: number, w: number): Advice[] {
  const off = liesOff(counts, h, w);
  // the first round is a ring that draws together
  const worst = off.slice(1).reduce((most, one) => (Math.abs(one) > Math.abs(most) ? one : most), 0);
  if (Math.abs(worst) <= FLAT_WITHIN) return [];
  const percent = off.map(
    (one) => `${one > 0 ? '+' : one < 0 ? '−' : ''}${formatNumber(Math.abs(Math.round(100 * one)))} %`,
  );
  return [
    {
      id: worst > 0 ? 'base-ruffles' : 'base-cups',
      severity: 'advice',
      text: `Against what lies flat in your {gauge} the rounds of the base have ${listed(percent)}: it ${worst > 0 ? 'ruffles' : 'cups'}.`,
      repair: 'Say that the base is meant to, or leave the list empty for rounds that lie flat.',
      change: { 'shape.cupped': 'on-purpose' },
      at: 'shape.counts',
    },
  ];
}
