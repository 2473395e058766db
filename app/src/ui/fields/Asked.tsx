import type { Sketch } from '@keep-snug/core';
import { View } from 'react-native';
import { Path, Svg } from '@/ui/layout/ink';
import { useColours } from '@/theme/useTheme';

interface Props {
  /** Of the kind of thing, or of what carries it. */
  sketch: Sketch | undefined;
  /** Which of its measures is asked for. */
  at: string;
}

const SIZE = 52;

/** Which dimension is being asked: the thing with the tape laid where it belongs. The line's own words say the same. */
export function Asked({ sketch, at }: Props) {
  const colours = useColours();
  const tape = sketch?.tape[at];
  if (!sketch || !tape) return null;
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
