import type { RidgeAid } from '@keep-snug/core';
import { Path, Rect, Svg, Text } from '@/ui/layout/ink';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';

const WIDTH = 260;
const LINE = 26;
const LINES = 4;
const STITCHES = 9;

/** What is counted, drawn: four of them from the beginning up, numbered, the tail below. */
export function RidgePicture({ aid: { sees } }: { aid: RidgeAid }) {
  const colours = useColours();
  const left = 40;
  const wide = WIDTH - left - 20;
  const bottom = LINES * LINE + 8;
  const lines = Array.from({ length: LINES }, (_, index) => bottom - (index + 1) * LINE);
  const pitch = wide / STITCHES;
  const stitch = (x: number, y: number) => {
    if (sees === 'ridges') return `M${x} ${y + 17}q${pitch / 2} -9 ${pitch} 0`;
    if (sees === 'rounds') return `M${x + 3} ${y + 5}l${pitch / 2 - 3} 14l${pitch / 2 - 3} -14`;
    return `M${x + pitch / 2} ${y + 4}v18M${x + 3} ${y + 4}h${pitch - 6}`;
  };
  const path = lines.flatMap((y) => Array.from({ length: STITCHES }, (_, at) => stitch(left + at * pitch, y))).join('');
  return (
    <Svg width={WIDTH} height={bottom + 30} aria-hidden>
      <Rect
        x={left}
        y={8}
        width={wide}
        height={LINES * LINE}
        fill={colours.cloth.front}
        stroke={colours.ink}
        strokeWidth={1.5}
      />
      <Path
        d={lines.map((y) => `M${left} ${y}h${wide}`).join('')}
        stroke={colours.hatch}
        strokeWidth={1}
        opacity={sees === 'ridges' ? 0.25 : 0.5}
        fill="none"
      />
      <Path d={path} stroke={colours.ink} strokeWidth={sees === 'ridges' ? 3 : 2} fill="none" />
      <Path d={`M${left} ${bottom}q-12 10 2 24`} stroke={colours.thread} strokeWidth={3} fill="none" />
      {lines.map((y, index) => (
        <Text
          key={y}
          x={left - 14}
          y={y + LINE / 2 + 5}
          fontFamily={FAMILY.strong}
          fontSize={15}
          fill={colours.ink}
          textAnchor="middle"
        >
          {index + 1}
        </Text>
      ))}
    </Svg>
  );
}
