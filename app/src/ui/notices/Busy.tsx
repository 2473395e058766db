import { ActivityIndicator } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';

/** Something is being worked out; the words beside it say what. */
export function Busy() {
  const colours = useColours();
  return (
    <ActivityIndicator
      animating
      size={20}
      color={colours.sea}
      aria-label="Calculating"
      style={{ alignSelf: 'flex-start' }}
    />
  );
}
