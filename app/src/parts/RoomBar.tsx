import { useRouter, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { KeepingLines } from './KeepingLines';
import { Icon } from './Icon';
import { Press } from './Press';

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
      <View
        style={{
          flexDirection: 'row',
          flexWrap: 'wrap',
          alignItems: 'center',
          alignContent: 'center',
          columnGap: 12,
          paddingRight: 16,
          minHeight: 64,
          borderBottomWidth: 1,
          borderColor: colours.line,
        }}
      >
        <Press
          label={`Back to ${back.name}`}
          onPress={() => router.navigate(back.to)}
          style={{ width: 48, alignItems: 'center' }}
        >
          <Icon name="back" colour={colours.sea} />
        </Press>
        {children}
      </View>
      <KeepingLines />
    </View>
  );
}
