import type { ReactNode } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import type { TypeName } from '@/theme/type';
import { useColours } from '@/theme/useTheme';
import { useType } from '@/theme/useType';
import type { Colours } from '@/theme/colours';

type Tone = Extract<
  keyof Colours,
  'ink' | 'faint' | 'sea' | 'lichen' | 'rowan' | 'thread' | 'onSlab' | 'onSlabFaint' | 'chalk' | 'onSea'
>;

interface Props {
  children: ReactNode;
  as?: TypeName;
  tone?: Tone;
  /** Level of the heading, where it is one. */
  level?: 1 | 2 | 3;
  style?: StyleProp<TextStyle>;
  /** Read out when it changes. */
  live?: boolean;
  /** At most so many lines; the rest is cut off. */
  lines?: number;
  /** For whoever has to lead to this text. */
  id?: string;
}

/** All text of the app. */
export function Words({ children, as = 'body', tone = 'ink', level, style, live, lines, id }: Props) {
  const colours = useColours();
  const type = useType(as, StyleSheet.flatten(style));
  return (
    <Text
      {...(id ? { nativeID: id } : {})}
      {...(level ? { role: 'heading', 'aria-level': level } : {})}
      {...(live ? { 'aria-live': 'polite' } : {})}
      {...(lines ? { numberOfLines: lines } : {})}
      style={[{ color: colours[tone] }, type]}
    >
      {children}
    </Text>
  );
}
