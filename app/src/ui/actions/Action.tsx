import { StyleSheet } from 'react-native';
import { Button } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { useType } from '@/theme/useType';
import { useLeadToRed } from '@/ui/fields/reds';

interface Props {
  children: string;
  onPress: () => void;
  /** The one thing this screen is for; everything else is written as a link. */
  main?: boolean;
  label?: string;
  disabled?: boolean | undefined;
  /** Whether it takes what stands in the form round it: a red line is led to first. The main one always does. */
  saves?: boolean;
}

/** Something to do, in words: long ones go on in a second line instead of being cut off. */
export function Action({ children, onPress, main = false, label, disabled, saves = main }: Props) {
  const leadToRed = useLeadToRed();
  const colours = useColours();
  const type = useType('strong');
  return (
    <Button
      mode={main ? 'contained' : 'text'}
      compact
      onPress={() => (saves && leadToRed()) || onPress()}
      accessibilityLabel={label}
      disabled={disabled ?? false}
      buttonColor={main ? colours.ink : 'transparent'}
      textColor={main ? colours.chalk : colours.sea}
      style={STYLES.button}
      contentStyle={main ? STYLES.content : STYLES.linkContent}
      labelStyle={[type, STYLES.label, main ? STYLES.mainLabel : STYLES.linkLabel]}
    >
      {children}
    </Button>
  );
}

const STYLES = StyleSheet.create({
  button: { borderRadius: 2, flexShrink: 1, maxWidth: '100%' },
  content: { minHeight: 48 },
  linkContent: { minHeight: 48, justifyContent: 'flex-start' },
  // the library keeps a label on one line and cuts it off
  label: { whiteSpace: 'normal', overflow: 'visible', marginVertical: 4, letterSpacing: 0, flexShrink: 1 } as object,
  mainLabel: { marginHorizontal: 20, textAlign: 'center' },
  linkLabel: { marginHorizontal: 4, textAlign: 'left' },
});
