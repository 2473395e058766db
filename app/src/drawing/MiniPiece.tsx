import type { Section } from '@keep-snug/core';
import Svg, { Rect } from 'react-native-svg';
import { useSettings } from '@/state/settings';
import { useColours } from '@/theme/useTheme';
import { roleOf } from '@keep-snug/core/drawn';

interface Props {
  sections: readonly Pick<Section, 'name' | 'rows'>[];
  rowsDone: number;
  /** Up to which row something reaches: marked across it. */
  reaches?: number;
  width: number;
  height: number;
}

/** The piece drawn small, filled up to the row that is done. */
export function MiniPiece({ sections, rowsDone, reaches, width, height }: Props) {
  const colours = useColours();
  const hand = useSettings((state) => state.hand);
  const rows = sections.reduce((sum, section) => sum + section.rows, 0);
  const px = width / rows;
  const place = (from: number, count: number) => (hand === 'left' ? width - (from + count) * px : from * px);
  const starts = sections.map((_, index) => sections.slice(0, index).reduce((sum, section) => sum + section.rows, 0));
  return (
    <Svg width={width} height={height} aria-hidden>
      {sections.map(({ name, rows: count }, index) => (
        <Rect
          key={starts[index]}
          x={place(starts[index]!, count)}
          y={0}
          width={count * px}
          height={height}
          fill={colours.cloth[roleOf(name)]}
        />
      ))}
      <Rect x={place(0, rowsDone)} y={0} width={rowsDone * px} height={height} fill={colours.ink} opacity={0.72} />
      <Rect
        x={0.75}
        y={0.75}
        width={width - 1.5}
        height={height - 1.5}
        fill="none"
        stroke={colours.ink}
        strokeWidth={1.5}
      />
      {reaches === undefined ? null : (
        <Rect
          x={Math.min(width - 4, Math.max(0, place(reaches, 0) - 2))}
          y={0}
          width={4}
          height={height}
          fill={colours.tape}
        />
      )}
    </Svg>
  );
}
