import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useLibrary } from '@/state/library';
import { useLine } from '@/state/sync';
import { Action } from './Action';
import { Fetching } from './EmptyPlace';
import { Words } from './Words';

/** In place of a document that is not here: still on its way, or deleted. */
export function Missing({ what }: { what: string }) {
  const router = useRouter();
  const loaded = useLibrary((state) => state.loaded);
  const reached = useLine((state) => state.reached);
  if (!loaded && reached !== false)
    return (
      <View style={{ padding: 24 }}>
        <Fetching what={`the ${what}`} />
      </View>
    );
  return (
    <View role="main" style={{ padding: 24, gap: 12, alignItems: 'flex-start' }}>
      <Words as="heading" level={1}>
        {`There is no such ${what} here`}
      </Words>
      <Words>
        {reached === false
          ? 'You are offline, and this device does not have it yet. It comes as soon as you are back online.'
          : 'It was deleted, or it is on another device that has not sent it yet.'}
      </Words>
      <Action main onPress={() => router.navigate('/')}>
        Go to the bench
      </Action>
    </View>
  );
}
