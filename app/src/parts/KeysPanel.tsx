import { View } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { Panel } from './Panel';
import { Words } from './Words';

export type Keys = readonly (readonly [key: string, does: string])[];

/** Keys of a room and what they do; all are shown, none is needed. */
export function KeysPanel({ keys, onClose }: { keys: Keys; onClose: () => void }) {
  const colours = useColours();
  return (
    <Panel title="Keys" onClose={onClose}>
      {keys.map(([key, does]) => (
        <View
          key={key}
          style={{
            flexDirection: 'row',
            justifyContent: 'space-between',
            columnGap: 16,
            borderBottomWidth: 1,
            borderColor: colours.line,
            paddingVertical: 6,
          }}
        >
          <Words as="strong">{key}</Words>
          <Words style={{ flexShrink: 1, textAlign: 'right' }}>{does}</Words>
        </View>
      ))}
      <Words as="small" tone="faint">
        Every action also has a button.
      </Words>
    </Panel>
  );
}
