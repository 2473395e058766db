/** A channel in whole columns. */
export interface Channel {
  name: string;
  columns: number;
  mm: number;
  /** First column, from 1. */
  from: number;
}

export interface Divided {
  channels: Channel[];
  /** Of each channel, what its lines take of its columns. */
  lost: number[];
  /** Where each line lies, as so many columns from the left: on one, or between two. */
  lines: number[];
  /** Columns over after every channel has what it needs; negative where there are too few. */
  over: number;
}

/** How lines between channels are made, and what one takes of the fabric's width, in stitches (prior, handbook 6). */
export const LINES = [
  { id: 'sewn', name: 'sewn, between two columns', takes: 0.3 },
  { id: 'crocheted', name: 'crocheted on, along a column', takes: 1 },
] as const;

export type Line = (typeof LINES)[number];

/** A line by its id; sewn where none is named. */
export const lineOf = (id: unknown): Line => LINES.find((line) => line.id === id) ?? LINES[0];

/**
 * Channels fitted in the order given and snapped to columns. A crocheted line lies on a column of its own; a sewn one
 * between two, and takes its part of both. What is over goes where the maker says: to the last channel, the first, or shared
 * out (handbook 6).
 */
export function divide(
  widths: readonly { name: string; mm: number }[],
  columns: number,
  w: number,
  over: string,
  line: Line = LINES[1],
): Divided {
  const own = line.id === 'crocheted' ? 1 : 0;
  const lost = (index: number) => (own ? 0 : (sidesOf(index, widths.length) * line.takes) / 2);
  const needs = widths.map(({ mm }, index) => Math.max(1, Math.ceil(mm / w + lost(index) - 1e-9)));
  const left = columns - needs.reduce((sum, need) => sum + need, 0) - own * (widths.length - 1);
  const given =
    left < 0 && columns > 0
      ? squeezed(needs, columns - own * (widths.length - 1))
      : needs.map((need, index) => need + shareOf(index, widths.length, Math.max(0, left), over));
  let at = 1;
  const channels = widths.map(({ name }, index) => {
    const channel = { name, columns: given[index]!, mm: (given[index]! - lost(index)) * w, from: at };
    at += given[index]! + own;
    return channel;
  });
  return {
    channels,
    lost: widths.map((_, index) => lost(index)),
    lines: channels.slice(1).map(({ from }) => from - 1),
    over: left,
  };
}

/** Fewer columns than all need: each its share of what there is, one at the least, so that together they are no more. */
function squeezed(needs: readonly number[], columns: number): number[] {
  const all = needs.reduce((sum, need) => sum + need, 0);
  let [need, done] = [0, 0];
  return needs.map((own, index) => {
    need += own;
    const reached = Math.max(
      done + 1,
      Math.min(columns - (needs.length - 1 - index), Math.round((need * columns) / all)),
    );
    const given = reached - done;
    done = reached;
    return given;
  });
}

/** Lines a channel has beside it. */
const sidesOf = (index: number, count: number) => (index > 0 ? 1 : 0) + (index < count - 1 ? 1 : 0);

function shareOf(index: number, count: number, left: number, over: string): number {
  if (over === 'last') return index === count - 1 ? left : 0;
  if (over === 'first') return index === 0 ? left : 0;
  return Math.floor(((index + 1) * left) / count) - Math.floor((index * left) / count);
}
