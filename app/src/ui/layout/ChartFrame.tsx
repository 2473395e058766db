import type { ScaleLinear, ScaleTime } from 'd3-scale';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import Svg, { Line, Text } from 'react-native-svg';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';

/** Where the axes stand, and how high a chart is, px. */
export const CHART = { left: 62, right: 12, top: 10, bottom: 26, height: 170 } as const;

type Axis = ScaleLinear<number, number> | ScaleTime<number, number>;

interface Props {
  width: number;
  x: Axis;
  y: ScaleLinear<number, number>;
  /** What it shows, for who does not see it. */
  says: string;
  /** How a mark of an axis is told, where not as a plain number. */
  tellX?: (value: number) => string;
  tellY?: (value: number) => string;
  children: ReactNode;
}

/** The axes of a small chart; what is drawn on them comes as its children. */
export function ChartFrame({ width, x, y, says, tellX, tellY, children }: Props) {
  const colours = useColours();
  const { left, right, top, bottom, height } = CHART;
  const axis = { fontFamily: FAMILY.strong, fontSize: 13, fill: colours.faint };
  const marks = x.ticks(4).map((value) => ({
    at: x(value),
    says: tellX ? tellX(Number(value)) : (x.tickFormat(4) as (value: unknown) => string)(value),
  }));
  return (
    <View role="img" aria-label={says}>
      <Svg width={width} height={height} aria-hidden>
        {children}
        <Line x1={left} x2={width - right} y1={height - bottom} y2={height - bottom} stroke={colours.faint} />
        <Line x1={left} x2={left} y1={top - 4} y2={height - bottom} stroke={colours.faint} />
        {marks.map((mark) => (
          <Text key={mark.at} x={mark.at} y={height - 8} textAnchor="middle" {...axis}>
            {mark.says}
          </Text>
        ))}
        {y.ticks(4).map((value) => (
          <Text key={value} x={left - 6} y={y(value) + 5} textAnchor="end" {...axis}>
            {tellY ? tellY(value) : y.tickFormat(4)(value)}
          </Text>
        ))}
      </Svg>
    </View>
  );
}
