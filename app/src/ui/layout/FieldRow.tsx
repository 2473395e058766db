import type { ReactNode } from 'react';
import { View } from 'react-native';

/** Fields side by side where there is room, else one below the other. */
export function FieldRow({ children }: { children: ReactNode }) {
  return <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 8 }}>{children}</View>;
}
