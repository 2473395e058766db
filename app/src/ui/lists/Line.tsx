import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { Words } from '@/ui/layout/Words';

interface Props {
  /** What it is, in a few words. */
  word: string;
  tone: 'thread' | 'rowan';
  text: string;
  /** What can be done about it. */
  children?: ReactNode;
}

/** Something told on every screen, above it. */
export function Line({ word, tone, text, children }: Props) {
  const colours = useColours();
  return (
    <View
      role="status"
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 8,
        paddingHorizontal: 16,
        paddingVertical: 8,
        borderLeftWidth: 6,
        borderBottomWidth: 1,
        borderColor: colours.line,
        borderLeftColor: colours[tone],
        backgroundColor: colours.surface,
      }}
    >
      <Words as="smallStrong" tone={tone}>
        {word}
      </Words>
      <Words as="small" style={{ flexShrink: 1 }}>
        {text}
      </Words>
      {children}
    </View>
  );
}
