import { inOne, work, type Instruction, type Place } from '../fabric';

/**
 * How many stitches to work into each of `from` places so that `to` come out, shared out as evenly as whole numbers
 * can be (Bresenham; law, handbook 4.1).
 *
 * @param phase 0 to 1: moves the changes on by that share of the way between two of them, so that those of following
 *   rounds do not stack to corners
 */
export function shareOut(from: number, to: number, phase = 0): number[] {
  const shift = from === to ? 0 : (phase * from) / Math.abs(to - from);
  const at = (place: number) => Math.floor(((place + shift) * to) / from + 1e-9);
  return Array.from({ length: from }, (_, place) => at(place + 1) - at(place));
}

/**
 * A round that goes from one count to another: increases where it grows, decreases where it shrinks, spread evenly and
 * staggered by the phase (handbook 4.1).
 *
 * @param stitch the stitch it is worked in
 * @param phase 0 to 1, as in shareOut
 */
export function changeRound(
  from: number,
  to: number,
  stitch: string,
  phase = 0,
  into: Place = 'stitch',
): Instruction[] {
  const key = `${from} ${to} ${stitch} ${phase} ${into}`;
  const before = known.get(key);
  if (before) return before;
  const round = changed(from, to, stitch, phase, into);
  if (known.size > 2000) known.clear();
  known.set(key, round);
  return round;
}

/** Rounds already shared out: the same change is asked for on every keystroke. */
const known = new Map<string, Instruction[]>();

/** So many places in a row that are worked alike: `share` stitches into each, or each stitch over `share` of them. */
interface Run {
  share: number;
  times: number;
}

function changed(from: number, to: number, stitch: string, phase: number, into: Place): Instruction[] {
  if (from === to) return [work(stitch, from, into)];
  const grows = to > from;
  const said = ({ share, times }: Run): Instruction => {
    if (share === 1) return work(stitch, times, into);
    return grows ? inOne(stitch, share, into, 1, times) : { do: 'together', stitch, over: share, times };
  };
  return folded(runs(grows ? shareOut(from, to, phase) : shareOut(to, from, phase)), said);
}

/** Neighbours alike as one: three times one single becomes a single in each of three. */
function runs(shares: readonly number[]): Run[] {
  const out: Run[] = [];
  for (const share of shares) {
    const last = out.at(-1);
    if (last?.share === share) last.times += 1;
    else out.push({ share, times: 1 });
  }
  return out;
}

/**
 * A list as a repeat where it is one: as it stands, or after its first run is split off and set at the end, so that
 * "2 single, (increase, 5 single) 5 times, increase, 3 single" is written as short as makers write it.
 */
function folded(list: readonly Run[], said: (run: Run) => Instruction): Instruction[] {
  for (let lead = 0; lead <= Math.min(2, list.length - 1); lead += 1) {
    const found = repeatFrom(list, lead);
    if (!found) continue;
    const end = lead + found.size * found.times;
    return [
      ...list.slice(0, lead).map(said),
      { do: 'repeat', of: list.slice(lead, lead + found.size).map(said), times: found.times },
      ...list.slice(end).map(said),
    ];
  }
  return list.map(said);
}

/** The longest repeat that is looked for, in runs. */
const LONGEST_REPEAT = 8;

/** The repeat that makes the list shortest from a place on, if two or more of it stand there. */
function repeatFrom(list: readonly Run[], from: number): { size: number; times: number } | undefined {
  let best: { size: number; times: number } | undefined;
  for (let size = 1; size <= Math.min(LONGEST_REPEAT, (list.length - from) / 2); size += 1) {
    let times = 1;
    while (sameAt(list, from, from + times * size, size)) times += 1;
    const saved = (times - 1) * size;
    if (times > 1 && saved > (best ? (best.times - 1) * best.size : 1)) best = { size, times };
  }
  return best;
}

function sameAt(list: readonly Run[], a: number, b: number, size: number): boolean {
  if (b + size > list.length) return false;
  for (let index = 0; index < size; index += 1) {
    const [one, other] = [list[a + index]!, list[b + index]!];
    if (one.share !== other.share || one.times !== other.times) return false;
  }
  return true;
}
