import { Pressable, StyleSheet, View } from 'react-native';
import { Checkbox } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { Icon } from '@/ui/actions/Icon';
import { Words } from '@/ui/layout/Words';

interface Props {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}

/** One of several that may be chosen. The whole line is pressed; the library's box on it only shows how it stands. */
export function CheckLine({ label, on, onChange }: Props) {
  const colours = useColours();
  return (
    <Pressable role="checkbox" aria-label={label} aria-checked={on} onPress={() => onChange(!on)} style={STYLES.line}>
      <View aria-hidden pointerEvents="none" {...{ inert: true }} style={[STYLES.box, { borderColor: colours.faint }]}>
        <Checkbox.Android status={on ? 'checked' : 'unchecked'} color={colours.sea} />
        {on ? (
          <View style={STYLES.sign}>
            <Icon name="done" colour={colours.sea} size={20} />
          </View>
        ) : null}
      </View>
      <Words style={{ flexShrink: 1 }}>{label}</Words>
    </Pressable>
  );
}

const STYLES = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', columnGap: 12, minHeight: 48 },
  box: { width: 24, height: 24, borderWidth: 2, borderRadius: 2, overflow: 'hidden' },
  sign: { position: 'absolute', top: 0, left: 0 },
});
