import { memo } from 'react';
import Svg from 'react-native-svg';
import { Circle, G, Line, Path, Rect, Text as SvgText } from './ink';
import { useSettings } from '@/data/settings';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';
import { tapeTicks, type Tick } from '@keep-snug/core';

const BREADTH = 26;
const NONE: readonly number[] = [];
const NO_CHECKS: NonNullable<Props['checks']> = [];

/** How large a check's dot is, px, and how far from the tape's edge. */
const DOT = { radius: 3.5, in: 6 } as const;

interface Props {
  lengthMm: number;
  /** Length on screen. */
  px: number;
  /** Across. */
  breadth?: number;
  /** Pulled out this far, mm; the rest is still bare. */
  outMm?: number;
  upright?: boolean;
  /** Places to mark across the tape, mm. */
  marks?: readonly number[];
  /** Where something is checked, mm, and what came of it: a full dot, an open one, one still to come. */
  checks?: readonly { mm: number; is: 'measured' | 'passed' | 'ahead' }[];
}

/** The measuring tape: scale, spine and progress, with real ticks in the unit in use. */
export function Tape(props: Props) {
  const { px, lengthMm, breadth = BREADTH, upright = false } = props;
  if (!(px > 0) || !(lengthMm > 0)) return null;
  return (
    <Svg width={upright ? breadth : px} height={upright ? px : breadth} aria-hidden>
      <TapeStrip {...props} />
    </Svg>
  );
}

/** The tape itself, to be laid into a drawing. */
export const TapeStrip = memo(function TapeStrip({
  lengthMm,
  px,
  breadth = BREADTH,
  outMm,
  upright = false,
  marks = NONE,
  checks = NO_CHECKS,
}: Props) {
  const colours = useColours();
  const units = useSettings((state) => state.units);
  const scale = px / lengthMm;
  const out = Math.min(outMm ?? lengthMm, lengthMm) * scale;
  const at = (mm: number) => (upright ? px - mm * scale : mm * scale);
  const ticks = tapeTicks(lengthMm, scale, units);
  const tickPath = (list: readonly Tick[]) =>
    list
      .map(({ mm, reach }) =>
        upright
          ? `M0 ${at(mm).toFixed(1)}H${(reach * breadth).toFixed(1)}`
          : `M${at(mm).toFixed(1)} 0V${(reach * breadth).toFixed(1)}`,
      )
      .join('');
  return (
    <>
      <Rect
        x={0}
        y={0}
        width={upright ? breadth : px}
        height={upright ? px : breadth}
        fill={colours.line}
        opacity={0.55}
      />
      {upright ? (
        <Rect x={0} y={px - out} width={breadth} height={out} fill={colours.tape} />
      ) : (
        <Rect x={0} y={0} width={out} height={breadth} fill={colours.tape} />
      )}
      <G>
        {[true, false].map((pulled) => (
          <Path
            key={String(pulled)}
            d={tickPath(ticks.filter(({ mm }) => mm * scale <= out === pulled))}
            stroke={pulled ? colours.tapeInk : colours.faint}
            strokeWidth={1.2}
          />
        ))}
        {ticks
          .filter(({ mm, label }) => label && mm * scale < px - 4)
          .map(({ mm, label }) => (
            <SvgText
              key={mm}
              x={upright ? breadth - 3 : at(mm) - 3}
              y={upright ? at(mm) - 3 : breadth - 4}
              fontFamily={FAMILY.strong}
              fontSize={13}
              fill={mm * scale <= out ? colours.tapeInk : colours.faint}
              textAnchor="end"
            >
              {label}
            </SvgText>
          ))}
        {checks.map(({ mm, is }, index) => (
          <Circle
            key={`check ${index}`}
            cx={upright ? DOT.in : at(mm)}
            cy={upright ? at(mm) : DOT.in}
            r={DOT.radius}
            fill={is === 'measured' ? colours.ink : colours.surface}
            stroke={is === 'ahead' ? colours.faint : colours.ink}
            strokeWidth={1.5}
          />
        ))}
        {marks.map((mm) => (
          <Line
            key={`mark ${mm}`}
            x1={upright ? 0 : at(mm)}
            y1={upright ? at(mm) : 0}
            x2={upright ? breadth : at(mm)}
            y2={upright ? at(mm) : breadth * 0.5}
            stroke={colours.ink}
            strokeWidth={2}
            strokeDasharray="4 3"
          />
        ))}
      </G>
    </>
  );
});
