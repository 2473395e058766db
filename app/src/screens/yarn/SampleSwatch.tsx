import { stitchPattern } from '@keep-snug/core';
import { View } from 'react-native';
import { G, Path, Rect, Svg } from '@/ui/layout/ink';
import { gridPath } from '@/drawing/symbols';
import { Tape } from '@/ui/layout/Tape';
import { useColours } from '@/theme/useTheme';

const SINGLE = stitchPattern('single').symbols;
const GRID = { columns: 16, rows: 7, w: 14, h: 14 };
const ALL = { fromColumn: 0, toColumn: GRID.columns, fromRow: 0, toRow: GRID.rows };

/** A swatch under the tape: so many stitches over a length, which is all there is to measure. */
export function SampleSwatch() {
  const colours = useColours();
  const [width, height] = [GRID.columns * GRID.w, GRID.rows * GRID.h];
  return (
    <View style={{ gap: 8 }}>
      <Svg width={width + 2} height={height + 2} aria-hidden>
        <G transform="translate(1 1)">
          <Rect width={width} height={height} fill={colours.cloth.front} stroke={colours.ink} strokeWidth={1.5} />
          <Path d={gridPath(GRID, ALL, SINGLE)} fill="none" stroke={colours.ink} strokeWidth={1} opacity={0.72} />
        </G>
      </Svg>
      <Tape lengthMm={80} px={width} />
    </View>
  );
}
