import { StyleSheet, View } from 'react-native';
import { IconButton, Tooltip } from 'react-native-paper';
import { passedByTab } from '@/platform/page';
import { useColours } from '@/theme/useTheme';
import { Icon, type IconName } from './Icon';

interface Props {
  /** What it does: read aloud, and shown to a resting pointer. */
  label: string;
  icon: IconName;
  onPress: () => void;
  disabled?: boolean;
}

/** Something to do by a sign of our own drawing, a target of 48 px. What tells its name to a pointer is no stop of its own. */
export function IconAction({ label, icon, onPress, disabled = false }: Props) {
  const colours = useColours();
  return (
    <View ref={passedByTab}>
      <Tooltip title={label} enterTouchDelay={600}>
        <IconButton
          icon={({ color }) => <Icon name={icon} colour={color} />}
          iconColor={colours.sea}
          accessibilityLabel={label}
          disabled={disabled}
          onPress={onPress}
          style={STYLES.button}
        />
      </Tooltip>
    </View>
  );
}

const STYLES = StyleSheet.create({ button: { width: 48, height: 48, margin: 0, borderRadius: 2 } });
