import type { Plan, Worked } from '@keep-snug/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Portrait } from '@/drawing/portrait/Portrait';
import { Press } from '@/ui/actions/Press';
import { Tabs } from '@/ui/layout/Tabs';

interface Props {
  plan: Plan;
  worked: Worked;
  height: number;
}

const SIDES = [
  { id: 'front', name: 'Front' },
  { id: 'back', name: 'Back' },
  { id: 'open', name: 'Open' },
] as const;

type Side = (typeof SIDES)[number]['id'];

const nextTo = (side: Side): Side => SIDES[(SIDES.findIndex(({ id }) => id === side) + 1) % SIDES.length]!.id;

/** The piece as it will lie there: turned over and opened by a press, or by its names. */
export function Finished({ plan, worked, height }: Props) {
  const [side, setSide] = useState<Side>('front');
  const next = SIDES.find(({ id }) => id === nextTo(side))!;
  return (
    <View style={{ height }}>
      <Press label={`Show it from another side: ${next.name}`} onPress={() => setSide(next.id)} style={STYLES.picture}>
        <Portrait plan={plan} worked={worked} side={side} height={height - NAMES} />
      </Press>
      <View style={STYLES.names}>
        <Tabs label="Side" options={SIDES} value={side} onChange={setSide} />
      </View>
    </View>
  );
}

/** Of the names below it, px. */
const NAMES = 52;

const STYLES = StyleSheet.create({
  picture: { width: '100%', minHeight: 0 },
  names: { alignSelf: 'center', width: '100%', maxWidth: 240 },
});
