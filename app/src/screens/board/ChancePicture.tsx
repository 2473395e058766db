import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import type { Chance } from '@keep-snug/core';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { useColours } from '@/theme/useTheme';

interface Props {
  chance: Chance;
  width: number;
  height: number;
}

/** Standard deviations shown either side. */
const SIDES = 3.2;
const STEPS = 64;

/** The spread of the finished piece against the window in which the thing goes in and stays. */
export function ChancePicture({ chance: { ratio, window }, width, height }: Props) {
  const colours = useColours();
  const sd = Math.max(ratio.sd, 1e-4);
  const to = window.to ?? Infinity;
  const low = Math.min(ratio.mean - SIDES * sd, window.from - sd);
  const high = Math.max(ratio.mean + SIDES * sd, Number.isFinite(to) ? to + sd : -Infinity);
  const x = scaleLinear([low, high], [0, width]);
  const base = height - 4;
  const y = (value: number) => base - (base - 6) * Math.exp(-0.5 * ((value - ratio.mean) / sd) ** 2);
  const curve = area<number>().x(x).y0(base).y1(y);
  const under = (from: number, until: number) => {
    const [a, b] = [Math.max(low, from), Math.min(high, until)];
    if (b <= a) return '';
    return curve(Array.from({ length: STEPS + 1 }, (_, step) => a + ((b - a) * step) / STEPS)) ?? '';
  };
  const edges = [window.from, to].filter(Number.isFinite);
  return (
    <Svg width={width} height={height} aria-hidden>
      <Rect
        x={x(window.from)}
        y={0}
        width={Math.max(0, x(Math.min(high, to)) - x(window.from))}
        height={base}
        fill={colours.cloth.front}
      />
      <Path d={under(low, window.from)} fill={colours.rowan} opacity={0.75} />
      <Path d={under(window.from, to)} fill={colours.lichen} opacity={0.6} />
      <Path d={under(to, high)} fill={colours.rowan} opacity={0.75} />
      <Line x1={0} x2={width} y1={base} y2={base} stroke={colours.ink} strokeWidth={1.5} />
      {edges.map((edge) => (
        <Line
          key={edge}
          x1={x(edge)}
          x2={x(edge)}
          y1={0}
          y2={height}
          stroke={colours.ink}
          strokeWidth={1.5}
          strokeDasharray="2 3"
        />
      ))}
    </Svg>
  );
}
