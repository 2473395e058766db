import { timesInHundred, type Folded, type Make } from '@keep-snug/core';
import { useState } from 'react';
import { useEvents } from '@/data/events';
import { Drawing } from '@/drawing/Drawing';
import type { Progress } from '@/reading/useProgress';
import { reckonFor, useReader } from '@/reading/useWorked';
import { Action } from '@/ui/actions/Action';
import { Panel } from '@/ui/layout/Panel';
import { Words } from '@/ui/layout/Words';
import { ShareBar } from '@/ui/lists/ShareBar';
import { FoldSlides } from './FoldSlides';
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
  const place = folds.places.find((one) => one.front === front)!;
  const take = () => {
    happened(id, { kind: 'decided', choice: 'refold', from: null, plan: asWritten(place.plan, make.plan) });
    onClose();
  };
  return (
    <Panel title="Where to fold it" onClose={onClose}>
      <Words>{`All ${folds.counted} stay as they are. Move one, and the others move with it.`}</Words>
      <Seen place={place} />
      <FoldSlides folds={folds} place={place} onChange={setChosen} />
      <ShareBar share={place.chance} />
      <Words as="strong" live>{`Fits ${timesInHundred(place.chance)}`}</Words>
      {front === folds.best ? null : (
        <Action onPress={() => setChosen(folds.best)}>{`Where it fits best: after ${folds.best}`}</Action>
      )}
      <Action main onPress={take}>
        Fold it there
      </Action>
    </Panel>
  );
}

function Seen({ place }: { place: Folded }) {
  const reader = useReader();
  const view = reckonFor(place.plan, reader).worked?.views.find(({ id }) => id === 'folded');
  return view ? <Drawing view={view} height={180} /> : null;
}
