import type { ReactNode } from 'react';
import { Pressable, type StyleProp, type ViewStyle } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { useFocusRing } from './useFocusRing';

interface Props {
  onPress: () => void;
  children: ReactNode;
  label?: string;
  role?: 'button' | 'link' | 'tab' | 'radio';
  selected?: boolean;
  expanded?: boolean;
  disabled?: boolean;
  style?: StyleProp<ViewStyle>;
}

/** Anything that can be pressed: a target of 48 px and a focus ring that shows. */
export function Press({ onPress, children, label, role = 'button', selected, expanded, disabled, style }: Props) {
  const colours = useColours();
  const { ring, onFocus, onBlur } = useFocusRing();
  const states = {
    ...(role === 'tab' ? { 'aria-selected': selected } : {}),
    ...(role === 'radio' ? { 'aria-checked': selected } : {}),
    ...(expanded === undefined ? {} : { 'aria-expanded': expanded }),
  };
  // the space bar presses buttons by itself, but not tabs and choices
  const onKeyDown = (event: { key: string; preventDefault: () => void }) => {
    if (event.key !== ' ' || role === 'button' || role === 'link' || disabled) return;
    event.preventDefault();
    onPress();
  };
  return (
    <Pressable
      {...{ onKeyDown }}
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
