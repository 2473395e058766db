import type { ReactNode } from 'react';
import { Pressable, type StyleProp, type ViewStyle } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { useFocusRing } from './useFocusRing';
import type { RadioKeys } from '@/ui/fields/useRadios';

interface Props {
  onPress: () => void;
  children: ReactNode;
  label?: string;
  role?: 'button' | 'link' | 'tab' | 'radio';
  selected?: boolean;
  expanded?: boolean;
  /** Of a button that stays in force: whether it is. */
  pressed?: boolean;
  disabled?: boolean;
  /** Among radios: which of them the Tab key reaches, and where the arrows lead. */
  keys?: RadioKeys;
  style?: StyleProp<ViewStyle>;
}

/** Anything that can be pressed: a target of 48 px and a focus ring that shows. */
export function Press(props: Props) {
  const { onPress, children, label, role = 'button', selected, expanded, pressed, disabled, keys, style } = props;
  const colours = useColours();
  const { ring, onFocus, onBlur } = useFocusRing();
  const states = {
    ...(role === 'tab' ? { 'aria-selected': selected } : {}),
    ...(role === 'radio' ? { 'aria-checked': selected } : {}),
    ...(expanded === undefined ? {} : { 'aria-expanded': expanded }),
    ...(pressed === undefined ? {} : { 'aria-pressed': pressed }),
  };
  const arrow = (key: string) => (/^Arrow(Right|Down)$/.test(key) ? 1 : /^Arrow(Left|Up)$/.test(key) ? -1 : 0);
  // the space bar presses buttons by itself, but not tabs and choices
  const onKeyDown = (event: { key: string; preventDefault: () => void; stopPropagation: () => void }) => {
    const step = arrow(event.key);
    if (keys && step !== 0) {
      // the room's own keys are not meant
      event.stopPropagation();
      event.preventDefault();
      return keys.onArrow(step);
    }
    if (event.key !== ' ' || role === 'button' || role === 'link' || disabled) return;
    event.preventDefault();
    onPress();
  };
  return (
    <Pressable
      {...{ onKeyDown }}
      {...(keys ? { ref: keys.pressRef, tabIndex: keys.tabIndex } : {})}
      role={role}
      aria-label={label}
      disabled={disabled}
      onPress={onPress}
      onFocus={onFocus}
      onBlur={onBlur}
      {...states}
      style={[
        { minHeight: 48, justifyContent: 'center' },
        style,
        {
          outlineStyle: 'solid',
          outlineWidth: ring ? 3 : 0,
          outlineColor: colours.sea,
          outlineOffset: 1,
        } as ViewStyle,
        disabled ? { opacity: 0.45 } : null,
      ]}
    >
      {children}
    </Pressable>
  );
}
