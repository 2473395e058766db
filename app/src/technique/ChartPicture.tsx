import { type Step } from '@keep-snug/core';
import { chartOf } from '@keep-snug/core/written';
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { Path, Rect, Svg, Text } from '@/ui/layout/ink';
import { useBox } from '@/ui/layout/useBox';
import { useSchools } from '@/reading/useSchools';
import { useWord } from '@/reading/useWord';
import { Words } from '@/ui/layout/Words';
import { useTechniqueTrail } from '@/data/techniqueTrail';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';
import { SymbolPicture } from './SymbolPicture';

interface Props {
  steps: readonly Step[];
  piece: string;
  from: number;
  to: number;
  /** The row on the hook, which is set off. */
  now?: number | undefined;
}

/** Smallest and largest a stitch is drawn, px. */
const STITCH = { least: 15, most: 30 };
const HIGHEST = 620;

/** Rows of a piece as a symbol chart, with its key; long rows are moved into sight. */
export function ChartPicture({ steps, piece, from, to, now }: Props) {
  const colours = useColours();
  const { hand } = useSchools();
  const { box, onLayout } = useBox();
  const [key, setKey] = useState(true);
  const chart = chartOf(steps, { piece, from, to, left: hand === 'left' });
  if (!chart) return null;
  const [x, y, w, h] = chart.box;
  const scale = Math.max(STITCH.least, Math.min(STITCH.most, box.width / w, HIGHEST / h));
  return (
    <View onLayout={onLayout} style={{ gap: 8 }}>
      {box.width > 0 ? (
        <ScrollView horizontal {...{ tabIndex: 0 }} role="region" aria-label="Chart">
          <Svg
            {...{
              role: 'img',
              'aria-label': `Chart, ${chart.courses[0]!.kind}s ${from} to ${chart.courses.at(-1)!.row}`,
            }}
            width={w * scale}
            height={h * scale}
            viewBox={`${x} ${y} ${w} ${h}`}
          >
            {chart.courses.map((course) => (
              <Course key={course.id} {...course} isNow={course.row === now} box={chart.box} colours={colours} />
            ))}
          </Svg>
        </ScrollView>
      ) : null}
      {key ? <Key signs={chart.key} /> : null}
      <Pressable role="button" onPress={() => setKey(!key)} style={{ minHeight: 48, justifyContent: 'center' }}>
        <Words as="smallStrong" tone="sea">
          {key ? 'Hide the key' : 'Show the key'}
        </Words>
      </Pressable>
    </View>
  );
}

/** On which side of its place a number is written. */
const ANCHOR = { left: 'end', right: 'start', middle: 'middle' } as const;

type Chart = NonNullable<ReturnType<typeof chartOf>>;

function Course({
  row,
  signs,
  number,
  track,
  kind,
  isNow,
  colours,
  box: [x, , w],
}: Chart['courses'][number] & { isNow: boolean; box: Chart['box']; colours: ReturnType<typeof useColours> }) {
  return (
    <>
      {isNow && kind === 'row' ? (
        <Rect x={x} y={number.y - 0.6} width={w} height={1.2} fill={colours.tape} opacity={0.45} />
      ) : null}
      <Path d={track} fill="none" stroke={colours.line} strokeWidth={0.04} />
      {signs.map((sign, index) => (
        <Path
          key={index}
          d={sign.d}
          transform={`translate(${sign.x} ${sign.y}) rotate(${sign.turn})`}
          fill="none"
          stroke={colours.ink}
          strokeWidth={isNow ? 0.13 : 0.08}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
      <Text
        x={number.x}
        y={number.y + 0.28}
        fill={colours.ink}
        fontSize={0.8}
        fontFamily={FAMILY.heading}
        fontWeight={isNow ? 'bold' : 'normal'}
        textAnchor={ANCHOR[number.side]}
      >
        {String(row)}
      </Text>
    </>
  );
}

/** What each sign stands for; what is a technique opens it. */
function Key({ signs }: { signs: Chart['key'] }) {
  const show = useTechniqueTrail((state) => state.show);
  const word = useWord();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 }}>
      {signs.map(({ id, symbol, technique }) => (
        <Pressable
          key={id}
          role="button"
          disabled={!technique}
          onPress={() => technique && show(technique.id)}
          style={{ flexDirection: 'row', alignItems: 'center', gap: 6, minHeight: 48 }}
        >
          <SymbolPicture symbol={symbol} size={34} />
          <Words as="small" tone={technique ? 'sea' : 'ink'}>
            {technique ? word(technique.name) : 'your own pattern'}
          </Words>
        </Pressable>
      ))}
    </View>
  );
}
