import { type Voice } from '@keep-snug/core';
import { framesOf, type Technique, type ToldTechnique } from '@keep-snug/core/techniques';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { useBox } from '@/ui/layout/useBox';
import { useFocusRing } from '@/ui/actions/useFocusRing';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { Words } from '@/ui/layout/Words';
import { MovePicture } from './MovePicture';
import { isStill } from '@/platform/still';

interface Props {
  technique: Technique;
  told: ToldTechnique;
  voice: Voice;
}

const WIDEST = 360;

/** A stitch move by move: stepped by a tap or the arrow keys; side by side where less movement is asked for. */
export function Moves({ technique, told, voice }: Props) {
  const left = useSettings((state) => state.hand) === 'left';
  const { moves = [], steps = [] } = technique;
  const frames = framesOf(moves, left);
  // what is done before the first move has no picture of its own
  const words = [
    'Begin with 1 loop on the hook.',
    ...told.steps.slice(steps.length).map((one) => one[voice]),
    told.looks,
  ];
  return isStill() ? <Stills frames={frames} words={words} /> : <Stepped frames={frames} words={words} />;
}

interface Shown {
  frames: ReturnType<typeof framesOf>;
  words: readonly string[];
}

function Stepped({ frames, words }: Shown) {
  const colours = useColours();
  const { box, onLayout } = useBox();
  const { ring, onFocus, onBlur } = useFocusRing();
  const [at, setAt] = useState(0);
  const last = frames.length - 1;
  const go = (step: number) => setAt((now) => Math.min(last, Math.max(0, now + step)));
  const onKeyDown = (event: { key: string; preventDefault: () => void; stopPropagation: () => void }) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (step === 0) return;
    event.preventDefault();
    event.stopPropagation();
    go(step);
  };
  const width = Math.min(WIDEST, box.width);
  return (
    <View {...{ onKeyDown }} onLayout={onLayout} style={{ gap: 6 }}>
      <Pressable
        role="button"
        aria-label={at === last ? 'Show the first move' : 'Next move'}
        onPress={() => (at === last ? setAt(0) : go(1))}
        onFocus={onFocus}
        onBlur={onBlur}
        style={{
          alignItems: 'center',
          backgroundColor: colours.chalk,
          borderWidth: ring ? 3 : 1,
          borderColor: ring ? colours.sea : colours.line,
        }}
      >
        {width > 0 ? <MovePicture frame={frames[at]!} width={width - 2} says={words[at]!} /> : null}
      </Pressable>
      <View aria-live="polite" style={{ minHeight: 66 }}>
        <Words as="smallStrong" tone="thread">
          {at === 0 ? 'Before' : at === last ? 'Done' : `Move ${at} of ${last - 1}`}
        </Words>
        <Words as="strong">{words[at]!}</Words>
      </View>
      <View style={{ flexDirection: 'row', gap: 16 }}>
        <Action onPress={() => go(-1)} disabled={at === 0}>
          Back
        </Action>
        <Action onPress={() => go(1)} disabled={at === last}>
          Next
        </Action>
      </View>
    </View>
  );
}

/** All moves at once, as still pictures. */
function Stills({ frames, words }: Shown) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
      {frames.map((frame, index) => (
        <View key={index} style={{ width: 150, gap: 2 }}>
          <MovePicture frame={frame} width={150} says={words[index]!} />
          <Words as="small">{`${index}. ${words[index]!}`}</Words>
        </View>
      ))}
    </View>
  );
}
