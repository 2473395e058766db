import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import type { TextStyle } from 'react-native';

/** The two families the app ships: one with character for headings, one made for reading. */
export const FONTS = {
  AtkinsonHyperlegibleNext_400Regular,
  AtkinsonHyperlegibleNext_600SemiBold,
  BricolageGrotesque_700Bold,
};

export const FAMILY = {
  reading: 'AtkinsonHyperlegibleNext_400Regular',
  strong: 'AtkinsonHyperlegibleNext_600SemiBold',
  heading: 'BricolageGrotesque_700Bold',
} as const;

const tabular: TextStyle = { fontVariant: ['tabular-nums'] };

/** Text styles by use. Nothing is smaller than 13 px. */
export const TYPE = {
  title: { fontFamily: FAMILY.heading, fontSize: 26, lineHeight: 32, ...tabular },
  heading: { fontFamily: FAMILY.heading, fontSize: 18, lineHeight: 24, ...tabular },
  body: { fontFamily: FAMILY.reading, fontSize: 16, lineHeight: 23, ...tabular },
  strong: { fontFamily: FAMILY.strong, fontSize: 16, lineHeight: 23, ...tabular },
  small: { fontFamily: FAMILY.reading, fontSize: 14, lineHeight: 20, ...tabular },
  smallStrong: { fontFamily: FAMILY.strong, fontSize: 14, lineHeight: 20, ...tabular },
} satisfies Record<string, TextStyle>;

/** A text style in letters so many times larger. */
export function larger(style: TextStyle, times: number): TextStyle {
  const { fontSize, lineHeight } = style;
  return {
    ...style,
    ...(fontSize ? { fontSize: Math.round(fontSize * times) } : {}),
    ...(lineHeight ? { lineHeight: Math.round(lineHeight * times) } : {}),
  };
}

export type TypeName = keyof typeof TYPE;
