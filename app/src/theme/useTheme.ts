import { Appearance } from 'react-native';
import { create } from 'zustand';
import { useSettings, type ThemeName } from '@/data/settings';
import { COLOURS, type Colours } from './colours';

const deviceIsDark = () => Appearance.getColorScheme() === 'dark';

/** Whether the device itself is dark, asked once and told of every change, however many look at it. */
const useDevice = create<{ dark: boolean }>(() => ({ dark: deviceIsDark() }));
Appearance.addChangeListener(() => useDevice.setState({ dark: deviceIsDark() }));

/** The theme in force: the chosen one, or the device's own light or dark. */
function useThemeName(): ThemeName {
  const chosen = useSettings((state) => state.theme);
  const dark = useDevice((state) => state.dark);
  if (chosen !== 'device') return chosen;
  return dark ? 'dark' : 'light';
}

export function useColours(): Colours {
  return COLOURS[useThemeName()];
}
