import { View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';

const HEIGHT = 8;

/** How much of a whole, to be compared at a glance; the words beside it say the same. */
export function ShareBar({ share }: { share: number }) {
  const colours = useColours();
  return (
    // the library's bar fills what it stands in
    <View aria-hidden style={{ height: HEIGHT }}>
      <ProgressBar progress={share} color={colours.lichen} style={{ height: HEIGHT, backgroundColor: colours.line }} />
    </View>
  );
}
