import { runHex, type YarnRun } from '@keep-snug/core';
import { View } from 'react-native';
import { Block, Path, Svg } from '@/ui/layout/ink';
import { useBox } from '@/ui/layout/useBox';

/** The largest a stitch is drawn, px, and the tallest the whole. */
const LARGEST = 12;
const TALLEST = 320;

/** Every stitch in its run's colour, the first course at the bottom; neighbours of a colour are one line. */
export function RunGrid({
  grid,
  runs,
  text,
}: {
  grid: readonly (readonly number[])[];
  runs: readonly YarnRun[];
  text: string;
}) {
  const { box, onLayout } = useBox();
  const most = Math.max(1, ...grid.map((line) => line.length));
  const size = Math.min(LARGEST, box.width / most, TALLEST / grid.length);
  const paths = runs.map((_, run) =>
    grid
      .map((line, course) => {
        const y = (grid.length - 1 - course) * size;
        const left = ((most - line.length) / 2) * size;
        return line
          .map((one, at) => (one === run ? `M${left + at * size} ${y}h${size}v${size}h${-size}Z` : ''))
          .join('');
      })
      .join(''),
  );
  return (
    <View onLayout={onLayout} style={{ width: '100%', alignItems: 'center' }}>
      {box.width > 0 ? (
        <Block role="img" aria-label={text}>
          <Svg width={most * size} height={grid.length * size} aria-hidden>
            {paths.map((d, run) => (
              <Path key={run} d={d} fill={runHex(runs, run)} />
            ))}
          </Svg>
        </Block>
      ) : null}
    </View>
  );
}
