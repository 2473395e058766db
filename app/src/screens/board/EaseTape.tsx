import { formatSigned } from '@keep-snug/core';
import { createElement } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text } from 'react-native-svg';
import { useBox } from '@/ui/layout/useBox';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';

interface Props {
  percent: number;
  onChange: (percent: number) => void;
}

/** From half of the stretch to a bag: eases that make sense round a thing. */
const RANGE = { min: -10, max: 20 };
const EVERY = 5;

/** The ease as a place on the tape: drag along it, or step with the arrow keys. */
export function EaseTape({ percent, onChange }: Props) {
  const colours = useColours();
  const { box, onLayout } = useBox();
  const inset = 26;
  const at = (value: number) => inset + ((box.width - 2 * inset) * (value - RANGE.min)) / (RANGE.max - RANGE.min);
  const shown = Math.min(RANGE.max, Math.max(RANGE.min, percent));
  const ticks = Array.from({ length: RANGE.max - RANGE.min + 1 }, (_, index) => RANGE.min + index);
  return (
    <View onLayout={onLayout} style={{ height: 56 }}>
      {box.width > 0 ? (
        <Svg width={box.width} height={56} aria-hidden>
          <Rect x={0} y={18} width={box.width} height={36} fill={colours.tape} />
          {ticks.map((value) => (
            <Line
              key={value}
              x1={at(value)}
              x2={at(value)}
              y1={18}
              y2={value % EVERY === 0 ? 32 : 25}
              stroke={colours.tapeInk}
              strokeWidth={value % EVERY === 0 ? 1.5 : 1}
            />
          ))}
          {ticks
            .filter((value) => value % EVERY === 0)
            .map((value) => (
              <Text
                key={value}
                x={at(value)}
                y={48}
                fontFamily={FAMILY.strong}
                fontSize={13}
                fill={colours.tapeInk}
                textAnchor="middle"
              >
                {`${formatSigned(value)}%`}
              </Text>
            ))}
          <Path d={`M${at(shown) - 7} 2h14v12l-7 8-7-8z`} fill={colours.ink} />
        </Svg>
      ) : null}
      {createElement('input', {
        type: 'range',
        'aria-label': 'Ease (around), in percent',
        'aria-valuetext': `${formatSigned(percent)} %`,
        min: RANGE.min,
        max: RANGE.max,
        step: 0.5,
        value: Math.round(2 * shown) / 2,
        onChange: (event: { target: { value: string } }) => onChange(Number(event.target.value)),
        // the drawn tape is what is seen; the browser's own slider lies over it and takes hand and keys
        style: {
          position: 'absolute',
          left: 16,
          top: 0,
          height: 56,
          width: 'calc(100% - 32px)',
          margin: 0,
          opacity: 0.001,
          cursor: 'ew-resize',
        },
      })}
    </View>
  );
}
