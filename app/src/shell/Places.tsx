import { usePathname, useRouter, type Href } from 'expo-router';
import { memo, type ReactNode } from 'react';
import { View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { Icon } from '@/ui/actions/Icon';
import { Press } from '@/ui/actions/Press';
import { Words } from '@/ui/layout/Words';
import { isAlone, SCREENS } from './screens';

const PLACES = SCREENS.flatMap(({ path, place }) => (place ? [{ to: path as Href, ...place }] : []));

/** The places, always reachable but from a room of its own: a bar below on a phone, a rail at the left when wide. */
export function Places({ children }: { children: ReactNode }) {
  const wide = useWide();
  const alone = isAlone(usePathname(), wide);
  return (
    <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
      {wide && !alone ? <Rail wide /> : null}
      <View style={{ flex: 1 }}>{children}</View>
      {wide || alone ? null : <Rail wide={false} />}
    </View>
  );
}

const Rail = memo(function Rail({ wide }: { wide: boolean }) {
  const colours = useColours();
  const router = useRouter();
  const path = usePathname();
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={{
        flexDirection: wide ? 'column' : 'row',
        backgroundColor: colours.surface,
        borderColor: colours.line,
        ...(wide
          ? { width: 96, borderRightWidth: 1, paddingTop: 16 }
          : { borderTopWidth: 1, justifyContent: 'space-around' }),
      }}
    >
      {PLACES.map(({ to, name, icon }) => {
        const here = path === to;
        return (
          <Press
            key={name}
            role="link"
            label={name}
            onPress={() => router.navigate(to)}
            style={{
              alignItems: 'center',
              paddingVertical: 8,
              flex: wide ? undefined : 1,
              ...(wide ? { borderLeftWidth: 6, paddingRight: 6 } : { borderTopWidth: 4 }),
              borderColor: here ? colours.tape : 'transparent',
            }}
          >
            <Icon name={icon} colour={here ? colours.ink : colours.faint} />
            <Words as={here ? 'smallStrong' : 'small'} tone={here ? 'ink' : 'faint'} style={{ fontSize: 13 }}>
              {name}
            </Words>
          </Press>
        );
      })}
    </View>
  );
});
