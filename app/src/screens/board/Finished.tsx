import type { Plan, Worked } from '@keep-snug/core';
import { StyleSheet, View } from 'react-native';
import { nextSide, SEEN_SIDES, useBoard } from '@/data/board';
import { Portrait } from '@/drawing/portrait/Portrait';
import { Press } from '@/ui/actions/Press';
import { Tabs } from '@/ui/layout/Tabs';

interface Props {
  plan: Plan;
  worked: Worked;
  height: number;
}

const NAMES = { front: 'Front', back: 'Back', side: 'Side', open: 'Open' } as const;
const SIDES = SEEN_SIDES.map((id) => ({ id, name: NAMES[id] }));

/** The piece as it will lie there: turned over and opened by a press, or by its names. */
export function Finished({ plan, worked, height }: Props) {
  const side = useBoard((state) => state.side);
  const turn = useBoard((state) => state.turn);
  const next = nextSide(side);
  return (
    <View style={{ height }}>
      <Press label={`Show it from another side: ${NAMES[next]}`} onPress={() => turn(next)} style={STYLES.picture}>
        <Portrait plan={plan} worked={worked} side={side} height={height - NAMES_HIGH} />
      </Press>
      <View style={STYLES.names}>
        <Tabs label="Side" options={SIDES} value={side} onChange={turn} />
      </View>
    </View>
  );
}

/** Of the names below it, px. */
const NAMES_HIGH = 52;

const STYLES = StyleSheet.create({
  picture: { width: '100%', minHeight: 0 },
  names: { alignSelf: 'center', width: '100%', maxWidth: 280 },
});
