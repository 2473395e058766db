import type { Act, Into } from './acts';

/** A place to work into: a stitch, a chain, or chains that stand for a stitch; what was made in one place shares its number. */
interface Place {
  is: 'stitch' | 'chain' | 'top';
  of: number;
}

/** The course below as the hook meets it, and what it has made of it. */
export interface Course {
  places: Place[];
  /** Loops, as they came: their chains. */
  loops: number[];
}

export const chained = (chains: number): Course => ({
  places: Array.from({ length: chains }, (_, at) => ({ is: 'chain', of: at })),
  loops: [],
});

export const stitched = (stitches: number): Course => ({
  places: Array.from({ length: stitches }, (_, at) => ({ is: 'stitch', of: at })),
  loops: [],
});

export const turnedRound = ({ places, loops }: Course): Course => ({
  places: [...places].reverse(),
  loops: [...loops].reverse(),
});

/** Whether all places are taken by what a foundation chain's two sides, or the row ends of a strip, hold. */
interface Hand {
  below: readonly Place[];
  at: number;
  made: Place[];
  marks: number;
  /** Where places cannot be counted from the words: the row ends of a strip. */
  open: boolean;
  /** Chains the first stitch left out, which are no places of the other side. */
  skipped: number;
  first: boolean;
  /** Whether what is below is laid flat, one layer on the other. */
  flat: boolean;
}

interface About {
  /** Whether “each stitch” may be a chain as well. */
  chainBelow: boolean;
  /** Chains of the loops it is said to end on, which begin it where it has one alone. */
  loopChains: number;
  /** Whether it is worked into its foundation. */
  first: boolean;
}

/** @throws Error where the words and the places do not go together */
export function worked(acts: readonly Act[], below: Course, { chainBelow, loopChains, first: isFirst }: About): Course {
  const hand: Hand = {
    below: below.places,
    at: 0,
    made: [],
    marks: 0,
    open: false,
    skipped: 0,
    first: isFirst,
    flat: acts.some((act) => act.do === 'work' && act.flat === true),
  };
  // slips that lead on to where it begins are no part of it
  const from = acts[0]?.do === 'skip' && acts[1]?.do === 'chain' && acts[1].chains === 1 && acts[0].slipped ? 1 : 0;
  const [first, second] = acts.slice(from);
  // chains that begin a course bring the hook up, unless they lead over as many places left out
  const isUp =
    first?.do === 'chain' && !(second?.do === 'skip' && second.places === first.chains) && first.chains !== loopChains;
  run(isUp ? [...acts.slice(0, from), ...acts.slice(from + 1)] : acts, hand, chainBelow);
  if (!hand.open && hand.at < hand.below.length) throw new Error(`${hand.below.length - hand.at} places are left over`);
  return { places: hand.made, loops: loopsIn(hand.made) };
}

function loopsIn(places: readonly Place[]): number[] {
  const loops: number[] = [];
  let run = 0;
  for (const { is } of [...places, { is: 'stitch' }]) {
    if (is === 'chain') run += 1;
    else if (run > 0) {
      loops.push(run);
      run = 0;
    }
  }
  return loops;
}

function run(acts: readonly Act[], hand: Hand, chainBelow: boolean): void {
  acts.forEach((act, index) => {
    one(act, hand, acts.slice(index + 1), chainBelow);
  });
}

function one(act: Act, hand: Hand, then: readonly Act[], chainBelow: boolean): void {
  switch (act.do) {
    case 'nothing':
      return;
    case 'stand':
      hand.made.push({ is: 'top', of: (hand.marks += 1) });
      return;
    case 'chain':
      hand.marks += 1;
      for (let at = 0; at < act.chains; at += 1) hand.made.push({ is: 'chain', of: hand.marks });
      return;
    case 'wrap':
      for (let at = 0; at < act.times; at += 1) hand.made.push({ is: 'stitch', of: hand.marks });
      return;
    case 'skip':
      if (hand.at === 0 && act.into === 'chain' && hand.made.length === 0) hand.skipped = act.places;
      return eat(hand, act.into, act.places);
    case 'leave':
      return eat(hand, 'any', act.places);
    case 'take':
      eat(hand, 'stitch', act.eats);
      hand.marks += 1;
      for (let at = 0; at < act.makes; at += 1) hand.made.push({ is: 'stitch', of: hand.marks });
      return;
    case 'other-side':
      if (!hand.first) {
        hand.open = true;
        return;
      }
      if (hand.at < hand.below.length) throw new Error('chains of the first side are left');
      hand.below = hand.below.slice(hand.skipped);
      hand.at = 0;
      return;
    case 'row-ends':
      hand.open = true;
      return;
    case 'across':
      hand.below = [...hand.below, ...chained(act.chains).places];
      return;
    case 'in-loop': {
      // the loop the hook stands in comes first
      const from = hand.below.findLastIndex(({ is }) => is !== 'chain') + 1;
      hand.below = [...hand.below.slice(from), ...hand.below.slice(0, from)];
      return;
    }
    case 'close-loop':
      hand.marks += 1;
      for (let at = 0; at < act.chains + 1; at += 1) hand.made.push({ is: 'chain', of: hand.marks });
      return;
    case 'repeat':
      return repeat(act, hand, then, chainBelow);
    case 'work':
      return work(act, hand, then, chainBelow);
  }
}

function repeat(act: Extract<Act, { do: 'repeat' }>, hand: Hand, then: readonly Act[], chainBelow: boolean): void {
  if (act.times !== 'rest') {
    for (let at = 0; at < act.times; at += 1) run(act.of, hand, chainBelow);
    return;
  }
  const rest = placesOf(then);
  while (left(hand) > rest) {
    const before = left(hand);
    run(act.of, hand, chainBelow);
    if (left(hand) >= before) throw new Error('a repeat without an end');
  }
}

const left = (hand: Hand) => hand.below.length - hand.at;

/** How many places stitches told by number take: what comes after as many as there are. */
function placesOf(acts: readonly Act[]): number {
  return acts.reduce((sum, act) => {
    if (act.do === 'skip' || act.do === 'leave') return sum + act.places;
    if (act.do === 'take') return sum + act.eats;
    if (act.do !== 'work' || act.places === 'rest' || act.into === 'none') return sum;
    return sum + act.places * (act.into === 'pair' ? 2 : 1);
  }, 0);
}

function work(act: Extract<Act, { do: 'work' }>, hand: Hand, then: readonly Act[], chainBelow: boolean): void {
  const places = act.places === 'rest' ? left(hand) - placesOf(then) : act.places;
  for (let at = 0; at < places; at += 1) {
    eat(hand, act.places === 'rest' && chainBelow ? 'any' : act.into, 1);
    hand.marks += 1;
    for (const part of act.cluster ?? [{ stitches: act.each }]) {
      const [is, many] = 'chains' in part ? (['chain', part.chains] as const) : (['stitch', part.stitches] as const);
      for (let more = 0; more < many; more += 1) hand.made.push({ is, of: hand.marks });
    }
  }
}

/** Takes places from the course below. */
function eat(hand: Hand, into: Into, places: number): void {
  if (into === 'none' || hand.open) return;
  for (let at = 0; at < places; at += 1) {
    const next = hand.below[hand.at];
    if (!next) throw new Error(`no ${into} is left to work into`);
    if (into === 'space' || into === 'gap') {
      const isSpace = into === 'space';
      if (isSpace !== (next.is === 'chain')) throw new Error(`a ${into} is wanted where a ${next.is} is`);
      // a space is all its chains; a gap is before all of one group
      while (
        hand.below[hand.at] &&
        hand.below[hand.at]!.is === next.is &&
        (isSpace || hand.below[hand.at]!.of === next.of)
      )
        hand.at += 1;
      continue;
    }
    if (into === 'pair') {
      const after = hand.below[hand.at + 1];
      if (!after) throw new Error('no pair is left to work into');
      // both layers of what is laid flat are a pair too: one of either end
      if (hand.first === false && after.of !== next.of && !hand.flat)
        throw new Error('a pair is wanted where stitches are single');
      hand.at += 2;
      continue;
    }
    if (into === 'chain' && next.is !== 'chain') throw new Error('a chain is wanted where a stitch is');
    if (into === 'stitch' && next.is === 'chain') throw new Error('a stitch is wanted where a chain is');
    hand.at += 1;
  }
}

/** What a course is said to end on, held against what was made. */
export function countFault(said: string, { places, loops }: Course): string | undefined {
  const stitches = places.filter(({ is }) => is !== 'chain').length;
  const chains = places.length - stitches;
  const total = (sums: readonly (readonly [string, number, number])[]) => sums.find(([, told, made]) => told !== made);
  const wrong = (list: readonly (readonly [string, number, number])[]) => {
    const found = total(list);
    return found && `“${said}”: ${found[2]} ${found[0]} were made`;
  };
  const number = (words: RegExp) => Number(words.exec(said)?.[1] ?? 0);
  const also = number(/and (\d+) stitch/);
  const vs = /^(\d+) Vs?\b/.exec(said);
  if (vs) return wrong([['stitches', 2 * Number(vs[1]) + also, stitches]]);
  const groups = /^(\d+) groups? of (\d+)/.exec(said);
  if (groups) return wrong([['stitches', Number(groups[1]) * Number(groups[2]) + also, stitches]]);
  const mesh = /^(\d+) (?:chain-(\d+) loops?|loops? of (\d+) chains)(?: and (\d+) stitch(?:es)?)?$/.exec(said);
  if (mesh)
    return wrong([
      ['loops', Number(mesh[1]), loops.length],
      ['stitches', Number(mesh[4] ?? 0), stitches],
    ]);
  const plain = /^(\d+) stitch(?:es)?(?: and (\d+) chains?)?$/.exec(said);
  if (plain)
    return wrong([
      ['stitches', Number(plain[1]), stitches],
      ...(plain[2] === undefined ? [] : [['chains', Number(plain[2]), chains] as const]),
    ]);
  const bare = /^(\d+) chains?$/.exec(said);
  if (bare) return wrong([['chains', Number(bare[1]), places.length]]);
  return `not understood: ${said}`;
}
