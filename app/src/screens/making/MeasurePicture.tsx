import { View } from 'react-native';
import { Press } from '@/ui/actions/Press';
import { Path, Rect, Svg } from '@/ui/layout/ink';
import { useColours } from '@/theme/useTheme';
import type { Measurable } from './measurable';

interface Props {
  measurables: readonly Measurable[];
  chosen: Measurable;
  onChoose: (measurable: Measurable) => void;
}

const SIZE = { width: 300, height: 150 };
const PIECE = { x: 60, y: 16, width: 224, height: 90 };
const ROWS = 9;

/** The piece drawn small: the tape is laid on it by pressing where it is to lie. */
export function MeasurePicture({ measurables, chosen, onChoose }: Props) {
  const colours = useColours();
  const { x, y, width, height } = PIECE;
  const lines = Array.from({ length: ROWS - 1 }, (_, index) => y + ((index + 1) * height) / ROWS);
  const across = measurables.find(({ lies }) => lies === 'across');
  const up = measurables.find(({ lies }) => lies === 'up');
  return (
    <View style={{ width: SIZE.width, height: SIZE.height }}>
      <Svg width={SIZE.width} height={SIZE.height} aria-hidden>
        <Rect
          x={x}
          y={y}
          width={width}
          height={height}
          fill={colours.cloth.front}
          stroke={colours.ink}
          strokeWidth={1.5}
        />
        <Path
          d={lines.map((at) => `M${x} ${at}h${width}`).join('')}
          stroke={colours.hatch}
          strokeWidth={1}
          fill="none"
        />
        <Path d={`M${x + width} ${y}q14 8 6 30`} stroke={colours.thread} strokeWidth={3} fill="none" />
        <Rect
          x={x}
          y={y + height + 10}
          width={width}
          height={16}
          fill={chosen.lies === 'across' ? colours.tape : 'none'}
          stroke={colours.ink}
          strokeWidth={chosen.lies === 'across' ? 1.5 : 0.75}
        />
        <Rect
          x={x - 26}
          y={y}
          width={16}
          height={height}
          fill={chosen.lies === 'up' ? colours.tape : 'none'}
          stroke={colours.ink}
          strokeWidth={chosen.lies === 'up' ? 1.5 : 0.75}
        />
      </Svg>
      {across ? (
        <Press
          label="Lay the tape across"
          onPress={() => onChoose(across)}
          style={{ position: 'absolute', left: x, top: y + height - 6, width, height: 48 }}
        >
          {null}
        </Press>
      ) : null}
      {up ? (
        <Press
          label="Lay the tape upwards"
          onPress={() => onChoose(up)}
          style={{ position: 'absolute', left: x - 44, top: y, width: 48, height }}
        >
          {null}
        </Press>
      ) : null}
    </View>
  );
}
