import type { Rhythm } from './rhythm';

/**
 * What a stitch is worked into. A gap lies between or in the middle of stitches; a space is a loop of chains; the end is
 * that of a strip, the corner the one the hook stands at, the start that of the round; a cord is worked into itself. These last use
 * up no place.
 */
export type Place =
  | 'stitch'
  | 'chain'
  | 'space'
  | 'gap'
  | 'ring'
  | 'end'
  | 'corner'
  | 'start'
  | 'free-loop'
  | 'row-end'
  | 'row'
  | 'itself';

/** What goes into one place beside what: so many stitches of a kind, or chains that span so many columns. */
export type GroupPart = { stitch: string; count: number } | { chains: number; spans: number };

/**
 * What a row tells the hands to do, as data: the written pattern is worded from it and the referee works it stitch by
 * stitch, so that both always speak of the same row. A row's count is in columns: a stitch is one, a space as many as
 * it spans.
 */
export type Instruction =
  /** One stitch into each of the next `times` places. */
  | { do: 'work'; stitch: string; times: number; into: Place }
  /** So many stitches shared out over `over` places, along row ends, in a rhythm that comes to just as many. */
  | { do: 'along'; stitch: string; times: number; over: number; into: Place; rhythm: Rhythm }
  /** Several into one place, which takes up `over` of the columns below: an increase, a V, a cluster, a corner. */
  | { do: 'group'; parts: readonly GroupPart[]; over: number; into: Place; times: number }
  /** One stitch over several: a decrease. */
  | { do: 'together'; stitch: string; over: number; times: number }
  /** Leave the next `times` places unworked; `counts` where they stand for the row's first stitch. */
  | { do: 'skip'; times: number; into: Place; counts?: boolean }
  /** Chains at the start of a row or round that bring the hook up to height. */
  | { do: 'turning-chain'; chains: number; counts: boolean }
  /** A loop of chains that spans columns, to be worked into as one space, or chain by chain. */
  | { do: 'chain'; chains: number; spans: number; as: 'space' | 'chains' }
  /** Skip one, a stitch in the next, a stitch in the skipped one. */
  | { do: 'crossed'; stitch: string; times: number }
  /** A stitch round the post of the one just made: uses no place. */
  | { do: 'wrapped'; stitch: string; times: number }
  /** A free loop of chains, closed into the stitch just made or held by the next one. Neither consumes nor makes stitches. */
  | { do: 'loop'; chains: number; closes: 'same-stitch' | 'next-stitch' }
  /** Round the end of the chain and along its other side. */
  | { do: 'other-side'; chains: number }
  /** Around a strip, down the ends of its rows and up those of its other side; then comes its last row. */
  | { do: 'along-sides'; rows: number }
  /** The last stitch went into the top of the counted chain that the row below began with; no stitch of its own. */
  | { do: 'last-in-top' }
  /** Slip stitch into the first stitch of the round, or into the top of the chain that counts as it; no stitch of its own. */
  | { do: 'join'; into?: 'chain' }
  /** Begin in the loop of chains the hook stands in the middle of. */
  | { do: 'mid-loop' }
  /** The round's last loop: half its chain and a stitch tall enough for the rest into its first stitch, so that the hook stands in its middle. */
  | { do: 'close-loop'; chains: number; stitch: string; spans: number }
  /** On to the loops that a round of the wall left free, so many of them; the first time to those the yarn is joined in. */
  | { do: 'next-ring'; loops: number; first?: true }
  /** Chains across to the other end of the row, joined there: what is made goes on round both. */
  | { do: 'chain-across'; chains: number }
  /** With a tube laid flat, one stitch through each pair of stitches of both its layers: it is closed. */
  | { do: 'both-layers'; stitch: string; times: number }
  /** Slip stitches back along what juts out, to where the row begins: no stitches of their own. */
  | { do: 'slip-along'; times: number }
  /** A slip stitch into a named place elsewhere, where a chain is held. */
  | { do: 'anchor'; place: string }
  /** Leave the rest for later. */
  | { do: 'leave'; times: number }
  /** A row of the maker's own pattern. */
  | { do: 'own-row'; row: number; name: string; stitches: number; into: Place; says?: string }
  | { do: 'repeat'; of: readonly Instruction[]; times: number };

/** One stitch in each of so many places. */
export function work(stitch: string, times: number, into: Place = 'stitch'): Instruction {
  return { do: 'work', stitch, times, into };
}

/** So many of one stitch into one place. */
export function inOne(stitch: string, count: number, into: Place = 'stitch', over = 1, times = 1): Instruction {
  return { do: 'group', parts: [{ stitch, count }], over, into, times };
}

/** A repeat, or its one instruction done as often where it is a single one. */
export function repeat(of: readonly Instruction[], times: number): Instruction[] {
  if (times <= 0) return [];
  if (times === 1) return [...of];
  return [{ do: 'repeat', of, times }];
}
