import type { ErrorBoundaryProps } from 'expo-router';
import { View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { Action } from '@/ui/actions/Action';
import { isUnfetched } from '@/ui/layout/later';
import { Words } from '@/ui/layout/Words';
import { wantedPlace } from './wanted';
import { leaveFor } from '@/platform/page';

/** Once more from the start: a part that could not be fetched is not asked for again until the page is. */
function again(retry: ErrorBoundaryProps['retry']): void {
  if (!leaveFor(wantedPlace())) void retry();
}

/** What went wrong, in words; of a part that did not come, its address tells nobody anything. */
function reasonOf(error: Error): string {
  return isUnfetched(error) ? 'Part of this page did not load.' : `It says: ${error.message}`;
}

/** In place of a screen that failed, or that could not be fetched while the server is away. */
export function Broken({ error, retry }: ErrorBoundaryProps) {
  const colours = useColours();
  return (
    <View
      role="main"
      style={{ flex: 1, backgroundColor: colours.chalk, padding: 24, gap: 14, alignItems: 'flex-start' }}
    >
      <Words as="title" level={1}>
        This screen could not be shown
      </Words>
      <Words style={{ maxWidth: 560 }}>
        Nothing is lost: what you typed and ticked is kept on this device. Try again. If you are offline, try when you
        are back online.
      </Words>
      <Words as="small" tone="faint">
        {reasonOf(error)}
      </Words>
      <Action main onPress={() => again(retry)}>
        Try again
      </Action>
    </View>
  );
}
