import { configureFonts, type MD3Theme } from 'react-native-paper';
import type { Colours } from './colours';
import { FAMILY } from './type';

/** What stands before a page dims it, but does not hide it: 0x66 of 0xff. */
const DIMMED = '66';

/** Paper in our colours, fonts and edges: every role is filled here, so that none of its stock look is left. */
export function paperTheme(colours: Colours): MD3Theme {
  return {
    dark: false,
    version: 3,
    isV3: true,
    roundness: 1,
    animation: { scale: 1 },
    fonts: configureFonts({ config: { fontFamily: FAMILY.reading, letterSpacing: 0 } }),
    colors: paperColours(colours),
  };
}

function paperColours(colours: Colours): MD3Theme['colors'] {
  return {
    primary: colours.sea,
    onPrimary: colours.onSea,
    primaryContainer: colours.chalk,
    onPrimaryContainer: colours.ink,
    secondary: colours.lichen,
    onSecondary: colours.surface,
    secondaryContainer: colours.chalk,
    onSecondaryContainer: colours.ink,
    tertiary: colours.thread,
    onTertiary: colours.surface,
    tertiaryContainer: colours.chalk,
    onTertiaryContainer: colours.ink,
    background: colours.surface,
    onBackground: colours.ink,
    surface: colours.surface,
    onSurface: colours.ink,
    surfaceVariant: colours.chalk,
    onSurfaceVariant: colours.faint,
    surfaceDisabled: colours.line,
    onSurfaceDisabled: colours.faint,
    error: colours.rowan,
    onError: colours.surface,
    errorContainer: colours.rowanWash,
    onErrorContainer: colours.ink,
    outline: colours.faint,
    outlineVariant: colours.line,
    inverseSurface: colours.slab,
    inverseOnSurface: colours.onSlab,
    inversePrimary: colours.tape,
    shadow: colours.slab,
    scrim: colours.slab,
    backdrop: colours.slab + DIMMED,
    elevation: {
      level0: 'transparent',
      level1: colours.surface,
      level2: colours.surface,
      level3: colours.surface,
      level4: colours.surface,
      level5: colours.surface,
    },
  };
}
