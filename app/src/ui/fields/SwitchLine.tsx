import { Pressable, StyleSheet, View } from 'react-native';
import { Switch } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { Words } from '@/ui/layout/Words';

interface Props {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}

/** Something that is on or off. The whole line is pressed; the library's switch on it only shows how it stands. */
export function SwitchLine({ label, on, onChange }: Props) {
  const colours = useColours();
  return (
    <Pressable role="switch" aria-label={label} aria-checked={on} onPress={() => onChange(!on)} style={STYLES.line}>
      <View aria-hidden pointerEvents="none">
        <Switch value={on} color={colours.sea} {...{ tabIndex: -1, inert: true }} />
      </View>
      <Words style={{ flexShrink: 1 }}>{label}</Words>
    </Pressable>
  );
}

const STYLES = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', columnGap: 12, minHeight: 48 },
});
