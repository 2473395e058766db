import type { Rhythm } from '../fabric';

interface PickUp {
  stitches: number;
  rhythm: Rhythm;
}

/** How far from the length's own count one may go to be sayable, and how far where that gives none (law, handbook 4.2). */
const [NEAR, FURTHER] = [0.04, 0.06] as const;
const LEAST_WINDOW = 0.6;

/** A way to say a count: how many clauses it takes, and how unlike its remainder is to what is repeated. */
interface Saying {
  rhythm: Rhythm;
  clauses: number;
  uneven: number;
}

/**
 * Stitches to pick up along row ends: near `R h / w`, and such that a maker can say and keep the rhythm (law, handbook 4.2).
 *
 * @param rows row ends along the edge, 1 or more
 * @param rowHeight mm
 * @param stitchWidth width of the stitches that are picked up, mm
 */
export function pickUp(rows: number, rowHeight: number, stitchWidth: number): PickUp {
  const wanted = (rows * rowHeight) / stitchWidth;
  const key = `${rows} ${wanted}`;
  const before = known.get(key);
  if (before) return before;
  const stitches = sayable(rows, wanted, NEAR) ?? sayable(rows, wanted, FURTHER) ?? Math.max(1, Math.round(wanted));
  const found = { stitches, rhythm: rhythmOf(stitches, rows) };
  if (known.size > MOST_KNOWN) known.clear();
  known.set(key, found);
  return found;
}

/** Every drag asks for the same edges again. */
const known = new Map<string, PickUp>();
const MOST_KNOWN = 500;

/** The count within a share of what is wanted that takes the fewest clauses, then the nearest, then the most even one. */
function sayable(places: number, wanted: number, share: number): number | undefined {
  const window = Math.max(share * wanted, LEAST_WINDOW);
  let best: { count: number; clauses: number; off: number; uneven: number } | undefined;
  for (let count = Math.max(1, Math.ceil(wanted - window)); count <= wanted + window; count += 1) {
    const said = saying(count, places);
    if (!said) continue;
    const off = Math.abs(count - wanted);
    const one = { count, clauses: said.clauses, off, uneven: said.uneven };
    if (!best || before(one, best)) best = one;
  }
  return best?.count;
}

type Rank = Record<'clauses' | 'off' | 'uneven', number>;

function before(one: Rank, best: Rank): boolean {
  if (one.clauses !== best.clauses) return one.clauses < best.clauses;
  if (Math.abs(one.off - best.off) > 1e-9) return one.off < best.off;
  return one.uneven < best.uneven;
}

/**
 * How so many stitches are shared out over so many places, exactly: as a rhythm that can be said where there is one, else evenly,
 * the places listed that get another number (law, handbook 4.2). A place that is skipped is never the first or the last.
 *
 * @param stitches 1 or more
 * @param places 1 or more
 */
export function rhythmOf(stitches: number, places: number): Rhythm {
  const key = stitches * MOST_PLACES + places;
  const before = rhythms.get(key);
  if (before) return before;
  const rhythm = saying(stitches, places)?.rhythm ?? listed(stitches, places);
  if (rhythms.size > MOST_KNOWN) rhythms.clear();
  rhythms.set(key, rhythm);
  return rhythm;
}

const rhythms = new Map<number, Rhythm>();
const MOST_PLACES = 1e6;

/** What most places get, what the others do, and how many those are. */
function sharesOf(stitches: number, places: number): { most: number; other: number; others: number } {
  const low = Math.floor(stitches / places);
  const more = stitches - low * places;
  return more * 2 >= places
    ? { most: low + 1, other: low, others: places - more }
    : { most: low, other: low + 1, others: more };
}

function saying(stitches: number, places: number): Saying | undefined {
  const { most, other, others } = sharesOf(stitches, places);
  if (others === 0) return { rhythm: { parts: [{ each: most, places }] }, clauses: 1, uneven: 0 };
  // more skipped than worked: both ends are worked all the same
  if (most === 0) return sparse(stitches, places);
  const plain = repeated(most, other, others, places);
  return plain ?? alternating(most, other, others, places);
}

/** Whether so many may be left over after parts of so many each. */
const closes = (left: number, each: number, skips: boolean) => left >= (skips ? 1 : 0) && left <= 1.5 * each + 1;

/** The one of two ways to say the same count that takes fewer clauses, then the more even one. */
function shorter(one: Saying | undefined, other: Saying): Saying {
  if (!one || other.clauses < one.clauses) return other;
  return other.clauses === one.clauses && other.uneven < one.uneven ? other : one;
}

/** `[u in each of the next a, v in the next] m times, u in each of the last c` */
function repeated(each: number, other: number, times: number, places: number): Saying | undefined {
  let best: Saying | undefined;
  for (let run = 1; times * (run + 1) <= places; run += 1) {
    const left = places - times * (run + 1);
    const uneven = Math.abs(left - run);
    const level = times > 1 || uneven <= 1;
    if (!closes(left, run, other === 0) || !level) continue;
    const again = {
      again: [
        { each, places: run },
        { each: other, places: 1 },
      ],
      times,
    };
    const parts = left > 0 ? [again, { each, places: left }] : [again];
    best = shorter(best, { rhythm: { parts }, clauses: 1 + parts.length, uneven });
  }
  return best;
}

/** The same with runs that are one longer every second time. */
function alternating(each: number, other: number, others: number, places: number): Saying | undefined {
  const times = others / 2;
  if (!Number.isInteger(times)) return undefined;
  let best: Saying | undefined;
  for (let run = 1; times * (2 * run + 3) <= places; run += 1) {
    const left = places - times * (2 * run + 3);
    const uneven = Math.abs(left - run);
    if (!closes(left, run, other === 0)) continue;
    const one = { each: other, places: 1 };
    const again = { again: [{ each, places: run }, one, { each, places: run + 1 }, one], times };
    const parts = left > 0 ? [again, { each, places: left }] : [again];
    best = shorter(best, { rhythm: { parts }, clauses: 3 + parts.length, uneven });
  }
  return best;
}

/** One in the next, then so many skipped and one in the next, over and over. */
function sparse(stitches: number, places: number): Saying | undefined {
  const gaps = stitches - 1;
  const run = (places - stitches) / Math.max(1, gaps);
  if (gaps < 1 || !Number.isInteger(run)) return undefined;
  const again = {
    again: [
      { each: 0, places: run },
      { each: 1, places: 1 },
    ],
    times: gaps,
  };
  return { rhythm: { parts: [{ each: 1, places: 1 }, again] }, clauses: 3, uneven: 0 };
}

/** Evenly spread: what is skipped between the first place and the last, what alone is worked into from one to the other. */
function listed(stitches: number, places: number): Rhythm {
  const { most, other, others } = sharesOf(stitches, places);
  const [first, apart] = most === 0 && others > 1 ? [1, (places - 1) / (others - 1)] : [0, (places + 1) / (others + 1)];
  const at = Array.from({ length: others }, (_, index) =>
    Math.round(first === 1 ? 1 + index * apart : (index + 1) * apart),
  );
  return { each: most, others: other, at, places };
}
