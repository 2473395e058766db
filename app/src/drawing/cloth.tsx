import type { Cloth as ClothPart } from '@keep-snug/core';
import { clothLabel, clothLines, isTinted, taperCorners, tintedGrounds } from '@keep-snug/core/drawn';
import type { ReactElement } from 'react';
import { Circle, Path, Polygon, Rect, Text } from '@/ui/layout/ink';
import { lettering, type Ink } from './lettering';

const HATCH_SHOWS = 0.2;

/** A section of the piece: its tint, and its rows as a hatch. */
export function clothInk(part: ClothPart, ink: Ink, key: string): ReactElement[] {
  const lines = clothLines(part, ink.scale);
  const hatch = (
    <Path
      key={`${key} rows`}
      d={lines}
      fill="none"
      stroke={ink.colours.hatch}
      strokeWidth={0.6}
      opacity={HATCH_SHOWS}
    />
  );
  const { yarns } = ink.colours;
  const coloured = tintedGrounds(part, ink.scale).map(({ tint, hex, d }, index) => (
    <Path
      key={`${key} tint ${index}`}
      data-part="tint"
      d={d}
      fillRule="evenodd"
      fill={hex ?? yarns[(tint + yarns.length - 1) % yarns.length]!}
    />
  ));
  return [
    outline(part, ink, key),
    ...coloured,
    // the bands' tints lie over the inner half of its line
    ...(coloured.length > 0 ? [outline(part, ink, `${key} again`, 'none')] : []),
    ...(lines === '' ? [] : [hatch]),
  ];
}

function outline(
  part: ClothPart,
  { scale, colours }: Ink,
  key: string,
  fill = part.hex ?? colours.cloth[part.role],
): ReactElement {
  const { form = 'rect', x, y, w, h } = part;
  const paint = { fill, stroke: colours.ink, strokeWidth: 1.5 };
  const box = { x: x * scale, y: y * scale, width: w * scale, height: h * scale };
  if (form === 'disc')
    return <Circle key={key} cx={box.x + box.width / 2} cy={box.y + box.height / 2} r={box.width / 2} {...paint} />;
  if (form === 'oval') return <Rect key={key} {...box} rx={Math.min(box.width, box.height) / 2} {...paint} />;
  if (form === 'taper') {
    const points = taperCorners(part, scale);
    return <Polygon key={key} points={points.map((point) => point.join(',')).join(' ')} {...paint} />;
  }
  return <Rect key={key} {...box} {...paint} />;
}

/** What a section is and how many rows it has, written where there is room, on its own ground so that no line crosses it. */
export function labelInk(part: ClothPart, { scale, colours }: Ink, key: string): ReactElement[] {
  const label = clothLabel(part, scale);
  if (!label) return [];
  const { words, ground, upright, middle } = label;
  const turned = upright ? { transform: `rotate(-90 ${middle[0]} ${middle[1]})` } : {};
  const written = words.map(({ x, y, text }, index) => (
    <Text key={`${key} ${index}`} x={x} y={y} {...lettering(colours)} {...turned}>
      {text}
    </Text>
  ));
  if (!ground) return written;
  const fill = isTinted(part) ? colours.surface : colours.cloth[part.role];
  return [<Rect key={`${key} ground`} {...ground} fill={fill} opacity={0.92} {...turned} />, ...written];
}
