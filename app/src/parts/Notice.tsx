import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { Words } from './Words';

interface Props {
  tone: 'rowan' | 'thread' | 'sea';
  /** A word for the kind of notice, since colour alone says nothing. */
  word: string;
  text: string;
  repair?: string;
  children?: ReactNode;
}

/** Something worth saying, with its repair. */
export function Notice({ tone, word, text, repair, children }: Props) {
  const colours = useColours();
  return (
    <View
      style={{
        borderLeftWidth: 5,
        borderColor: colours[tone],
        backgroundColor: tone === 'rowan' ? colours.rowanWash : colours.surface,
        padding: 12,
        gap: 4,
      }}
    >
      <Words as="smallStrong" tone={tone}>
        {word}
      </Words>
      <Words as="small">{text}</Words>
      {repair ? <Words as="smallStrong">{repair}</Words> : null}
      {children}
    </View>
  );
}
