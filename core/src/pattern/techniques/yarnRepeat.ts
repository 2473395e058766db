import { BASES, stitchPattern, type BaseId, type StitchPattern } from '../../craft/fabric';
import type { FieldValues } from '../../base/units';
import { yarnTile, type LyingStitch, type YarnTile } from '../../drawing/portrait';
import { laidCloth, TURNS, type LaidCloth, type LaidStitch } from './laid';

/** A gap from here on is seen through, in widths of a stitch (ours, by eye). */
const OPEN_FROM = 0.4;

const known = new Map<string, YarnTile>();

/**
 * One repeat of a stitch pattern in yarn, as the referee’s hook lays it: rows that are turned show both their sides.
 *
 * @param stitch id of a stitch pattern; the maker’s own is drawn as the plain stitch it is built of
 * @param turned rows, or rounds whose front is always seen
 * @source handbook 14
 */
export function yarnRepeat(stitch: string, options: FieldValues | undefined, turned: boolean): YarnTile {
  const key = `${stitch} ${JSON.stringify(options ?? {})} ${turned}`;
  const before = known.get(key);
  if (before) return before;
  const tile = { ...tileOf(stitchPattern(stitch, options), turned), id: `${stitch}-${known.size}` };
  known.set(key, tile);
  return tile;
}

/** Rows in which nothing has settled yet are left out: the second repeat is shown. */
function tileOf(pattern: StitchPattern, turned: boolean): YarnTile {
  const { repeat, edge } = turned ? pattern.rows : { ...pattern.rounds, edge: pattern.rounds.edge };
  const rows = pattern.rowsInRepeat % 2 === 0 ? pattern.rowsInRepeat : 2 * pattern.rowsInRepeat;
  const columns = 5 * repeat + edge;
  const laid = laidCloth(pattern, { columns, rows: 2 * rows, turningChainCounts: false, turned });
  if (laid.floors.length < 2 * rows && pattern.id !== 'single') return tileOf(stitchPattern(pattern.base), turned);
  const single = turned ? BASES.single.rowHeight : BASES.single.roundHeight;
  const unit = single / pattern.factors.width;
  const ground = laid.floors[rows - 1]! * unit;
  const drift = turned ? () => 0 : driftOf(laid);
  const left = Math.floor(edge / 2) + 2 * repeat;
  const lying = laid.stitches
    .filter(({ row, beside }) => row > rows && !beside)
    .map((one) => lyingOf(one, pattern, unit, drift))
    .map((one) => moved(one, -left, -ground))
    .filter(({ top }) => top.x >= -1e-6 && top.x < repeat - 1e-6);
  return yarnTile({
    id: pattern.id,
    columns: repeat,
    rows,
    high: laid.floors[2 * rows - 1]! * unit - ground,
    floors: laid.floors.slice(rows).map((floor) => floor * unit - ground),
    stitches: lying,
    open: pattern.gap >= OPEN_FROM,
  });
}

const moved = (one: LyingStitch, dx: number, dy: number): LyingStitch => ({
  ...one,
  top: { x: one.top.x + dx, y: one.top.y + dy },
  foot: { x: one.foot.x + dx, y: one.foot.y + dy },
});

/** Rounds upon loops stand over their middles: how far each has moved on from the first, in columns. */
function driftOf({ stitches, floors }: LaidCloth): (row: number) => number {
  const steps = floors.map((_, index) => {
    const held = stitches.find(
      ({ row, one, place }) => row === index + 1 && one.do === 'work' && place.kind === 'stitch',
    );
    const by = held ? held.foot.x - held.top.x : 0;
    return Math.abs(by) > 0.4 ? by : 0;
  });
  return (row) => steps.slice(0, row).reduce((sum, by) => sum + by, 0);
}

function lyingOf(
  { row, wrong, one, place, top, foot }: LaidStitch,
  pattern: StitchPattern,
  unit: number,
  drift: (row: number) => number,
): LyingStitch {
  const bows = place.kind === 'space' && place.columns >= 2;
  const isChain = place.kind === 'space' || one.do === 'chain';
  const stitch = 'stitch' in one ? one.stitch : pattern.base;
  const here = { x: top.x + drift(row), y: top.y * unit };
  const stands = { x: foot.x + drift(row - 1), y: foot.y * unit };
  // what only holds a loop is as short as it is worked
  const holds = pattern.counted?.loops === true && !isChain && pattern.gap >= 2;
  return {
    kind: isChain ? 'chain' : 'stitch',
    turns: TURNS[stitch as BaseId] ?? 0,
    chains: one.do === 'chain' ? one.chains : 1,
    columns: place.columns,
    bows,
    wrong,
    top: holds ? { x: here.x, y: Math.min(here.y, stands.y + 0.7) } : here,
    foot: holds ? { x: here.x, y: stands.y } : stands,
  };
}
