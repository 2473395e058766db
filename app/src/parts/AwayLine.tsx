import { View } from 'react-native';
import { useLine, useWaiting } from '@/state/sync';
import { useColours } from '@/theme/useTheme';
import { Words } from './Words';

/** Told on every screen while the server is away: what waits here, and that work goes on. */
export function AwayLine() {
  const colours = useColours();
  const reached = useLine((state) => state.reached);
  const waiting = useWaiting();
  if (reached !== false) return null;
  const kept =
    waiting === 0
      ? 'Go on: what you change is kept on this device and sent when it is back.'
      : `${waiting} ${waiting === 1 ? 'change is' : 'changes are'} kept on this device, sent when it is back.`;
  return (
    <View
      role="status"
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        columnGap: 8,
        paddingHorizontal: 16,
        paddingVertical: 8,
        borderLeftWidth: 6,
        borderBottomWidth: 1,
        borderColor: colours.line,
        borderLeftColor: colours.thread,
        backgroundColor: colours.surface,
      }}
    >
      <Words as="smallStrong" tone="thread">
        The server is away.
      </Words>
      <Words as="small">{kept}</Words>
    </View>
  );
}
