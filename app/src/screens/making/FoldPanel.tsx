import { formatDifference, formatKnown, plural, timesInHundred, type Folded, type Make } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useEvents } from '@/data/events';
import { useSettings } from '@/data/settings';
import { Drawing } from '@/drawing/Drawing';
import type { Progress } from '@/reading/useProgress';
import { reckonFor, useReader } from '@/reading/useWorked';
import { Action } from '@/ui/actions/Action';
import { Panel } from '@/ui/layout/Panel';
import { Words } from '@/ui/layout/Words';
import { ShareBar } from '@/ui/lists/ShareBar';
import { useRefolding } from './useRefolding';
import { asWritten } from './WaysOn';

interface Props {
  id: string;
  make: Make;
  progress: Progress;
  onClose: () => void;
}

/** The strip folded here or there: what pocket and flap come to, drawn, with how often it fits. */
export function FoldPanel({ id, make, progress, onClose }: Props) {
  const happened = useEvents((state) => state.happened);
  const folds = useRefolding(id, make, progress);
  const [chosen, setChosen] = useState<number>();
  if (!folds) return null;
  const front = chosen ?? folds.now;
  const at = folds.places.findIndex((place) => place.front === front);
  const place = folds.places[at]!;
  const one = folds.counted === 'rows' ? 'row' : 'stitch';
  const step = (by: number) => () => setChosen(folds.places[at + by]!.front);
  const take = () => {
    happened(id, { kind: 'decided', choice: 'refold', from: null, plan: asWritten(place.plan, make.plan) });
    onClose();
  };
  return (
    <Panel title="Where to fold it" onClose={onClose}>
      <Words>{`All ${folds.counted} stay as they are. A deeper pocket leaves a shorter flap.`}</Words>
      <Seen place={place} />
      <Told place={place} counted={folds.counted} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action disabled={at === 0} onPress={step(-1)}>{`One ${one} shallower`}</Action>
        <Action disabled={at === folds.places.length - 1} onPress={step(1)}>{`One ${one} deeper`}</Action>
        {front === folds.best ? null : (
          <Action onPress={() => setChosen(folds.best)}>{`Where it fits best: after ${folds.best}`}</Action>
        )}
      </View>
      <Action main onPress={take}>
        Fold it there
      </Action>
    </Panel>
  );
}

function Seen({ place }: { place: Folded }) {
  const reader = useReader();
  const view = reckonFor(place.plan, reader).worked?.views.find(({ id }) => id === 'cut');
  return view ? <Drawing view={view} height={180} /> : null;
}

function Told({ place, counted }: { place: Folded; counted: 'rows' | 'stitches' }) {
  const units = useSettings((state) => state.units);
  const many = (count: number) => (counted === 'rows' ? plural(count, 'row') : plural(count, 'stitch', 'stitches'));
  const say = (mm: number) => formatKnown(mm, SURE_MM, units);
  const covers = place.over >= 0 ? 'covers the item' : `the item stands out ${say(-place.over)}`;
  return (
    <View style={{ gap: 4 }}>
      <Words live>{`Pocket: ${many(place.front)}, ${say(place.depth)} deep inside; ${covers}.`}</Words>
      {place.reach === null ? null : (
        <Words>{`Flap: ${many(place.flap)}; it comes ${formatDifference(place.reach, SURE_MM, units).replace('+', '')} down over the front.`}</Words>
      )}
      <ShareBar share={place.chance} />
      <Words as="strong">{`Fits ${timesInHundred(place.chance)}`}</Words>
    </View>
  );
}

/** How well such lengths are known, mm. */
const SURE_MM = 2;
