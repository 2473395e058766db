import type { Make } from '@keep-snug/core';
import { StyleSheet, View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import type { Aloud } from '@/platform/useAloud';
import type { Listening } from '@/platform/useListening';
import { panelsAt } from './panels';

interface Props {
  canUndo: boolean;
  onUndo: () => void;
  make: Make;
  /** Opens a panel, by its id. */
  onOpen: (panel: string) => void;
  /** Left out where no plan lies behind it. */
  onPlan: (() => void) | undefined;
  onBench: () => void;
  aloud: Pick<Aloud, 'can' | 'on' | 'turn'>;
  listening: Listening;
}

/** What can be done besides the next row: always in its place above the target, on the side of the free hand. */
export function Controls({ canUndo, onUndo, make, onOpen, onPlan, onBench, aloud, listening }: Props) {
  const colours = useColours();
  const wide = useWide();
  const left = useSettings((state) => state.hand) === 'left';
  const entries = (where: 'menu' | 'wide') =>
    panelsAt(where, make).map(({ id, as }) => ({ name: as, do: () => onOpen(id) }));
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
      {panelsAt('bar', make).map(({ id, as }) => (
        <Action key={id} onPress={() => onOpen(id)}>
          {as}
        </Action>
      ))}
      <View style={STYLES.more}>
        <MoreMenu
          of="this make"
          entries={[
            ...entries('menu'),
            ...(aloud.can ? [{ name: aloud.on ? 'Stop reading aloud' : 'Read rows aloud', do: aloud.turn }] : []),
            ...(listening.can
              ? [
                  {
                    name: listening.on ? 'Stop listening' : 'Listen: next, back, how many',
                    do: listening.turn,
                  },
                ]
              : []),
            ...(onPlan ? [{ name: 'Plan', do: onPlan }] : []),
            { name: 'Bench', do: onBench },
            ...(wide ? entries('wide') : []),
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
