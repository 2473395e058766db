import { formatKnown, type Mended, type MendChoice } from '@keep-snug/core';
import { View } from 'react-native';
import { useReader } from '@/board/useWorked';
import { Path, Rect, Svg } from '@/parts/ink';
import { Words } from '@/parts/Words';
import { useColours } from '@/theme/useTheme';

interface Props {
  mended: Mended;
  carryOn: MendChoice;
}

const BOX = { width: 150, height: 130 };

/** Less than this is what any two rows differ by. */
const ALIKE = 0.01;

/** The finished size as planned, dashed, and as it will be at the piece's own gauge, to one scale. */
export function PlannedAndNow({ mended: { worked, gauge }, carryOn }: Props) {
  const colours = useColours();
  const { units } = useReader();
  const planned = { width: worked.outside.width.value, height: worked.outside.height.value };
  const will = carryOn.outside;
  const scale = Math.min(
    BOX.width / Math.max(planned.width, will.width),
    BOX.height / Math.max(planned.height, will.height),
  );
  const mm = (value: number) => formatKnown(value, 1, units).replaceAll(' ', '\u00a0');
  const line = (of: { width: number; height: number }) => `${mm(of.width)} × ${mm(of.height)}`;
  return (
    <View style={{ gap: 4 }}>
      <Words as="heading" level={3}>
        {`${verdict('wide', gauge.now.stitchWidth / gauge.planned.stitchWidth)}; ${verdict('high', gauge.now.rowHeight / gauge.planned.rowHeight)}.`}
      </Words>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 16 }}>
        <Svg
          width={Math.max(planned.width, will.width) * scale + 2}
          height={Math.max(planned.height, will.height) * scale + 2}
          aria-hidden
        >
          <Rect
            x={1}
            y={1}
            width={will.width * scale - 2}
            height={will.height * scale - 1}
            fill={colours.cloth.front}
            stroke={colours.ink}
            strokeWidth={1.5}
          />
          <Path
            d={`M1 1h${planned.width * scale - 2}v${planned.height * scale - 1}h${2 - planned.width * scale}z`}
            fill="none"
            stroke={colours.thread}
            strokeWidth={2}
            strokeDasharray="6 4"
          />
        </Svg>
        <View style={{ flexShrink: 1, gap: 4 }}>
          <Words as="small" tone="thread">{`Planned (dashed): ${line(planned)}`}</Words>
          <Words as="smallStrong">{`As you work it: ${line(will)}`}</Words>
        </View>
      </View>
    </View>
  );
}

function verdict(way: 'wide' | 'high', ratio: number): string {
  const percent = Math.round(100 * Math.abs(ratio - 1));
  const subject = way === 'wide' ? 'Your stitches are' : 'your rows are';
  if (Math.abs(ratio - 1) < ALIKE) return `${subject} as planned`;
  const word = way === 'wide' ? (ratio > 1 ? 'wider' : 'narrower') : ratio > 1 ? 'higher' : 'lower';
  return `${subject} ${percent} % ${word}`;
}
