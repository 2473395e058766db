import { configureFonts, MD3LightTheme, type MD3Theme } from 'react-native-paper';
import type { Colours } from './colours';
import { FAMILY } from './type';

/** Paper in our colours, fonts and edges, so that none of its stock look is left. */
export function paperTheme(colours: Colours): MD3Theme {
  return {
    ...MD3LightTheme,
    roundness: 1,
    fonts: configureFonts({ config: { fontFamily: FAMILY.reading, letterSpacing: 0 } }),
    colors: {
      ...MD3LightTheme.colors,
      primary: colours.sea,
      onPrimary: colours.onSea,
      background: colours.surface,
      onBackground: colours.ink,
      surface: colours.surface,
      onSurface: colours.ink,
      onSurfaceVariant: colours.faint,
      surfaceVariant: colours.chalk,
      outline: colours.faint,
      outlineVariant: colours.line,
      onSurfaceDisabled: colours.faint,
      surfaceDisabled: colours.line,
      error: colours.rowan,
      secondaryContainer: colours.chalk,
      onSecondaryContainer: colours.ink,
      elevation: {
        level0: 'transparent',
        level1: colours.surface,
        level2: colours.surface,
        level3: colours.surface,
        level4: colours.surface,
        level5: colours.surface,
      },
    },
  };
}
