import { Snackbar } from 'react-native-paper';
import { useDeleting } from '@/data/deleting';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { Words } from '@/ui/layout/Words';

/** So long it can be undone here; after that it is among the deleted in Settings. */
const DURATION_MS = 10_000;
/** On a phone it stays clear of the places at the bottom. */
const ABOVE_THE_PLACES = 72;

/** Says what was deleted, on whatever screen, and takes it back. */
export function DeletedBar() {
  const { last, undo, forget } = useDeleting();
  const colours = useColours();
  const wide = useWide();
  return (
    <Snackbar
      // each deletion has its own ten seconds
      key={last?.id ?? ''}
      visible={last !== null}
      onDismiss={forget}
      duration={DURATION_MS}
      action={{ label: 'Undo', onPress: undo, textColor: colours.onSlab }}
      wrapperStyle={{ bottom: wide ? 8 : ABOVE_THE_PLACES, alignItems: 'center' }}
      style={{ backgroundColor: colours.slab, borderRadius: 2, maxWidth: 560, width: '94%' }}
    >
      <Words style={{ color: colours.onSlab }}>{`${last?.done ?? 'Deleted'}: ${last?.name ?? ''}`}</Words>
    </Snackbar>
  );
}
