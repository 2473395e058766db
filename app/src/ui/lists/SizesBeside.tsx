import type { SizeMade } from '@keep-snug/core';
import { View } from 'react-native';
import { Path, Rect, Svg } from '@/ui/layout/ink';
import { figureLength } from './figureLength';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';

const BOX = { width: 130, height: 110 };

interface Props {
  sizes: readonly SizeMade[];
  /** What the other one is called. */
  made?: string;
}

function acrossAndUp(sizes: readonly SizeMade[]) {
  const of = (name: SizeMade['of']) => sizes.find((size) => size.of === name)!;
  const [width, height] = [of('width'), of('height')];
  return { width, height, isMeasured: width.made !== undefined || height.made !== undefined };
}

/** The same in words, beside whatever shows it. */
export function SizesSaid({ sizes, made = 'Made' }: Props) {
  const units = useSettings((state) => state.units);
  const { width, height, isMeasured } = acrossAndUp(sizes);
  const mm = (value: number | undefined) => (value === undefined ? 'not measured' : figureLength(value, units));
  return (
    <View style={{ flexShrink: 1, gap: 4 }}>
      <Words as="small" tone="thread">{`Planned (dashed): ${mm(width.planned)} × ${mm(height.planned)}`}</Words>
      {isMeasured ? <Words as="smallStrong">{`${made}: ${mm(width.made)} × ${mm(height.made)}`}</Words> : null}
    </View>
  );
}

/** A piece as planned, dashed, and as it came out, to one scale; what was not measured is drawn as planned. */
export function SizesBeside({ sizes, made = 'Made' }: Props) {
  const colours = useColours();
  const { width, height, isMeasured } = acrossAndUp(sizes);
  const came = { width: width.made ?? width.planned, height: height.made ?? height.planned };
  const most = { width: Math.max(came.width, width.planned), height: Math.max(came.height, height.planned) };
  const scale = Math.min(BOX.width / most.width, BOX.height / most.height);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 16 }}>
      <Svg width={most.width * scale + 4} height={most.height * scale + 4} style={{ flexShrink: 0 }} aria-hidden>
        {isMeasured ? (
          <Rect
            x={2}
            y={2}
            width={came.width * scale}
            height={came.height * scale}
            fill={colours.cloth.front}
            stroke={colours.ink}
            strokeWidth={1.5}
          />
        ) : null}
        <Path
          d={`M2 2h${width.planned * scale}v${height.planned * scale}h${-width.planned * scale}z`}
          fill="none"
          stroke={colours.thread}
          strokeWidth={2}
          strokeDasharray="6 4"
        />
      </Svg>
      <SizesSaid sizes={sizes} made={made} />
    </View>
  );
}
