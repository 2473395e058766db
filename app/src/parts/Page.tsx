import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { KeepingLines } from './KeepingLines';
import { Words } from './Words';

interface Props {
  title: string;
  /** What can be done on this page, beside its title. */
  actions?: ReactNode;
  children: ReactNode;
}

/** A place: its name, then what is there. */
export function Page({ title, actions, children }: Props) {
  const colours = useColours();
  return (
    <View style={{ flex: 1 }}>
      <KeepingLines />
      <ScrollView
        role="main"
        style={{ flex: 1, backgroundColor: colours.chalk }}
        contentContainerStyle={{ alignItems: 'center' }}
      >
        <View style={{ width: '100%', maxWidth: 1040, padding: 20, gap: 20 }}>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16 }}>
            <Words as="title" level={1} style={{ flexGrow: 1 }}>
              {title}
            </Words>
            {actions}
          </View>
          {children}
        </View>
      </ScrollView>
    </View>
  );
}
