import type { ThingOutline } from '@keep-snug/core';
import Svg, { G, Polygon, Rect } from 'react-native-svg';
import { useColours } from '@/theme/useTheme';

interface Props {
  outline: ThingOutline;
  /** Px per mm. */
  scale: number;
}

/** A thing in outline, to scale. */
export function Outline({ outline, scale }: Props) {
  const colours = useColours();
  const high = Math.max(2, outline.height * scale);
  const paint = { fill: colours.surface, stroke: colours.ink, strokeWidth: 2, strokeDasharray: '7 4' };
  return (
    <Svg width={Math.max(2, outline.width * scale) + 4} height={high + 4} aria-hidden>
      {outline.parts.map(({ x, points, corner }) => {
        const xs = points.map(([px]) => px);
        const tall = Math.max(...points.map(([, py]) => py));
        const wide = Math.max(...xs);
        const key = `${x} ${wide} ${tall}`;
        return (
          <G key={key} x={2 + x * scale} y={2 + high - tall * scale}>
            {points.length === 4 ? (
              <Rect
                width={Math.max(2, wide * scale)}
                height={Math.max(2, tall * scale)}
                rx={Math.min(corner * scale, (wide * scale) / 2, (tall * scale) / 2)}
                {...paint}
              />
            ) : (
              <Polygon points={points.map(([px, py]) => `${px * scale},${(tall - py) * scale}`).join(' ')} {...paint} />
            )}
          </G>
        );
      })}
    </Svg>
  );
}
