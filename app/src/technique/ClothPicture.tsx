import { yarnCloth, type YarnLine } from '@keep-snug/core/techniques';
import { useState } from 'react';
import { View } from 'react-native';
import { Circle, Path, Svg } from '@/ui/layout/ink';
import { Tabs } from '@/ui/layout/Tabs';
import { useBox } from '@/ui/layout/useBox';
import { useSchools } from '@/reading/useSchools';
import { Words } from '@/ui/layout/Words';
import type { Colours } from '@/theme/colours';
import { useColours } from '@/theme/useTheme';

const INK: Readonly<Record<YarnLine['part'], keyof Colours>> = {
  post: 'faint',
  bar: 'faint',
  back: 'sea',
  front: 'sea',
  chain: 'lichen',
};

const WIDEST = 420;

/** Four rows as yarn lies in them; what makers ask about is pointed at. */
export function ClothPicture({ stitch }: { stitch: string }) {
  const colours = useColours();
  const schools = useSchools();
  const { box, onLayout } = useBox();
  const cloth = yarnCloth(stitch, schools);
  const [asked, setAsked] = useState('last');
  if (!cloth) return null;
  const { lines, pointers, width, height } = cloth;
  const pointer = pointers.find(({ id }) => id === asked) ?? pointers[0]!;
  const shown = Math.min(WIDEST, box.width);
  return (
    <View onLayout={onLayout} style={{ gap: 8 }}>
      {shown > 0 ? (
        <Svg
          {...{ role: 'img', 'aria-label': `Four rows: ${pointer.name}` }}
          width={shown}
          height={(shown * height) / width}
          viewBox={`0 0 ${width} ${height}`}
        >
          {lines.map(({ part, d }, index) => (
            <Path
              key={index}
              d={d}
              fill="none"
              stroke={colours[INK[part]] as string}
              strokeWidth={part === 'post' ? 3.5 : 4}
              strokeLinecap="round"
            />
          ))}
          <Circle cx={pointer.x} cy={pointer.y} r={17} fill="none" stroke={colours.rowan} strokeWidth={4} />
        </Svg>
      ) : null}
      <Tabs label="Point at" value={pointer.id} options={pointers} onChange={setAsked} />
      <Words live>{pointer.says}</Words>
    </View>
  );
}
