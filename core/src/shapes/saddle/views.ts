import type { WorkedFabric } from '../../craft/fabric';
import type { Piece } from '../../piece';
import { isFlat, mmOf, workBar, type CarrierSpec, type PocketWant, type WorkedThing } from '../../craft/things';
import { formatNumber, plural } from '../../base/units';
import { cutRows } from '../../drawing/cutRows';
import { acrossFrom, folds, panel, standing, uprightFrom } from '../../drawing/draw';
import type { CutRow, Part, View } from '../../drawing/parts';
import { bandsDrawn } from '../../drawing/runs';

/** One pocket as it is drawn: rounds and length without the row that closes it, and where its rounds begin in the piece. */
interface DrawnPocket {
  name: string;
  rounds: number;
  mm: number;
}

/** A saddle as it is drawn. */
interface DrawnSaddle {
  piece: Piece;
  thing: WorkedThing;
  fabric: WorkedFabric;
  carrier: CarrierSpec;
  /** Stitches of one face, and its width laid flat, mm. */
  half: number;
  width: number;
  front: DrawnPocket;
  behind: readonly DrawnPocket[];
  span: { rows: number; mm: number };
  /** Stitches of a tab and of its parts from the outer end, how many rows it has, and how many lie between it and the mouth. */
  tab?: { stitches: number; outer: number; hole: number; rows: number; below: number };
  /** What stands in the pocket in front. */
  standsIn: readonly PocketWant[];
}

/** Laid out, hanging, and cut through. */
export function saddleViews(drawn: DrawnSaddle): View[] {
  return [flatView(drawn), hangingView(drawn), cutView(drawn)];
}

const roundIn = ({ half }: DrawnSaddle) => ({ count: `${2 * half} stitches round`, choice: 'round' });

/** A tab as it juts out beyond an edge, mm. */
function tabSize({ tab, width, half, span }: DrawnSaddle): { long: number; high: number; one: number; row: number } {
  const one = width / half;
  const row = span.mm / span.rows;
  return { long: (tab?.stitches ?? 0) * one, high: (tab?.rows ?? 0) * row, one, row };
}

function flatView(drawn: DrawnSaddle): View {
  const { half, front, behind, span, width, piece } = drawn;
  const { long } = tabSize(drawn);
  let [x, done] = [0, 0];
  const section = (role: 'pocket' | 'span', label: string, mm: number, rows: number, word: string): Part[] => {
    const at = x;
    x += mm;
    done += rows;
    const drawnIn = role === 'pocket' ? bandsDrawn(piece, done - rows + 1, done) : {};
    return [
      panel({
        role,
        label,
        sub: plural(rows, word),
        x: at,
        y: long,
        w: mm,
        h: width,
        rows,
        stitches: half,
        stacked: 'x',
        ...drawnIn,
      }),
      acrossFrom(at, at + mm, { count: plural(rows, word) }),
    ];
  };
  const pocketsBehind = () =>
    behind.flatMap(({ name, mm, rounds }) => {
      const parts = section('pocket', name, mm, rounds, 'round');
      // the row through both layers
      done += 1;
      return parts;
    });
  const sections = [
    ...section('pocket', front.name, front.mm, front.rounds, 'round'),
    ...section('span', 'span', span.mm, span.rows, 'row'),
    ...pocketsBehind(),
  ];
  const mouths = [front.mm, front.mm + span.mm, ...closings(drawn)];
  const marks = mouths.map((mm, index) => ({ mm, label: index < 2 ? 'mouth' : 'closed' }));
  const others = behind
    .map(({ name, rounds, mm }) => `${name} ${plural(rounds, 'round')}, {mm:${formatNumber(mm)}}`)
    .join('; ');
  return {
    id: 'flat',
    name: 'Flat',
    width: x,
    height: width + 2 * long,
    parts: [
      ...sections,
      ...tabs(drawn),
      ...folds(marks, width).map((part) => ('y1' in part ? { ...part, y1: long, y2: long + width } : part)),
      uprightFrom(long, long + width, roundIn(drawn)),
    ],
    text: `Laid out: ${front.name} ${plural(front.rounds, 'round')}, {mm:${formatNumber(front.mm)}}; span ${plural(span.rows, 'row')}, {mm:${formatNumber(span.mm)}}; ${others}; {mm:${formatNumber(width)}} wide, ${2 * half} stitches round.`,
  };
}

/** Where one pocket behind is closed and the next is chained across. */
function closings({ front, span, behind }: DrawnSaddle): number[] {
  let at = front.mm + span.mm;
  return behind.slice(0, -1).map(({ mm }) => (at += mm));
}

/** Both tabs, each with its hole. */
function tabs(drawn: DrawnSaddle): Part[] {
  const { tab, front, span, width } = drawn;
  if (!tab) return [];
  const { long, high, one, row } = tabSize(drawn);
  const x = front.mm + span.mm - tab.below * row - high;
  const hole = x + 2.5 * row;
  return [0, long + width].flatMap((y): Part[] => {
    const from = y === 0 ? tab.outer * one : y + long - (tab.outer + tab.hole) * one;
    return [
      panel({
        role: 'span',
        label: '',
        sub: '',
        x,
        y,
        w: high,
        h: long,
        rows: tab.rows,
        stitches: tab.stitches,
        stacked: 'x',
      }),
      { type: 'line', kind: 'slot', x1: hole, y1: from, x2: hole, y2: from + tab.hole * one, label: 'hole' },
    ];
  });
}

function hangingView(drawn: DrawnSaddle): View {
  const { fabric, carrier, half, front, width, piece } = drawn;
  const drop = workBar(carrier).dropFront.value;
  const high = drop + front.mm;
  const overRows = Math.max(1, Math.round(drop / fabric.rowHeight.value));
  return {
    id: 'folded',
    name: 'Hanging',
    width,
    height: high,
    parts: [
      panel({ role: 'span', label: 'span', sub: '', w: width, h: Math.max(1, drop), rows: overRows, stitches: half }),
      panel({
        role: 'pocket',
        label: front.name,
        sub: plural(front.rounds, 'round'),
        y: drop,
        w: width,
        h: front.mm,
        rows: front.rounds,
        stitches: half,
        ...bandsDrawn(piece, 1, front.rounds),
      }),
      acrossFrom(0, width, roundIn(drawn)),
      ...standsHere(drawn, high),
      uprightFrom(0, drop),
      uprightFrom(drop, high),
    ],
    text: `Hanging: {mm:${formatNumber(width)}} wide, opening {mm:${formatNumber(drop)}} below the bar, bottom {mm:${formatNumber(high)}} below it.`,
  };
}

/** What stands in the pocket in front: of several things in all it may be one. */
function standsHere({ thing, standsIn, width }: DrawnSaddle, bottom: number): Part[] {
  const [only] = standsIn;
  if (!only || standsIn.length > 1 || !thing.wants) return standing({ ...thing, wants: standsIn }, 0, width, bottom);
  const across = { ...thing.width, value: only.wide };
  const { wants: _wants, ...alone } = { ...thing, width: across, height: { ...thing.height, value: only.height } };
  return standing(alone, 0, width, bottom);
}

/** What a cut meets: round the pocket in front, over the span and down the layer that hangs behind; then each pocket there. */
function rowsMet({ piece, front, span, behind }: DrawnSaddle): { through: CutRow[]; behind: CutRow[][] } {
  const [mouth, over] = [front.rounds, front.rounds + span.rows];
  const begins = behind.map((_, index) =>
    behind.slice(0, index).reduce((sum, { rounds }) => sum + rounds + 1, over + 1),
  );
  const inner = begins.map((from, index) =>
    cutRows(piece, { from, to: from + behind[index]!.rounds - 1, at: 1 / 4, role: 'pocket' }),
  );
  return {
    through: [
      ...cutRows(piece, { from: mouth, to: 1, at: 1 / 4, role: 'pocket' }),
      ...cutRows(piece, { from: 1, to: mouth, at: 3 / 4, role: 'pocket' }),
      ...cutRows(piece, { from: mouth + 1, to: over, at: 1 / 2, role: 'span' }),
      ...inner.flat(),
    ],
    behind: begins.map((from, index) =>
      cutRows(piece, { from: from + behind[index]!.rounds - 1, to: from, at: 3 / 4, role: 'pocket' }),
    ),
  };
}

function cutView(drawn: DrawnSaddle): View {
  const { thing, fabric, carrier, front, behind } = drawn;
  const rows = rowsMet(drawn);
  const bar = workBar(carrier);
  const isArm = isFlat(carrier);
  const over = mmOf(carrier, isArm ? 'width' : 'diameter')!;
  const t = fabric.thickness.value;
  const D = thing.depth.value + t;
  const [top, drop, back] = [t, bar.dropFront.value, bar.dropBack.value];
  const low = (mm: number) => top + mm;
  const ends = behind.map(({ mm }, index) => ({
    from: back + behind.slice(0, index).reduce((all, one) => all + one.mm, 0),
    mm,
  }));
  const bottom = Math.max(drop + front.mm, ...ends.map(({ from, mm }) => from + mm));
  const inner: [number, number][] = [
    [0, low(drop)],
    [0, low(drop + front.mm)],
    [D, low(drop + front.mm)],
    [D, top],
    [D + over, top],
    [D + over, low(ends.at(-1)!.from + ends.at(-1)!.mm)],
  ];
  return {
    id: 'cut',
    name: 'Cut through',
    width: 2 * D + over,
    height: low(bottom),
    parts: [
      { type: 'cut', role: 'span', points: inner, thickness: t, rows: rows.through },
      // each pocket behind hangs on the outside, closed at its bottom to the layer it hangs from
      ...ends.map(({ from, mm }, index): Part => ({
        type: 'cut',
        role: 'pocket',
        points: [
          [D + over, low(from + mm)],
          [2 * D + over, low(from + mm)],
          [2 * D + over, low(from)],
        ],
        thickness: t,
        rows: rows.behind[index]!,
      })),
      {
        type: 'thing',
        x: D + t / 2,
        y: top + t / 2,
        w: Math.max(1, over - t),
        h: isArm ? 0.4 * over : over,
        r: isArm ? 2 : over / 2,
      },
      acrossFrom(D, D + over),
      uprightFrom(top, low(drop)),
    ],
    text: `Cut through: over {mm:${formatNumber(over)}} of bar, ${behind.length === 1 ? 'a pocket on each side' : `a pocket in front and ${behind.length} behind, one below the other`}.`,
  };
}
