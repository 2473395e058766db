import { useWindowDimensions } from 'react-native';

/** From this width on the places stand in a rail and the board in three columns. */
const WIDE_FROM = 960;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}

/** Below this height a drawing gives way: it scrolls with the page instead of staying in sight. */
const LOW_BELOW = 600;

export function useLow(): boolean {
  return useWindowDimensions().height < LOW_BELOW;
}
