import { baseStitch, type BorderPart } from '@keep-snug/core';
import type { ReactElement } from 'react';
import { G, Path, Rect } from '@/parts/ink';
import type { Ink } from './lettering';
import { px } from './layout';
import { gridPath, STITCH_PX } from './symbols';

/** Rounds along a piece: their ground and the lines between them. */
export function borderInk(part: BorderPart, { scale, colours }: Ink, key: string): ReactElement {
  const box = (out: number) => {
    const [x, y] = [(part.x - out) * scale, (part.y - out) * scale];
    return { x, y, w: (part.w + 2 * out) * scale, h: (part.h + 2 * out) * scale };
  };
  const rect = (out: number) => {
    const { x, y, w, h } = box(out);
    return `M${px(x)} ${px(y)}h${px(w)}v${px(h)}h${px(-w)}Z`;
  };
  const whole = box(part.depth * part.rounds.length);
  return (
    <G key={key}>
      <Rect
        x={whole.x}
        y={whole.y}
        width={whole.w}
        height={whole.h}
        fill={colours.surface}
        stroke={colours.ink}
        strokeWidth={1.5}
      />
      <Path
        d={part.rounds.map((_, index) => rect(index * part.depth)).join('')}
        fill="none"
        stroke={colours.hatch}
        strokeWidth={0.6}
        opacity={0.4}
      />
    </G>
  );
}

/** How a side is turned from the upright grid whose stitches run to the right: clockwise from the top. */
const TURNS = [0, 90, 180, 270] as const;

/** Every stitch of a border, round by round and side by side, its corners spread over theirs, as soon as they are large enough. */
export function borderStitches(part: BorderPart, { scale, colours }: Ink, key: string): ReactElement | null {
  const high = part.depth * scale;
  const [w, h] = [part.w * scale, part.h * scale];
  const widest = Math.max(...part.rounds[0]!.sides);
  if (Math.min(high, Math.max(w, h) / widest) < STITCH_PX) return null;
  const middle = [(part.x + part.w / 2) * scale, (part.y + part.h / 2) * scale] as const;
  return (
    <G key={key}>
      {part.rounds.flatMap(({ stitch, sides, corner }, round) => {
        const symbol = baseStitch(stitch)!.symbol;
        return TURNS.map((turn, side) => {
          const [long, deep] = side % 2 === 0 ? [w, h] : [h, w];
          const out = round * high;
          // a corner belongs to the side before it: its stitches lie in the square where two sides meet
          const inCorner = gridPath(
            { columns: corner, rows: 1, w: high / corner, h: high },
            { fromColumn: 0, toColumn: corner, fromRow: 0, toRow: 1 },
            [[symbol]],
          );
          const along = gridPath(
            { columns: sides[side]!, rows: 1, w: (long + 2 * out) / Math.max(1, sides[side]!), h: high },
            { fromColumn: 0, toColumn: sides[side]!, fromRow: 0, toRow: 1 },
            [[symbol]],
          );
          const top = -deep / 2 - out - high;
          const left = -long / 2 - out;
          return (
            <G key={`${round} ${turn}`} transform={`translate(${px(middle[0])} ${px(middle[1])}) rotate(${turn})`}>
              {[
                { at: left, d: along },
                { at: left + long + 2 * out, d: inCorner },
              ].map(({ at, d }) =>
                d === '' ? null : (
                  <Path
                    key={at}
                    data-part="border stitches"
                    transform={`translate(${px(at)} ${px(top)})`}
                    d={d}
                    fill="none"
                    stroke={colours.ink}
                    strokeWidth={Math.max(1, 0.07 * high)}
                    opacity={0.72}
                  />
                ),
              )}
            </G>
          );
        });
      })}
    </G>
  );
}
