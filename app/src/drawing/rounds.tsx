import { baseStitch, OVAL, stitchPattern, type ChartSymbol, type Cloth, type DrawnRound } from '@keep-snug/core';
import type { ReactElement } from 'react';
import { G, Path } from '@/ui/layout/ink';
import type { Ink } from './lettering';
import { signAt, STITCH_PX, type Seen } from './symbols';

/** Where a stitch stands, px, and how far it is turned from upright, in radians clockwise. */
interface Stand {
  x: number;
  y: number;
  turn: number;
}

/** The box of a part in px, its rounds' middle lines, and how high a round is. */
interface Around {
  x: number;
  y: number;
  w: number;
  h: number;
  high: number;
}

/** Every stitch of rounds unlike each other, as soon as they are large enough; only those in view. */
export function roundInk(part: Cloth, { scale, colours }: Ink, seen: Seen, key: string): ReactElement | null {
  const { rounds = [] } = part.rows;
  const box = { x: part.x * scale, y: part.y * scale, w: part.w * scale, h: part.h * scale };
  const high = roundHigh(part) * scale;
  const paths = rounds.map((round, index) => roundPath(part, round, index, { ...box, high }, seen));
  if (paths.every((path) => path === '')) return null;
  return (
    <G key={key}>
      {paths.map((path, index) =>
        path === '' ? null : (
          <Path
            key={index}
            data-part="stitches"
            d={path}
            fill="none"
            stroke={colours.ink}
            strokeWidth={Math.max(1, 0.07 * high)}
            opacity={0.72}
          />
        ),
      )}
    </G>
  );
}

/** How high a round is: where nothing lies in their middle they fill the section. */
function roundHigh({ form, rows, w, h }: Cloth): number {
  return rows.high ?? (form === 'taper' ? h : Math.min(w, h) / 2) / rows.count;
}

function roundPath(part: Cloth, round: DrawnRound, index: number, around: Around, seen: Seen): string {
  const stands = standsOf(part, round, index, around);
  const signs = symbolsOf(round.stitch);
  const { high } = around;
  const margin = high + stands.pitch;
  if (Math.min(high, stands.pitch) < STITCH_PX) return '';
  const isSeen = ({ x, y }: Stand) =>
    x > seen.left - margin && x < seen.right + margin && y > seen.top - margin && y < seen.bottom + margin;
  const size = { w: stands.pitch, h: high };
  const along = stands.at.map((stand, at) => (isSeen(stand) ? signAt(signs[at % signs.length]!, size, stand) : ''));
  const corners = stands.corners.filter(isSeen).map((stand) => signAt(OVAL, { w: high, h: high }, stand));
  return [...along, ...corners].join('');
}

/** The signs a stitch is charted with along a round. */
function symbolsOf(stitch: string): readonly ChartSymbol[] {
  const base = baseStitch(stitch);
  return base ? [base.symbol] : stitchPattern(stitch).symbols[0]!;
}

interface Stands {
  at: Stand[];
  corners: Stand[];
  /** From stitch to stitch, px. */
  pitch: number;
}

function standsOf(part: Cloth, round: DrawnRound, index: number, around: Around): Stands {
  if (part.form === 'taper') return acrossTaper(part, round, index, around);
  return round.sides ? aroundStrip(part, round.sides, index, around) : aroundMiddle(round, index, around);
}

/** Rounds of a disc, or of an oval whose ends are half circles; from the top on as the hook goes, against the clock. */
function aroundMiddle({ count }: DrawnRound, index: number, { x, y, w, h, high }: Around): Stands {
  const r = (index + 0.5) * high;
  const straight = Math.max(0, w - h);
  const [cx, cy] = [x + w / 2, y + h / 2];
  const half = Math.PI * r;
  const whole = 2 * (straight + half);
  const stand = (s: number): Stand => {
    // half of the upper line, the left end, the lower line, the right end, the other half
    if (s < straight / 2) return { x: cx - s, y: cy - r, turn: 0 };
    if (s < straight / 2 + half) return onEnd(-1, (s - straight / 2) / r);
    if (s < 1.5 * straight + half)
      return { x: cx - straight / 2 + (s - straight / 2 - half), y: cy + r, turn: Math.PI };
    if (s < 1.5 * straight + 2 * half) return onEnd(1, Math.PI + (s - 1.5 * straight - half) / r);
    return { x: cx + straight / 2 - (s - 1.5 * straight - 2 * half), y: cy - r, turn: 0 };
  };
  const onEnd = (end: -1 | 1, angle: number): Stand => ({
    x: cx + (end * straight) / 2 - r * Math.sin(angle),
    y: cy - r * Math.cos(angle),
    turn: -angle,
  });
  const at = Array.from({ length: count }, (_, stitch) => stand(((stitch + 0.5) / count) * whole));
  return { at, corners: [], pitch: whole / count };
}

/** Rounds of a rectangle around the strip in its middle: along each side in turn, a chain at each corner. */
function aroundStrip(
  { rows: { rounds = [] } }: Cloth,
  sides: NonNullable<DrawnRound['sides']>,
  index: number,
  { x, y, w, h, high }: Around,
): Stands {
  const inset = (rounds.length - 1 - index + 0.5) * high;
  const [left, top, right, bottom] = [x + inset, y + inset, x + w - inset, y + h - inset];
  const line = (count: number, from: readonly [number, number], to: readonly [number, number], turn: number) =>
    Array.from({ length: count }, (_, stitch): Stand => {
      const share = (stitch + 0.5) / count;
      return { x: from[0] + (to[0] - from[0]) * share, y: from[1] + (to[1] - from[1]) * share, turn };
    });
  // a corner takes the room of its chain
  const c = high / 2;
  const quarter = Math.PI / 2;
  const [up, on, down, back] = sides;
  return {
    at: [
      ...line(up, [left + c, top], [right - c, top], 0),
      ...line(on, [right, top + c], [right, bottom - c], quarter),
      ...line(down, [right - c, bottom], [left + c, bottom], Math.PI),
      ...line(back, [left, bottom - c], [left, top + c], -quarter),
    ],
    corners: [
      { x: left, y: top, turn: -quarter / 2 },
      { x: right, y: top, turn: quarter / 2 },
      { x: right, y: bottom, turn: 1.5 * quarter },
      { x: left, y: bottom, turn: -1.5 * quarter },
    ],
    pitch: Math.min((right - left - high) / Math.max(1, up), (bottom - top - high) / Math.max(1, on)),
  };
}

/** Rounds that narrow upwards, as they are seen from one side. */
function acrossTaper({ rows, w, top = w }: Cloth, { count }: DrawnRound, index: number, around: Around): Stands {
  const share = (index + 0.5) / rows.count;
  const wide = around.w * (1 - share * (1 - top / w));
  const left = around.x + (around.w - wide) / 2;
  const y = around.y + around.h - (index + 0.5) * around.high;
  const pitch = wide / Math.max(1, count);
  return {
    at: Array.from({ length: count }, (_, at) => ({ x: left + (at + 0.5) * pitch, y, turn: 0 })),
    corners: [],
    pitch,
  };
}
