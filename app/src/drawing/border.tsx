import { borderSigns, type BorderPart } from '@keep-snug/core';
import { borderPath, lyingOn, px, TURNS } from '@keep-snug/core/drawn';
import type { ReactElement } from 'react';
import { G, Path } from '@/ui/layout/ink';
import type { Ink } from './lettering';
import { gridPath, STITCH_PX } from './symbols';

/** Rounds along a piece: their ground and the lines between them. */
export function borderInk(part: BorderPart, { scale, colours }: Ink, key: string): ReactElement {
  const transform = `translate(${px((part.x + part.w / 2) * scale)} ${px((part.y + part.h / 2) * scale)})`;
  return (
    <G key={key} transform={transform}>
      <Path d={borderPath(part, scale)} fill={part.hex ?? colours.surface} stroke={colours.ink} strokeWidth={1} />
    </G>
  );
}

/** Every stitch of a border, round by round and side by side, its corners spread over theirs, as soon as they are large enough. */
export function borderStitches(part: BorderPart, { scale, colours }: Ink, key: string): ReactElement | null {
  const high = part.depth * scale;
  const [w, h] = [part.w * scale, part.h * scale];
  const most = Math.max(...part.rounds[0]!.sides.map((count, side) => count / Math.max(1e-9, side % 2 === 0 ? w : h)));
  if (Math.min(high, 1 / most) < STITCH_PX) return null;
  const transform = `translate(${px(part.x * scale + w / 2)} ${px(part.y * scale + h / 2)})`;
  const paths = part.rounds.flatMap(({ stitch, sides, corner }, round) => {
    return TURNS.flatMap((turn, side) => {
      const { left, right, top } = lyingOn(part, side, round, scale);
      const line = (columns: number, wide: number) =>
        columns === 0
          ? ''
          : gridPath(
              { columns, rows: 1, w: wide / columns, h: high },
              { fromColumn: 0, toColumn: columns, fromRow: 0, toRow: 1 },
              [borderSigns(stitch, columns)],
            );
      return [
        { turn, at: left, top, d: line(sides[side]!, right.at - left) },
        { turn, at: right.at, top, d: right.corner && sides[side]! > 0 ? line(corner, high) : '' },
      ];
    });
  });
  return (
    <G key={key} transform={transform}>
      {paths.map(({ turn, at, top, d }, index) =>
        d === '' ? null : (
          <G key={index} transform={`rotate(${turn})`}>
            <Path
              data-part="border stitches"
              transform={`translate(${px(at)} ${px(top)})`}
              d={d}
              fill="none"
              stroke={colours.ink}
              strokeWidth={Math.max(1, 0.07 * high)}
              opacity={0.72}
            />
          </G>
        ),
      )}
    </G>
  );
}
