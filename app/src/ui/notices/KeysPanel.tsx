import { StyleSheet, View } from 'react-native';
import { DataTable } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { Panel } from '@/ui/layout/Panel';
import { Words } from '@/ui/layout/Words';

export type Keys = readonly (readonly [key: string, does: string])[];

/** Keys of a room and what they do; all are shown, none is needed. */
export function KeysPanel({ keys, onClose }: { keys: Keys; onClose: () => void }) {
  const colours = useColours();
  return (
    <Panel title="Keys" onClose={onClose}>
      <DataTable>
        {keys.map(([key, does]) => (
          <DataTable.Row key={key} style={{ borderColor: colours.line, paddingHorizontal: 0 }}>
            <View style={STYLES.key}>
              <Words as="strong">{key}</Words>
            </View>
            <View style={STYLES.does}>
              <Words>{does}</Words>
            </View>
          </DataTable.Row>
        ))}
      </DataTable>
      <Words as="small" tone="faint">
        Every action also has a button.
      </Words>
    </Panel>
  );
}

const STYLES = StyleSheet.create({
  key: { flex: 1, justifyContent: 'center' },
  does: { flex: 2, justifyContent: 'center', paddingVertical: 8 },
});
