import { usePathname } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { useArrived } from '@/ui/layout/arrived';
import { Skeleton } from '@/ui/notices/Skeleton';

/** What stands under a page whose script is still on its way; the page covers it. */
export function PlaceShape() {
  const path = usePathname();
  const arrived = useArrived((state) => state.path);
  if (arrived === path) return null;
  return (
    <View style={[StyleSheet.absoluteFill, STYLES.shape]}>
      <Skeleton />
    </View>
  );
}

const STYLES = StyleSheet.create({ shape: { pointerEvents: 'none' } });
