import { StyleSheet, View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import { useColours } from '@/theme/useTheme';
import { Action } from '@/ui/actions/Action';
import { Words } from '@/ui/layout/Words';
import { useLate } from './useLate';

interface Props {
  /** What is being done: a noun or a verb in -ing. */
  says: string;
  /** How far it is, of how much; left out where nobody can tell. */
  done?: number;
  of?: number;
  onStop?: () => void;
}

/** Work that takes a while: how far it is, as a tape that is pulled out, and a way to stop it. What is done at once is not told. */
export function LongWork({ says, done, of, onStop }: Props) {
  const colours = useColours();
  const isLate = useLate();
  const isTold = done !== undefined && of !== undefined;
  const text = isTold ? `${says}: ${done} of ${of}` : `${says}…`;
  if (!isLate) return null;
  return (
    <View style={{ gap: 4 }}>
      <View style={STYLES.line}>
        <Words as="small" tone="thread" live style={{ flexGrow: 1 }}>
          {text}
        </Words>
        {onStop ? <Action onPress={onStop}>Stop</Action> : null}
      </View>
      <ProgressBar
        {...(isTold ? { progress: done / Math.max(1, of) } : { indeterminate: true })}
        color={colours.tape}
        style={[STYLES.bar, { backgroundColor: colours.line }]}
        aria-label={says}
      />
    </View>
  );
}

const STYLES = StyleSheet.create({
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16, minHeight: 48 },
  bar: { height: 8, borderRadius: 0 },
});
