import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { Page } from '@/ui/layout/Page';
import { Words } from '@/ui/layout/Words';
import chapters from './chapters.json';

/** The first hour, from an empty bench to a finished cover and the next one: the same words as in the docs. */
export function Guide() {
  const router = useRouter();
  return (
    <Page
      title="How it goes"
      says="From an empty bench to a finished cover, and the second one."
      main={{ name: 'Choose what to make', do: () => router.push('/starts') }}
    >
      <View style={{ gap: 20, maxWidth: 720 }}>
        {chapters.map(({ title, text }, index) => (
          <CardBox key={title}>
            <Words as="heading" level={2}>{`${index + 1}. ${title}`}</Words>
            {text.map((one) => (
              <Words key={one} style={{ maxWidth: 640 }}>
                {one}
              </Words>
            ))}
          </CardBox>
        ))}
      </View>
      <View style={{ flexDirection: 'row' }}>
        <Action onPress={() => router.push('/stitches')}>Stitches: how each is worked</Action>
      </View>
    </Page>
  );
}
