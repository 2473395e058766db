import { useRouter, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Appbar } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { KeepingLines } from '@/ui/notices/KeepingLines';
import { IconAction } from '@/ui/actions/IconAction';

interface Props {
  /** Where the way back leads, and its name. */
  back: { to: Href; name: string };
  children: ReactNode;
}

/** The bar of a room you go into: the way back, its name, what can be done. */
export function RoomBar({ back, children }: Props) {
  const colours = useColours();
  const router = useRouter();
  return (
    <View role="banner" style={{ backgroundColor: colours.surface }}>
      <Appbar elevated={false} style={[STYLES.bar, { backgroundColor: colours.surface, borderColor: colours.line }]}>
        <IconAction label={`Back to ${back.name}`} icon="back" onPress={() => router.navigate(back.to)} />
        {children}
      </Appbar>
      <KeepingLines />
    </View>
  );
}

const STYLES = StyleSheet.create({
  // as high as what stands in it, which goes on in a second line on a narrow screen
  bar: {
    height: 'auto',
    minHeight: 64,
    flexWrap: 'wrap',
    alignContent: 'center',
    columnGap: 12,
    paddingRight: 16,
    borderBottomWidth: 1,
  },
});
