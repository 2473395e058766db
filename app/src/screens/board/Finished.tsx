import type { Plan, Worked } from '@keep-snug/core';
import { StyleSheet, View } from 'react-native';
import { nextSide, SEEN_SIDES, useBoard } from '@/data/board';
import { Portrait } from '@/drawing/portrait/Portrait';
import { Press } from '@/ui/actions/Press';
import { Tabs } from '@/ui/layout/Tabs';
import { Toggle } from '@/ui/actions/Toggle';
import { useTurn } from './useTurn';

interface Props {
  plan: Plan;
  worked: Worked;
  height: number;
}

const NAMES = { front: 'Front', back: 'Back', side: 'Side', open: 'Open' } as const;
const SIDES = SEEN_SIDES.map((id) => ({ id, name: NAMES[id] }));

/** The piece as it will lie there: turned by a finger, a press or its names, opened, and with what it is for taken out. */
export function Finished({ plan, worked, height }: Props) {
  const { ref, side, style, strokes } = useTurn();
  const { turn, empty, takeOut } = useBoard();
  const next = nextSide(side);
  return (
    <View style={{ height }}>
      <View ref={ref} style={style}>
        <Press
          label={`Show it from another side: ${NAMES[next]}`}
          onPress={() => (strokes.current ? undefined : turn(next))}
          style={STYLES.picture}
        >
          <Portrait plan={plan} worked={worked} side={side} empty={empty} height={height - NAMES_HIGH} />
        </Press>
      </View>
      <View style={STYLES.names}>
        <Tabs label="Side" options={SIDES} value={side} onChange={turn} />
      </View>
      <View style={STYLES.corner}>
        <Toggle on={empty} onChange={takeOut}>
          Empty
        </Toggle>
      </View>
    </View>
  );
}

/** Of the names below it, px. */
const NAMES_HIGH = 52;

const STYLES = StyleSheet.create({
  picture: { width: '100%', minHeight: 0 },
  names: { alignSelf: 'center', width: '100%', maxWidth: 280 },
  corner: { position: 'absolute', top: 0, right: 0 },
});
