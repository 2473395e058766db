import { usePathname, useRouter } from 'expo-router';
import { View } from 'react-native';
import { EmptyPlace } from '@/ui/notices/EmptyPlace';
import { Page } from '@/ui/layout/Page';
import { Tape } from '@/ui/layout/Tape';
import { useBox } from '@/ui/layout/useBox';

/** A tape pulled out as far as it goes, and nothing on it. */
function Loose() {
  const { box, onLayout } = useBox();
  return (
    <View onLayout={onLayout}>
      <Tape lengthMm={400} px={box.width} outMm={150} />
    </View>
  );
}

/** An address that leads nowhere: said plainly, with the places beside it. */
export function NotFound() {
  const path = usePathname();
  const router = useRouter();
  return (
    <Page title="Nothing here" says={`There is no page at ${path}.`}>
      <EmptyPlace
        title="The tape ends before this page"
        text="Check the address, or choose a place."
        action={{ name: 'Go to the bench', do: () => router.replace('/') }}
      >
        <Loose />
      </EmptyPlace>
    </Page>
  );
}
