import { BUTTON_THICKNESS_MM, refuseBeyond, slotChains } from '../../craft/counts';
import type { WorkedFabric } from '../../craft/fabric';
import { chosen, derive, PlanProblem, type Figure } from '../../base/figure';
import { bottomGive } from '../../craft/fit';
import type { Band } from '../../piece';
import { isFlat, type PocketWant, type WorkedBar } from '../../craft/things';
import { leastToken, mmToken, plural, typedToken } from '../../base/units';
import { wallBands } from '../common/roundPiece';
import type { ShapeContext } from '../definition';
import { BELOW_TABS, fromTheMouth, leavesSpaces, levelled, TAB_ROWS, type Tab } from './courses';
import type { Shares } from './shares';

type Mm = Figure<'mm'>;

/** What a tab overlaps besides its button, mm (prior, ours). */
const TAB_OVERLAP_MM = 30;

/** Stitches from a tab's outer end to its hole (ours). */
const BEYOND_HOLE = 2;

/** A pocket as it is worked: its bands in the order of its rounds, and how deep it is with the row that closes it. */
export interface SaddlePocket {
  name: string;
  bands: readonly Band[];
  rounds: number;
  mm: number;
  wanted: Mm;
  /** The row through both layers at its bottom; none round a chain. */
  closed: boolean;
}

/** All that a saddle comes to in counts. */
export interface SaddleSizes {
  /** Stitches of one face. */
  half: number;
  front: SaddlePocket;
  behind: readonly SaddlePocket[];
  spanRows: number;
  spanMm: number;
  span: Mm;
  tab: Tab | undefined;
  /** What the way over the bar, tabs and closing rows are worked in. */
  rows: WorkedFabric;
}

/**
 * Every count of a saddle whose faces have so many stitches.
 * @throws PlanProblem where a tab is too short for its hole, or the pockets behind leave nothing for the last
 */
export function sizesOf(context: ShapeContext, bar: WorkedBar, shares: Shares, half: number): SaddleSizes {
  const { fabric, carrier } = context;
  const rows = fabric.also('single', 'rows');
  const tab = isFlat(carrier!) ? undefined : tabOf(context, half, rows);
  const span = bar.span(fabric.thickness);
  const spanRows = rowsOver(context, span, rows.rowHeight.value, tab ? TAB_ROWS + BELOW_TABS + 3 : 3);
  const front = pocketOf(context, half, 'pocket in front', frontDepth(context), false);
  const behind = pocketsBehind(context, bar, shares, half, front.mm, rows.rowHeight.value);
  refuseBeyond(coursesOf([front, ...behind], spanRows), 'courses', 'thing');
  return { half, front, behind, spanRows, spanMm: spanRows * rows.rowHeight.value, span, tab, rows };
}

/** Rows and rounds of the whole piece: it is made as one, so the bound holds for all of it together. */
function coursesOf(pockets: readonly SaddlePocket[], spanRows: number): number {
  return pockets.reduce((all, { rounds, closed }) => all + rounds + Number(closed), spanRows);
}

/** Rows of the way over, odd unless chosen otherwise. */
function rowsOver({ options: given }: ShapeContext, span: Mm, h: number, least: number): number {
  const near = span.value / h;
  const rows = given.spanRows === 'nearest' ? Math.round(near) : 2 * Math.round((near - 1) / 2) + 1;
  refuseBeyond(rows, 'courses', 'carrier');
  return Math.max(least, rows);
}

/** A pocket of a depth: of the plan's own stitch or bands; what would leave spaces at its far end is filled by a plain round. */
function pocketOf(
  { fabric, schools }: ShapeContext,
  half: number,
  name: string,
  wanted: Mm,
  hung: boolean,
): SaddlePocket {
  const turn = hung ? fromTheMouth : (list: readonly Band[]) => [...list];
  const { bands } = wallBands(wanted, fabric, fabric.bands ? 2 : 1);
  const open = leavesSpaces(turn(bands), 2 * half, schools);
  const plain = fabric.also('single', 'rounds');
  const rest = open ? lessRound(wanted, plain) : wanted;
  const own = open ? levelled(turn(wallBands(rest, fabric, 2).bands), plain) : turn(bands);
  const rounds = own.at(-1)!.to;
  const mm = own.reduce((all, { fabric: of, from, to }) => all + (to - from + 1) * of.rowHeight.value, 0);
  const last = hung ? fabric.also('single', 'rows').rowHeight.value : 0;
  return { name, bands: own, rounds, mm: mm + last, wanted, closed: hung };
}

const lessRound = (wanted: Mm, { rowHeight }: WorkedFabric): Mm =>
  derive('mm', 'wanted − the plain round at its end', { wanted, h: rowHeight }, (v) => Math.max(0.1, v.wanted - v.h));

/** Depth of the pocket in front: as typed, else two thirds of the tallest; the bottom's share on top (handbook 3 and 6). */
function frontDepth(context: ShapeContext): Mm {
  const { thing, options: given } = context;
  return withGive(
    given.pocketMm === undefined
      ? derive('mm', 'two thirds of the tallest', { H: thing.height }, (v) => (2 * v.H) / 3)
      : chosen(Number(given.pocketMm), 'mm', 'typed'),
    context,
  );
}

function withGive(pocket: Mm, { thing, fabric }: ShapeContext): Mm {
  return derive(
    'mm',
    'pocket + D/2 + πt/4',
    { pocket, give: bottomGive(thing.depth, fabric.thickness) },
    (v) => v.pocket + v.give,
  );
}

/**
 * The pockets behind, each of its own depth; the last takes what is left, so that both sides hang level (handbook 5.8).
 *
 * @throws PlanProblem where those above it leave nothing
 */
function pocketsBehind(
  context: ShapeContext,
  bar: WorkedBar,
  { behind }: Shares,
  half: number,
  frontMm: number,
  closing: number,
): SaddlePocket[] {
  const { options: given } = context;
  const nameOf = (index: number) => (behind.length === 1 ? 'pocket behind' : `pocket behind ${index + 1}`);
  const above = behind.slice(0, -1).map((wants, index) => {
    const typed = given[`behind${index + 1}Mm`];
    const pocket =
      typed === undefined
        ? derive('mm', 'two thirds of the tallest in it', { H: tallest(wants, context) }, (v) => (2 * v.H) / 3)
        : chosen(Number(typed), 'mm', 'typed');
    return pocketOf(context, half, nameOf(index), withGive(pocket, context), true);
  });
  const used = above.reduce((all, { mm }) => all + mm, 0);
  const left = bar.dropFront.value + frontMm - bar.dropBack.value - used - closing;
  const least = LEAST_POCKET_MM;
  if (behind.length > 1 && left < least)
    throw new PlanProblem([
      {
        path: 'shape.behindPockets',
        message: `The pockets above take ${mmToken(used)} of the ${mmToken(used + left)} behind: less than ${leastToken(least)} is left for the last. Use fewer or shallower ones, or a deeper pocket in front.`,
      },
    ]);
  const last = chosen(Math.max(least, left), 'mm', 'what is left, so that both sides hang level');
  return [...above, pocketOf(context, half, nameOf(behind.length - 1), last, true)];
}

/** A pocket shallower than this holds nothing, mm (prior, ours). */
const LEAST_POCKET_MM = 20;

/** The tallest of some things; of none, of all. */
const tallest = (wants: readonly PocketWant[], { thing }: ShapeContext): Mm =>
  wants.length === 0 ? thing.height : chosen(Math.max(...wants.map(({ height }) => height)), 'mm', 'the tallest in it');

/**
 * A tab: as long as its button and the overlap, its hole near the outer end (law, handbook 6).
 * @throws PlanProblem where it is too short for its hole
 */
function tabOf({ options: given }: ShapeContext, half: number, { stitch, chain, stitchWidth }: WorkedFabric): Tab {
  const buttonMm = Number(given.buttonMm);
  const thickness = chosen(BUTTON_THICKNESS_MM, 'mm', 'button, thick');
  const slot = slotChains(chosen(buttonMm, 'mm', 'button'), thickness, stitch.factors.stretchAcross, chain);
  const hole = Math.max(2, slot.value);
  const wanted = given.tabMm === undefined ? buttonMm + TAB_OVERLAP_MM : Number(given.tabMm);
  const stitches = Math.max(1, Math.round(wanted / stitchWidth.value));
  const inner = stitches - hole - BEYOND_HOLE;
  if (inner < 1)
    throw new PlanProblem([
      {
        path: 'shape.tabMm',
        message: `A button of ${typedToken(buttonMm)} needs a hole of ${hole} chains, and a tab of ${mmToken(wanted)} has ${plural(stitches, 'stitch', 'stitches')}. Make it ${leastToken((hole + BEYOND_HOLE + 0.5) * stitchWidth.value)} or longer, or choose a smaller button.`,
      },
    ]);
  if (buttonMm > half * stitchWidth.value)
    throw new PlanProblem([
      {
        path: 'shape.buttonMm',
        message: `A button of ${typedToken(buttonMm)} is wider than the pocket (${mmToken(half * stitchWidth.value)}). Choose a smaller button.`,
      },
    ]);
  return { outer: BEYOND_HOLE, hole, inner };
}

/** How far the pockets behind reach down from their mouth, mm. */
export const behindMm = ({ behind }: Pick<SaddleSizes, 'behind'>): number =>
  behind.reduce((all, { mm }) => all + mm, 0);
