import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { DeletedBar } from '@/shell/DeletedBar';
import { Places } from '@/shell/Places';
import { PlaceShape } from '@/shell/PlaceShape';
import { Skeleton } from '@/ui/notices/Skeleton';
import { useWanted } from '@/shell/wanted';
import { OpenTechnique } from '@/shell/OpenTechnique';
import { useKept } from '@/platform/version';
import { useHearing, useOpening, useSync } from '@/data/sync';
import { paperTheme } from '@/theme/paper';
import { FONTS } from '@/theme/type';
import { useGlobalStyle } from '@/theme/useGlobalStyle';
import { useColours } from '@/theme/useTheme';

export { Broken as ErrorBoundary } from '@/shell/Broken';

/** Keeps device and server in step, and the place in mind, beside the screens: they are not drawn anew for it. */
function InStep() {
  useSync();
  useHearing();
  useWanted();
  useKept();
  return null;
}

export default function Root() {
  const colours = useColours();
  useGlobalStyle();
  // letters come as they come: the page is not held up for them
  useFonts(FONTS);
  const opened = useOpening();
  if (!opened) return <Skeleton />;
  return (
    <PaperProvider theme={paperTheme(colours)} settings={{ icon: () => null }}>
      <View style={{ flex: 1, backgroundColor: colours.chalk }}>
        <InStep />
        <PlaceShape />
        <Places>
          <Slot />
        </Places>
        <DeletedBar />
        <OpenTechnique />
      </View>
    </PaperProvider>
  );
}
