import { formatLength, type ThingOutline } from '@keep-snug/core';
import { View, type ViewStyle } from 'react-native';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { Outline } from './Outline';

/** What the height's thread and words take at the side, px. */
export const WORDS_BESIDE = 120;

/** A thing in outline with its width under it and its height beside it, each on a thread with two ticks. */
export function SizedOutline({ outline, scale }: { outline: ThingOutline; scale: number }) {
  const units = useSettings((state) => state.units);
  const wide = Math.max(2, outline.width * scale);
  const high = Math.max(2, outline.height * scale);
  return (
    <View style={{ alignSelf: 'flex-start' }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
        <Outline outline={outline} scale={scale} />
        <Thread style={{ width: 9, height: high, alignItems: 'center', borderTopWidth: 1, borderBottomWidth: 1 }} />
        <Words as="small">{formatLength(outline.height, units)}</Words>
      </View>
      <View style={{ width: wide + 4, minWidth: 60, alignItems: 'center', gap: 2, paddingTop: 4 }}>
        <Thread style={{ width: wide, height: 9, justifyContent: 'center', borderLeftWidth: 1, borderRightWidth: 1 }} />
        <Words as="small">{formatLength(outline.width, units)}</Words>
      </View>
    </View>
  );
}

function Thread({ style }: { style: ViewStyle }) {
  const { ink } = useColours();
  const along = style.width === 9 ? { width: 1, height: '100%' as const } : { height: 1, width: '100%' as const };
  return (
    <View aria-hidden style={[style, { borderColor: ink }]}>
      <View style={{ ...along, backgroundColor: ink }} />
    </View>
  );
}
