import type { WorkedPiece } from '@keep-snug/core';
import Svg, { Rect } from 'react-native-svg';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { roleOf } from '@keep-snug/core/drawn';

interface Props {
  piece: Pick<WorkedPiece, 'hues'> & { sections: readonly Pick<WorkedPiece['sections'][number], 'name' | 'rows'>[] };
  rowsDone: number;
  /** Up to which row something reaches: marked across it. */
  reaches?: number;
  width: number;
  height: number;
}

/** The piece drawn small, in its yarns’ colours where they are known, filled up to the row that is done. */
export function MiniPiece({ piece: { sections, hues }, rowsDone, reaches, width, height }: Props) {
  const colours = useColours();
  const hand = useSettings((state) => state.hand);
  const rows = sections.reduce((sum, section) => sum + section.rows, 0);
  const px = width / rows;
  const place = (from: number, count: number) => (hand === 'left' ? width - (from + count) * px : from * px);
  const runs = hues ?? sections.map(({ name, rows: count }) => ({ rows: count, hex: colours.cloth[roleOf(name)] }));
  const starts = startsOf(runs);
  return (
    <Svg width={width} height={height} aria-hidden>
      {runs.map(({ rows: count, hex }, index) => (
        <Rect key={index} x={place(starts[index]!, count)} y={0} width={count * px} height={height} fill={hex} />
      ))}
      {hues
        ? startsOf(sections)
            .slice(1)
            .map((start) => (
              <Rect key={start} x={place(start, 0) - 0.5} y={0} width={1} height={height} fill={colours.ink} />
            ))
        : null}
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

/** After how many rows each begins. */
const startsOf = (runs: readonly { rows: number }[]): number[] =>
  runs.map((_, index) => runs.slice(0, index).reduce((sum, { rows }) => sum + rows, 0));
