import { capital } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useLibrary } from '@/data/library';
import { useLine } from '@/data/sync';
import { Action } from '@/ui/actions/Action';
import { Page } from '@/ui/layout/Page';
import { Skeleton } from './Skeleton';

/** In place of a document that is not here: still on its way, or deleted. */
export function Missing({ what }: { what: string }) {
  const router = useRouter();
  const loaded = useLibrary((state) => state.loaded);
  const reached = useLine((state) => state.reached);
  if (!loaded && reached !== false) return <Skeleton />;
  return (
    <Page
      title={`${capital(what)} not found`}
      says={
        reached === false
          ? `You are offline and this ${what} is not on this device yet. It will load when you are back online.`
          : 'It was deleted, or it is on another device that has not synced yet.'
      }
    >
      <View style={{ alignItems: 'flex-start' }}>
        <Action main onPress={() => router.navigate('/')}>
          Go to the bench
        </Action>
      </View>
    </Page>
  );
}
