import type { Plan, Worked } from '@keep-snug/core';
import { StyleSheet, View } from 'react-native';
import { nextSide, SEEN_SIDES, useBoard } from '@/data/board';
import { Portrait } from '@/drawing/portrait/Portrait';
import { Press } from '@/ui/actions/Press';
import { Tabs } from '@/ui/layout/Tabs';
import { Words } from '@/ui/layout/Words';
import { Toggle } from '@/ui/actions/Toggle';
import { useTurn } from './useTurn';

interface Props {
  plan: Plan;
  worked: Worked;
  height: number;
  /** What stands above it, where it is one of several views. */
  title?: string;
}

const NAMES = { front: 'Front', back: 'Back', side: 'Side', open: 'Open' } as const;
const SIDES = SEEN_SIDES.map((id) => ({ id, name: NAMES[id] }));

/** The piece as it will lie there: turned by a finger, a press or its names, opened, and with what it is for taken out. */
export function Finished({ plan, worked, height, title }: Props) {
  const { ref, side, style, strokes } = useTurn();
  const { turn, empty } = useBoard();
  const next = nextSide(side);
  return (
    <View style={{ height }}>
      {title ? (
        <View style={STYLES.title}>
          <Words as="smallStrong">{title}</Words>
          <TakeOut />
        </View>
      ) : null}
      <View ref={ref} style={style}>
        <Press
          label={`Show it from another side: ${NAMES[next]}`}
          onPress={() => (strokes.current ? undefined : turn(next))}
          style={STYLES.picture}
        >
          <Portrait
            plan={plan}
            worked={worked}
            side={side}
            empty={empty}
            height={height - NAMES_HIGH - (title ? TITLE_HIGH : 0)}
          />
        </Press>
      </View>
      <View style={STYLES.names}>
        <View style={STYLES.sides}>
          <Tabs label="Side" options={SIDES} value={side} onChange={turn} />
        </View>
        {title ? null : <TakeOut />}
      </View>
    </View>
  );
}

/** What it is for is in it, or taken out. */
function TakeOut() {
  const { empty, takeOut } = useBoard();
  return (
    <Toggle on={empty} onChange={takeOut}>
      Empty
    </Toggle>
  );
}

/** Of the names below it and of what stands above it, px. */
const [NAMES_HIGH, TITLE_HIGH] = [52, 48] as const;

const STYLES = StyleSheet.create({
  picture: { width: '100%', minHeight: 0 },
  names: { flexDirection: 'row', alignItems: 'center', alignSelf: 'center', columnGap: 8, maxWidth: '100%' },
  sides: { flexShrink: 1, width: 260 },
  title: { flexDirection: 'row', alignItems: 'flex-start', justifyContent: 'space-between', height: TITLE_HIGH },
});
