import { View } from 'react-native';
import { Menu } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { useType } from '@/theme/useType';
import { IconAction } from './IconAction';
import { MenuOver } from './MenuOver';
import { useMenuAt } from './useMenuAt';

interface MenuEntry {
  name: string;
  do: () => void;
}

/** What else can be done with a card, under a sign at its corner. */
export function MoreMenu({ of, entries }: { of: string; entries: readonly MenuEntry[] }) {
  const colours = useColours();
  const type = useType('strong');
  const { line, at, open, close } = useMenuAt();
  return (
    <View ref={line}>
      <IconAction label={`More: ${of}`} icon="more" onPress={open} />
      {at ? (
        <MenuOver at={at} onClose={close}>
          {entries.map((entry) => (
            <Menu.Item
              key={entry.name}
              title={entry.name}
              titleStyle={[type, { color: colours.sea }]}
              accessibilityLabel={`${entry.name}: ${of}`}
              onPress={() => {
                close();
                entry.do();
              }}
            />
          ))}
        </MenuOver>
      ) : null}
    </View>
  );
}
