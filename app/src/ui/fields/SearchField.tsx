import { useRef, type ComponentRef } from 'react';
import { StyleSheet } from 'react-native';
import { Searchbar } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { useType } from '@/theme/useType';
import { Icon } from '@/ui/actions/Icon';

interface Props {
  /** What is searched, a plural. */
  what: string;
  value: string;
  onChange: (typed: string) => void;
}

/** A line to find something by a word of it. */
export function SearchField({ what, value, onChange }: Props) {
  const colours = useColours();
  const type = useType('body');
  const line = useRef<ComponentRef<typeof Searchbar>>(null);
  return (
    <Searchbar
      ref={line}
      role="searchbox"
      value={value}
      onChangeText={onChange}
      placeholder={`Search ${what}`}
      accessibilityLabel={`Search ${what}`}
      icon={({ color }) => <Icon name="search" colour={color} size={20} />}
      clearIcon={({ color }) => <Icon name="close" colour={color} size={18} />}
      clearAccessibilityLabel="Clear the search"
      onIconPress={() => line.current?.focus()}
      searchAccessibilityLabel={`Type what to find among ${what}`}
      inputStyle={[type, STYLES.input, { color: colours.ink }]}
      style={[STYLES.bar, { backgroundColor: colours.surface, borderColor: colours.faint }]}
      elevation={0}
    />
  );
}

const STYLES = StyleSheet.create({
  bar: { borderWidth: 1, borderRadius: 2, height: 48 },
  input: { minHeight: 0, height: 46, alignSelf: 'center' },
});
