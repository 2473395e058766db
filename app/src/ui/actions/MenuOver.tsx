import type { ReactNode } from 'react';
import { StyleSheet } from 'react-native';
import { Menu } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';

interface Props {
  at: { x: number; y: number };
  onClose: () => void;
  children: ReactNode;
}

/** An open menu, drawn as a sheet of paper with a hairline. */
export function MenuOver({ at, onClose, children }: Props) {
  const colours = useColours();
  return (
    <Menu
      visible
      onDismiss={onClose}
      anchor={at}
      contentStyle={[STYLES.menu, { backgroundColor: colours.surface, borderColor: colours.faint }]}
    >
      {children}
    </Menu>
  );
}

const STYLES = StyleSheet.create({ menu: { borderWidth: 1, borderRadius: 2, paddingVertical: 0 } });
