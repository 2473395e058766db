import type { Part } from '@keep-snug/core';
import { cutStretches, loopPath, tailPath } from '@keep-snug/core/drawn';
import type { ReactElement } from 'react';
import type { Colours } from '@/theme/colours';
import { Circle, G, Line, Path, Polygon, Polyline, Rect, Text } from '@/ui/layout/ink';
import { lettering, type Ink } from './lettering';

/** What only a portrait shows is left out. */
type MarkPart = Exclude<Part, { type: 'cloth' | 'dimension' | 'border' | 'ribbon' }>;

type MarkInks = {
  [Type in MarkPart['type']]: (part: Extract<MarkPart, { type: Type }>, ink: Ink, key: string) => ReactElement;
};

/** A line of thread; a cord in its own colour is edged, so that it is seen on fabric of the same. */
const cordLines = (hex: string | undefined, width: number, colours: Colours) => [
  ...(hex ? [{ stroke: colours.ink, strokeWidth: width + 1.5 }] : []),
  { stroke: hex ?? colours.thread, strokeWidth: width },
];

/** What lies on the cloth: fold lines, the thing as a dashed outline, a loop, a button. */
const MARKS: MarkInks = {
  fold: (part, { scale, colours }, key) => (
    <Line
      key={key}
      x1={part.x1 * scale}
      y1={part.y1 * scale - 6}
      x2={part.x2 * scale}
      y2={part.y2 * scale + 6}
      stroke={colours.ink}
      strokeWidth={1.5}
      strokeDasharray="2 3"
    />
  ),
  thing: (part, { scale, colours }, key) =>
    part.outline ? (
      <Polygon
        key={key}
        points={part.outline.map(([x, y]) => `${(part.x + x) * scale},${(part.y + y) * scale}`).join(' ')}
        fill="none"
        stroke={colours.ink}
        strokeWidth={1.5}
        strokeDasharray="7 4"
      />
    ) : (
      <Rect
        key={key}
        x={part.x * scale}
        y={part.y * scale}
        width={part.w * scale}
        height={part.h * scale}
        rx={part.r * scale}
        fill="none"
        stroke={colours.ink}
        strokeWidth={1.5}
        strokeDasharray="7 4"
      />
    ),
  button: (part, { scale, colours }, key) => (
    <Button key={key} x={part.x * scale} y={part.y * scale} radius={(part.diameter * scale) / 2} colours={colours} />
  ),
  loop: (part, { scale, colours }, key) => (
    <G key={key}>
      {cordLines(part.hex, 2.5, colours).map((line) => (
        <Path key={line.strokeWidth} d={loopPath(part, scale)} fill="none" {...line} />
      ))}
    </G>
  ),
  line: (part, { scale, colours }, key) => (
    <G key={key}>
      {cordLines(part.kind === 'cord' ? part.hex : undefined, part.kind === 'cord' ? 3 : 2, colours).map((line) => (
        <Line
          key={line.strokeWidth}
          x1={part.x1 * scale}
          y1={part.y1 * scale}
          x2={part.x2 * scale}
          y2={part.y2 * scale}
          {...line}
          {...(part.kind === 'seam' ? { strokeDasharray: '5 3' } : {})}
        />
      ))}
    </G>
  ),
  dots: (part, { scale, colours }, key) => (
    <G key={key}>
      {part.points.map(([x, y]) => (
        <Circle
          key={`${x} ${y}`}
          cx={x * scale}
          cy={y * scale}
          r={Math.max(1.5, (part.diameter * scale) / 2)}
          fill={colours.chalk}
          stroke={colours.thread}
          strokeWidth={1.5}
        />
      ))}
    </G>
  ),
  cut: (part, { scale, colours }, key) => {
    const wide = Math.max(3, part.thickness * scale);
    const first = colours.cloth[part.role];
    const stretches = cutStretches(part).map(({ points, tint, hex }) => ({
      points,
      stroke: hex ?? (tint === 0 ? first : colours.yarns[(tint - 1) % colours.yarns.length]!),
      width: wide,
    }));
    return (
      <G key={key}>
        {[{ points: part.points, stroke: colours.ink, width: wide + 2 }, ...stretches].map(
          ({ points, stroke, width }, index) => (
            <Polyline
              key={index}
              points={points.map(([x, y]) => `${x * scale},${y * scale}`).join(' ')}
              fill="none"
              stroke={stroke}
              strokeWidth={width}
              strokeLinejoin="round"
            />
          ),
        )}
      </G>
    );
  },
  tail: (part, { scale, colours }, key) => (
    <Path
      key={key}
      data-part="tail"
      d={tailPath(part, scale)}
      fill="none"
      stroke={colours.thread}
      strokeWidth={1.5}
      strokeLinecap="round"
    />
  ),
  words: (part, { scale, colours }, key) => (
    <Text key={key} x={part.x * scale} y={part.y * scale} {...lettering(colours)} fontSize={13}>
      {part.text}
    </Text>
  ),
};

export function markInk(part: MarkPart, ink: Ink, key: string): ReactElement {
  const draw = MARKS[part.type] as (part: MarkPart, ink: Ink, key: string) => ReactElement;
  return draw(part, ink, key);
}

function Button({ x, y, radius, colours }: { x: number; y: number; radius: number; colours: Colours }) {
  const hole = Math.max(1, radius * 0.14);
  return (
    <G>
      <Circle cx={x} cy={y} r={radius} fill={colours.surface} stroke={colours.thread} strokeWidth={2} />
      <Circle cx={x - radius * 0.3} cy={y} r={hole} fill={colours.thread} />
      <Circle cx={x + radius * 0.3} cy={y} r={hole} fill={colours.thread} />
    </G>
  );
}
