import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useLibrary } from '@/data/library';
import { useLine } from '@/data/sync';
import { useColours } from '@/theme/useTheme';
import { Action } from '@/ui/actions/Action';
import { Tape } from '@/ui/layout/Tape';
import { useBox } from '@/ui/layout/useBox';
import { Words } from '@/ui/layout/Words';

interface Props {
  /** What is not here yet. */
  title: string;
  /** What will come to stand here, and how. */
  text: string;
  action: { name: string; do: () => void };
  /** What else leads on from here, as a link. */
  also?: { name: string; do: () => void };
  /** One drawing that shows it. */
  children: ReactNode;
}

/** A place with nothing in it: still being fetched, or empty, taught with one drawing and one action. */
export function EmptyPlace({ title, text, action, also, children }: Props) {
  const colours = useColours();
  const loaded = useLibrary((state) => state.loaded);
  const reached = useLine((state) => state.reached);
  if (!loaded && reached !== false) return <Fetching />;
  return (
    <View
      style={{
        gap: 14,
        backgroundColor: colours.surface,
        borderWidth: 1,
        borderColor: colours.line,
        padding: 20,
        alignItems: 'flex-start',
      }}
    >
      <View aria-hidden style={{ width: '100%' }}>
        {children}
      </View>
      <Words as="heading" level={2}>
        {title}
      </Words>
      <Words style={{ maxWidth: 560 }}>{text}</Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16 }}>
        <Action main onPress={action.do}>
          {action.name}
        </Action>
        {also ? <Action onPress={also.do}>{also.name}</Action> : null}
      </View>
    </View>
  );
}

/** What this device has not seen yet is on its way: the tape is laid out and still bare. */
export function Fetching() {
  const { box, onLayout } = useBox();
  return (
    <View role="status" style={{ gap: 10, paddingVertical: 12 }}>
      <View onLayout={onLayout}>
        <Tape lengthMm={300} px={box.width} outMm={6} />
      </View>
      <Words tone="faint">Loading…</Words>
    </View>
  );
}
