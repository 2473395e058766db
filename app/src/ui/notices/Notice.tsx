import type { ReactNode } from 'react';
import { StyleSheet } from 'react-native';
import { Surface } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { Words } from '@/ui/layout/Words';

interface Props {
  tone: 'rowan' | 'thread' | 'sea';
  /** A word for the kind of notice, since colour alone says nothing. */
  word: string;
  text: ReactNode;
  repair?: ReactNode;
  children?: ReactNode;
}

/** Something worth saying, with its repair. */
export function Notice({ tone, word, text, repair, children }: Props) {
  const colours = useColours();
  return (
    <Surface
      elevation={0}
      style={[
        STYLES.notice,
        { borderColor: colours[tone], backgroundColor: tone === 'rowan' ? colours.rowanWash : colours.surface },
      ]}
    >
      <Words as="smallStrong" tone={tone}>
        {word}
      </Words>
      {typeof text === 'string' ? <Words as="small">{text}</Words> : text}
      {typeof repair === 'string' ? <Words as="smallStrong">{repair}</Words> : repair}
      {children}
    </Surface>
  );
}

const STYLES = StyleSheet.create({ notice: { borderLeftWidth: 5, padding: 12, gap: 4 } });
