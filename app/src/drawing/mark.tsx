import type { Part } from '@keep-snug/core';
import type { ReactElement } from 'react';
import type { Colours } from '@/theme/colours';
import { Circle, G, Line, Path, Polygon, Polyline, Rect, Text } from '@/parts/ink';
import { lettering, type Ink } from './lettering';

type MarkPart = Exclude<Part, { type: 'cloth' | 'dimension' | 'border' }>;

type MarkInks = {
  [Type in MarkPart['type']]: (part: Extract<MarkPart, { type: Type }>, ink: Ink, key: string) => ReactElement;
};

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
    <Path key={key} d={loopPath(part, scale)} fill="none" stroke={colours.thread} strokeWidth={2.5} />
  ),
  line: (part, { scale, colours }, key) => (
    <Line
      key={key}
      x1={part.x1 * scale}
      y1={part.y1 * scale}
      x2={part.x2 * scale}
      y2={part.y2 * scale}
      stroke={colours.thread}
      strokeWidth={part.kind === 'cord' ? 3 : 2}
      {...(part.kind === 'seam' ? { strokeDasharray: '5 3' } : {})}
    />
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
  cut: (part, { scale, colours }, key) => (
    <G key={key}>
      {[
        { stroke: colours.ink, width: Math.max(3, part.thickness * scale) + 2 },
        { stroke: colours.cloth[part.role], width: Math.max(3, part.thickness * scale) },
      ].map(({ stroke, width }) => (
        <Polyline
          key={stroke}
          points={part.points.map(([x, y]) => `${x * scale},${y * scale}`).join(' ')}
          fill="none"
          stroke={stroke}
          strokeWidth={width}
          strokeLinejoin="round"
        />
      ))}
    </G>
  ),
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

/** Px of a tail that is seen. */
const TAIL = 12;

/** An end of yarn that hangs in a wave, as long on every scale. */
function tailPath({ x, y, towards }: Extract<Part, { type: 'tail' }>, scale: number): string {
  const on = towards === 'left' ? -TAIL / 4 : TAIL / 4;
  return `M${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}q${on} ${-TAIL / 3} ${2 * on} 0t${2 * on} 0`;
}

/** A drop of chain hanging from the flap's edge. */
function loopPath({ x, y, reach, towards }: Extract<Part, { type: 'loop' }>, scale: number): string {
  const at = (along: number, across: number) => {
    const sign = towards === 'left' ? -1 : 1;
    const [px, py] =
      towards === 'down' || towards === 'up'
        ? [x * scale + across, y * scale + (towards === 'up' ? -along : along)]
        : [x * scale + sign * along, y * scale + across];
    return `${px.toFixed(1)} ${py.toFixed(1)}`;
  };
  const long = reach * scale;
  const half = long * 0.42;
  return `M${at(0, 0)} C${at(long * 0.35, -half * 0.3)} ${at(long * 0.55, -half)} ${at(long * 0.8, -half * 0.75)} C${at(long * 1.06, -half * 0.45)} ${at(long * 1.06, half * 0.45)} ${at(long * 0.8, half * 0.75)} C${at(long * 0.55, half)} ${at(long * 0.35, half * 0.3)} ${at(0, 0)}`;
}
