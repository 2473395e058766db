import { work, type BaseId, type Instruction, type WorkedFabric } from '../../craft/fabric';
import type { Band } from '../../piece';
import type { Course, ShapeSchools } from '../definition';
import { bandRounds, levelOnLast, roundOf } from '../common/courses';
import { aroundChain } from '../common/aroundChain';

/** Where a tab's hole lies: stitches from its outer end to the hole, chains over it, stitches on to the fabric. */
export interface Tab {
  outer: number;
  hole: number;
  inner: number;
}

/** Stitches a tab juts out beyond the edge. */
export const tabStitches = ({ outer, hole, inner }: Tab): number => outer + hole + inner;

/** Rows of a tab: two that chain it out, one with both holes, one over them (handbook 5.8). */
export const TAB_ROWS = 4;

/** Rows between the tabs and the pocket’s mouth: one that leaves them, one plain (ours). */
export const BELOW_TABS = 2;

const UP: Instruction = { do: 'turning-chain', chains: 1, counts: false };

const chains = (count: number): Instruction => ({ do: 'chain', chains: count, spans: count, as: 'chains' });

/** One band from which a tab is chained out beyond both edges; both holes are in one row (handbook 5.8). */
function tabRows(half: number, tab: Tab): Instruction[][] {
  const { outer, hole, inner } = tab;
  const k = tabStitches(tab);
  const open = (into: 'chain' | 'stitch'): Instruction[] => [chains(hole), { do: 'skip', times: hole, into }];
  return [
    [UP, work('single', half), chains(k)],
    [UP, work('single', k, 'chain'), work('single', half), chains(k)],
    [
      UP,
      work('single', outer, 'chain'),
      ...open('chain'),
      work('single', inner, 'chain'),
      work('single', half + inner),
      ...open('stitch'),
      work('single', outer),
    ],
    [
      UP,
      work('single', outer),
      work('single', hole, 'chain'),
      work('single', half + 2 * inner),
      work('single', hole, 'chain'),
      work('single', outer),
    ],
  ];
}

/** Stitches a row of the tabs' band ends on. */
function tabEnds(half: number, tab: Tab): number[] {
  const k = tabStitches(tab);
  return [half + k, half + 2 * k, half + 2 * k, half + 2 * k];
}

/** The way over the bar, row by row, with the band of the tabs near its end where there are any. */
export interface SpanCourses {
  before: Course[];
  tabs: Course[];
  after: Course[];
}

/**
 * One face of a pocket goes on in rows: the first without turning, so that an odd number of them brings the next pocket out on
 * the same side (handbook 5.8).
 */
export function spanCourses(rows: number, half: number, tab: Tab | undefined): SpanCourses {
  const row = (instructions: Instruction[], ends: number, section: string, turned = true): Course => ({
    instructions,
    ends,
    kind: 'row',
    turned,
    section,
  });
  const plain = row([UP, work('single', half)], half, 'span');
  const first = row([UP, work('single', half), { do: 'leave', times: half }], half, 'span', false);
  const many = (count: number) => Array.from({ length: Math.max(0, count) }, () => plain);
  if (!tab) return { before: [first, ...many(rows - 1)], tabs: [], after: [] };
  const k = tabStitches(tab);
  const ends = tabEnds(half, tab);
  const back = row([{ do: 'slip-along', times: k }, UP, work('single', half), { do: 'leave', times: k }], half, 'span');
  return {
    before: [first, ...many(rows - TAB_ROWS - BELOW_TABS - 1)],
    tabs: tabRows(half, tab).map((instructions, index) => row(instructions, ends[index]!, 'tab')),
    after: [back, ...many(BELOW_TABS - 1)],
  };
}

/** The first pocket, round a chain from its bottom to its mouth. */
export function firstPocket(bands: readonly Band[], half: number, schools: ShapeSchools, section: string): Course[] {
  const { stitch } = bands[0]!.fabric;
  const { skipped } = stitch.foundation(false);
  const body = aroundChain(stitch.base, skipped, half, 0);
  return pocketRounds(begun(body, half, stitch.base, schools, section), bands, schools);
}

/** A pocket chained across from the end of a row, and worked round from its mouth down. */
export function hungPocket(bands: readonly Band[], half: number, schools: ShapeSchools, section: string): Course[] {
  const { base } = bands[0]!.fabric.stitch;
  const body: Instruction[] = [{ do: 'chain-across', chains: half }, work(base, half), work(base, half, 'chain')];
  return pocketRounds(begun(body, half, base, schools, section), bands, schools);
}

/** The row that closes a pocket's bottom through both its layers, from which the next one can be chained across. */
export const closingRow = (half: number): Course => ({
  instructions: [{ do: 'both-layers', stitch: 'single', times: half }],
  ends: half,
  kind: 'row',
  turned: false,
  section: 'bottom',
});

/** A first round has no height to climb to: it is joined where the school joins its rounds. */
function begun(body: Instruction[], half: number, base: BaseId, schools: ShapeSchools, section: string): Course {
  const course = roundOf(body, 2 * half, base, { ...schools, rounds: 'spiral' }, section);
  return schools.rounds === 'joined' ? { ...course, instructions: [...course.instructions, { do: 'join' }] } : course;
}

function pocketRounds(first: Course, bands: readonly Band[], schools: ShapeSchools): Course[] {
  const { ends, section } = first;
  const on = bands[0]!.fabric.stitch.base;
  return [first, ...bandRounds(bands, ends, schools, section, { upon: 'plain', done: 1, on })];
}

/** Bands of a pocket begun at its other end. */
export function fromTheMouth(bands: readonly Band[]): Band[] {
  const rounds = bands.at(-1)!.to;
  return [...bands].reverse().map((band) => ({ ...band, from: rounds + 1 - band.to, to: rounds + 1 - band.from }));
}

/** Whether the last of these bands leaves spaces, which the row that goes on from it cannot meet. */
export function leavesSpaces(bands: readonly Band[], stitches: number, schools: ShapeSchools): boolean {
  return levelOnLast(bands, stitches, schools, 1) !== undefined;
}

/** A band of one round more, of plain stitches, at the end of others. */
export function levelled(bands: readonly Band[], plain: WorkedFabric): Band[] {
  const last = bands.at(-1)!.to;
  return [...bands, { fabric: plain, from: last + 1, to: last + 1 }];
}
