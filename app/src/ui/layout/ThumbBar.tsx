import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useColours } from '@/theme/useTheme';

/** What a screen is for, at the thumb of whoever holds it. */
export function ThumbBar({ children }: { children: ReactNode }) {
  const colours = useColours();
  return <View style={[STYLES.bar, { borderColor: colours.line, backgroundColor: colours.chalk }]}>{children}</View>;
}

const STYLES = StyleSheet.create({
  bar: {
    borderTopWidth: 1,
    paddingHorizontal: 20,
    paddingVertical: 8,
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'flex-end',
    alignItems: 'center',
    columnGap: 16,
  },
});
