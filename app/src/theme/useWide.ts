import { useWindowDimensions } from 'react-native';

/** From this width on the places stand in a rail and the board in three columns. */
const WIDE_FROM = 960;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}
