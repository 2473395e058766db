import { createElement } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text } from 'react-native-svg';
import { useBox } from '@/ui/layout/useBox';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';

interface Props {
  label: string;
  value: number;
  /** What the value is, as it is read aloud. */
  said: string;
  range: { min: number; max: number };
  step?: number;
  /** A number is written on the tape every so often. */
  every: number;
  written: (value: number) => string;
  onChange: (value: number) => void;
}

const HIGH = 56;
const INSET = 26;

/** A value as a place on the tape: drag along it, or step with the arrow keys. */
export function TapeSlide({ label, value, said, range, step = 1, every, written, onChange }: Props) {
  const colours = useColours();
  const { box, onLayout } = useBox();
  const { min, max } = range;
  const at = (one: number) => INSET + ((box.width - 2 * INSET) * (one - min)) / Math.max(1, max - min);
  const shown = Math.min(max, Math.max(min, value));
  const ticks = Array.from({ length: max - min + 1 }, (_, index) => min + index);
  return (
    <View onLayout={onLayout} style={{ height: HIGH }}>
      {box.width > 0 ? (
        <Svg width={box.width} height={HIGH} aria-hidden>
          <Rect x={0} y={18} width={box.width} height={36} fill={colours.tape} />
          {ticks.map((one) => (
            <Line
              key={one}
              x1={at(one)}
              x2={at(one)}
              y1={18}
              y2={one % every === 0 ? 32 : 25}
              stroke={colours.tapeInk}
              strokeWidth={one % every === 0 ? 1.5 : 1}
            />
          ))}
          {ticks
            .filter((one) => one % every === 0)
            .map((one) => (
              <Text
                key={one}
                x={at(one)}
                y={48}
                fontFamily={FAMILY.strong}
                fontSize={13}
                fill={colours.tapeInk}
                textAnchor="middle"
              >
                {written(one)}
              </Text>
            ))}
          <Path d={`M${at(shown) - 7} 2h14v12l-7 8-7-8z`} fill={colours.ink} />
        </Svg>
      ) : null}
      {createElement('input', {
        type: 'range',
        'aria-label': label,
        'aria-valuetext': said,
        min,
        max,
        step,
        value: Math.round(shown / step) * step,
        onChange: (event: { target: { value: string } }) => onChange(Number(event.target.value)),
        // the drawn tape is what is seen; the browser's own slider lies over it and takes hand and keys
        style: {
          position: 'absolute',
          left: 16,
          top: 0,
          height: HIGH,
          width: 'calc(100% - 32px)',
          margin: 0,
          opacity: 0.001,
          cursor: 'ew-resize',
        },
      })}
    </View>
  );
}
