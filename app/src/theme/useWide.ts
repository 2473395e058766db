import { useWindowDimensions } from 'react-native';

/** From this width on the places stand in a rail and the board in three columns. */
const WIDE_FROM = 960;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}

/** Below this width a bar has room for what is pressed most, and the rest stands in its menu; below the second for one word. */
const NARROW_BELOW = { bar: 360, word: 260 } as const;

export function useNarrow(of: keyof typeof NARROW_BELOW): boolean {
  return useWindowDimensions().width < NARROW_BELOW[of];
}

/** Below this height a drawing gives way: it scrolls with the page instead of staying in sight. */
const LOW_BELOW = 600;

export function useLow(): boolean {
  return useWindowDimensions().height < LOW_BELOW;
}
