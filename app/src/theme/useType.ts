import type { TextStyle } from 'react-native';
import { LETTERS, useSettings } from '@/data/settings';
import { larger, TYPE, type TypeName } from './type';

/** A text style in the letters this device has chosen. */
export function useType(name: TypeName, more?: TextStyle): TextStyle {
  const times = LETTERS[useSettings((state) => state.letters)];
  return larger({ ...TYPE[name], ...more }, times);
}
