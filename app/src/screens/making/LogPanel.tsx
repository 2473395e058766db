import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Panel } from '@/ui/layout/Panel';
import { Words } from '@/ui/layout/Words';
import { useEvents, useMakeEvents } from '@/data/events';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { logOf, type LogLine } from './log';
import type { Progress } from '@/reading/useProgress';

interface Props {
  id: string;
  progress: Progress;
  onClose: () => void;
}

/** So many lines are shown until more are asked for. */
const FIRST = 30;

/** Rows done, and what else happened: by which device and when. A line that is wrong is taken out; nothing else moves. */
export function LogPanel({ id, progress, onClose }: Props) {
  const events = useMakeEvents(id);
  const device = useSettings((state) => state.device);
  const happened = useEvents((state) => state.happened);
  const [all, setAll] = useState(false);
  const lines = logOf(events, progress.worked.steps, device);
  const shown = all ? lines : lines.slice(0, FIRST);
  return (
    <Panel title="Log" onClose={onClose}>
      {lines.length === 0 ? (
        <Words tone="faint">Nothing has happened yet. Rows appear here as you finish them.</Words>
      ) : null}
      {byDay(shown).map(([day, of]) => (
        <View key={day} style={{ gap: 4 }}>
          <Words as="smallStrong">{day}</Words>
          {of.map((line) => (
            <Line key={line.id} line={line} onRemove={() => happened(id, { kind: 'undone', ticks: [line.id] })} />
          ))}
        </View>
      ))}
      {shown.length < lines.length ? <Action onPress={() => setAll(true)}>{`Show all ${lines.length}`}</Action> : null}
    </Panel>
  );
}

function Line({ line: { says, at, here }, onRemove }: { line: LogLine; onRemove: () => void }) {
  const colours = useColours();
  const time = new Date(at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
  return (
    <View style={[STYLES.line, { borderColor: colours.line }]}>
      <View style={{ flex: 1 }}>
        <Words>{says}</Words>
        <Words as="small" tone="faint">{`${time}, on ${here ? 'this device' : 'another device'}`}</Words>
      </View>
      <Action label={`Remove: ${says}`} onPress={onRemove}>
        Remove
      </Action>
    </View>
  );
}

function byDay(lines: readonly LogLine[]): [string, LogLine[]][] {
  const days = new Map<string, LogLine[]>();
  for (const line of lines) {
    const day = new Date(line.at).toLocaleDateString(undefined, { weekday: 'short', day: 'numeric', month: 'short' });
    const known = days.get(day);
    if (known) known.push(line);
    else days.set(day, [line]);
  }
  return [...days];
}

const STYLES = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', columnGap: 8, borderBottomWidth: 1, paddingVertical: 2 },
});
