import { View } from 'react-native';
import { Path, Svg } from '@/drawing/ink';
import { useColours } from '@/theme/useTheme';
import { SKETCHES } from './sketches';

interface Props {
  /** The kind of thing, or of what carries it. */
  of: string;
  /** Which of its measures is asked for. */
  at: string;
}

const SIZE = 52;

/** Which dimension is being asked: the thing with the tape laid where it belongs. The line's own words say the same. */
export function Asked({ of, at }: Props) {
  const colours = useColours();
  const sketch = SKETCHES[of];
  const tape = sketch?.tape[at];
  if (!tape) return null;
  return (
    <View style={{ paddingTop: 26 }}>
      <Svg width={SIZE} height={SIZE} viewBox="0 0 100 100" aria-hidden>
        <Path d={sketch.outline} fill="none" stroke={colours.faint} strokeWidth={3} />
        <Path d={tape} fill="none" stroke={colours.ink} strokeWidth={13} />
        <Path d={tape} fill="none" stroke={colours.tape} strokeWidth={8} />
      </Svg>
    </View>
  );
}
