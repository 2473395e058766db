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

function changed(from: number, to: number, stitch: string, phase: number, into: Place): Instruction[] {
  if (from === to) return [work(stitch, from, into)];
  const pieces =
    to > from
      ? shareOut(from, to, phase).map((count): Instruction =>
          count === 1 ? work(stitch, 1, into) : inOne(stitch, count, into),
        )
      : shareOut(to, from, phase).map((over): Instruction =>
          over === 1 ? work(stitch, 1, into) : { do: 'together', stitch, over, times: 1 },
        );
  return folded(runs(pieces));
}

/** Neighbours alike as one: three times one single becomes a single in each of three. */
function runs(list: readonly Instruction[]): Instruction[] {
  const out: Instruction[] = [];
  for (const one of list) {
    const last = out.at(-1);
    if (last && 'times' in last && 'times' in one && alike(last, one))
      out[out.length - 1] = { ...last, times: last.times + one.times } as Instruction;
    else out.push(one);
  }
  return out;
}

function alike(a: Instruction & { times: number }, b: Instruction & { times: number }): boolean {
  return JSON.stringify({ ...a, times: 0 }) === JSON.stringify({ ...b, times: 0 });
}

/**
 * A list as a repeat where it is one: as it stands, or after its first run is split off and set at the end, so that
 * "2 single, (increase, 5 single) 5 times, increase, 3 single" is written as short as makers write it.
 */
function folded(list: readonly Instruction[]): Instruction[] {
  for (let lead = 0; lead <= Math.min(2, list.length - 1); lead += 1) {
    const rest = list.slice(lead);
    const found = repeatsOf(rest);
    if (found)
      return [
        ...list.slice(0, lead),
        { do: 'repeat', of: rest.slice(0, found.size), times: found.times },
        ...rest.slice(found.size * found.times),
      ];
  }
  return [...list];
}

/** The repeat that makes the list shortest, if two or more of it stand at the beginning. */
function repeatsOf(list: readonly Instruction[]): { size: number; times: number } | undefined {
  const words = list.map((one) => JSON.stringify(one));
  let best: { size: number; times: number } | undefined;
  for (let size = 1; size <= Math.min(8, list.length / 2); size += 1) {
    let times = 1;
    while (sameAt(words, times * size, size)) times += 1;
    const saved = (times - 1) * size;
    if (times > 1 && saved > (best ? (best.times - 1) * best.size : 1)) best = { size, times };
  }
  return best;
}

function sameAt(words: readonly string[], from: number, size: number): boolean {
  if (from + size > words.length) return false;
  for (let index = 0; index < size; index += 1) if (words[from + index] !== words[index]) return false;
  return true;
}
