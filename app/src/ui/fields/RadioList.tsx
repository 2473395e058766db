import { StyleSheet, View } from 'react-native';
import { RadioButton } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { useType } from '@/theme/useType';
import { useRoles } from './useRoles';

interface Props<Id extends string> {
  label: string;
  options: readonly { id: Id; name: string }[];
  value: Id;
  onChange: (id: Id) => void;
}

/** A few choices whose names are long: one below the other, each with its ring. */
export function RadioList<Id extends string>({ label, options, value, onChange }: Props<Id>) {
  const colours = useColours();
  const type = useType('body');
  const chosen = options.findIndex(({ id }) => id === value);
  const row = useRoles('radiogroup', chosen, (index) => onChange(options[index]!.id));
  return (
    <View ref={row} role="radiogroup" aria-label={label}>
      <RadioButton.Group value={value} onValueChange={(next) => onChange(next as Id)}>
        {options.map(({ id, name }) => (
          <RadioButton.Item
            key={id}
            value={id}
            label={name}
            mode="android"
            position="leading"
            color={colours.sea}
            uncheckedColor={colours.faint}
            labelStyle={[type, STYLES.label, { color: colours.ink }]}
            style={STYLES.item}
          />
        ))}
      </RadioButton.Group>
    </View>
  );
}

const STYLES = StyleSheet.create({
  item: { paddingVertical: 4, paddingHorizontal: 0, minHeight: 48, justifyContent: 'flex-start' },
  label: { textAlign: 'left', flexShrink: 1 },
});
