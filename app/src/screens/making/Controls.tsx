import { StyleSheet, View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import type { Aloud } from '@/platform/useAloud';
import type { Listening } from '@/platform/useListening';

interface Props {
  canUndo: boolean;
  onUndo: () => void;
  onMeasure: () => void;
  onLost: () => void;
  onWeigh: () => void;
  onLog: () => void;
  onDays: () => void;
  /** Left out where the yarn does not repeat. */
  onLanded: (() => void) | undefined;
  onChart: () => void;
  onNote: () => void;
  onKeys: () => void;
  /** Left out where no plan lies behind it. */
  onPlan: (() => void) | undefined;
  onBench: () => void;
  aloud: Pick<Aloud, 'can' | 'on' | 'turn'>;
  listening: Listening;
}

/** What can be done besides the next row: always in its place above the target, on the side of the free hand. */
export function Controls({
  canUndo,
  onUndo,
  onMeasure,
  onLost,
  onWeigh,
  onLog,
  onDays,
  onLanded,
  onChart,
  onNote,
  onKeys,
  onPlan,
  onBench,
  aloud,
  listening,
}: Props) {
  const colours = useColours();
  const wide = useWide();
  const left = useSettings((state) => state.hand) === 'left';
  return (
    <View
      style={[
        STYLES.bar,
        // all of it in one line of a phone
        { borderColor: colours.line, backgroundColor: colours.surface, columnGap: wide ? 14 : 6 },
        left ? STYLES.left : null,
      ]}
    >
      <Action disabled={!canUndo} onPress={onUndo}>
        Undo
      </Action>
      <Action onPress={onMeasure}>Measure</Action>
      <Action onPress={onNote}>Note</Action>
      <Action onPress={onLost}>Lost count</Action>
      <View style={STYLES.more}>
        <MoreMenu
          of="this make"
          entries={[
            { name: 'Weigh the ball', do: onWeigh },
            { name: 'Chart', do: onChart },
            { name: 'Log', do: onLog },
            ...(onLanded ? [{ name: 'Where the round ended', do: onLanded }] : []),
            { name: 'When it is done', do: onDays },
            ...(aloud.can ? [{ name: aloud.on ? 'Stop reading aloud' : 'Read rows aloud', do: aloud.turn }] : []),
            ...(listening.can
              ? [
                  {
                    name: listening.on ? 'Stop listening' : 'Listen for “next”, “back”, “how many”',
                    do: listening.turn,
                  },
                ]
              : []),
            ...(onPlan ? [{ name: 'Plan', do: onPlan }] : []),
            { name: 'Bench', do: onBench },
            ...(wide ? [{ name: 'Keys', do: onKeys }] : []),
          ]}
        />
      </View>
    </View>
  );
}

const STYLES = StyleSheet.create({
  bar: { flexDirection: 'row', flexWrap: 'wrap', borderTopWidth: 1, paddingHorizontal: 12 },
  left: { flexDirection: 'row-reverse' },
  more: { flexGrow: 1, alignItems: 'flex-end' },
});
