import { coursesSeen, ridgeAid, type Make, type RidgeAid } from '@keep-snug/core';
import { useState } from 'react';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Action } from '@/ui/actions/Action';
import { NumberField } from '@/ui/fields/NumberField';
import { Panel } from '@/ui/layout/Panel';
import { RadioList } from '@/ui/fields/RadioList';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import { RidgePicture } from './RidgePicture';
import { courseWord, type Progress } from '@/reading/useProgress';

interface Props {
  id: string;
  make: Make;
  progress: Progress;
  onClose: () => void;
}

const SAYS: Readonly<Record<RidgeAid['sees'], { label: string; how: string }>> = {
  ridges: {
    label: 'Ridges',
    how: 'In this stitch two rows close up to one ridge. Lay the piece flat and count the whole ridges, from the beginning up.',
  },
  rounds: {
    label: 'Rounds',
    how: 'Each round is one line of Vs. Count them up from the beginning, along one line, away from where the rounds are joined.',
  },
  rows: {
    label: 'Rows',
    how: 'In this stitch each row shows by itself. Count them up from the beginning.',
  },
};

const EDGES = [
  { id: 'same', name: 'at the edge where the beginning tail hangs' },
  { id: 'other', name: 'at the other edge' },
] as const;

/** The row is lost: what is counted on the work itself sets it. */
export function LostPanel({ id, make, progress, onClose }: Props) {
  const { piece, rowsDone, worked } = progress;
  const happened = useEvents((state) => state.happened);
  const { stitch, pattern } = make.plan.fabric;
  const aid = ridgeAid(stitch, piece.worked, pattern);
  // a chain is worked back over, so that row 1 ends above its tail; foundation stitches are not
  const endsAboveTail = !worked.steps.some(
    (step) => step.piece === piece.id && step.kind === 'foundation' && step.row === 1,
  );
  const [seen, setSeen] = useState(Math.floor(rowsDone / aid.each));
  const [edge, setEdge] = useState<(typeof EDGES)[number]['id']>(
    (rowsDone % 2 === 1) === endsAboveTail ? 'same' : 'other',
  );
  const course = Math.min(piece.rows, coursesSeen(aid, seen, (edge === 'same') === endsAboveTail));
  const word = courseWord(worked.steps.find((step) => step.piece === piece.id && step.row !== null)!);
  const set = () => {
    happened(id, { kind: 'placed', piece: piece.id, course });
    onClose();
  };
  const { label, how } = SAYS[aid.sees];
  return (
    <Panel title="Lost count" onClose={onClose}>
      <Words>{how}</Words>
      <RidgePicture aid={aid} />
      <FieldRow>
        <NumberField
          label={label}
          value={seen}
          min={0}
          max={Math.ceil(piece.rows / aid.each)}
          whole
          onChange={setSeen}
        />
      </FieldRow>
      {aid.each === 2 ? (
        <>
          <Words as="smallStrong">Where does the hook hang?</Words>
          <RadioList label="Where does the hook hang?" options={EDGES} value={edge} onChange={setEdge} />
        </>
      ) : null}
      <Words as="heading" level={3} live>
        {course === 0 ? `That is before ${word.toLowerCase()} 1.` : `${word} ${course} of ${piece.rows} is done.`}
      </Words>
      {course === rowsDone ? (
        <Words tone="lichen">That is where the count stands.</Words>
      ) : (
        <Words as="small" tone="faint">{`The count stood at ${rowsDone}. Undo brings it back.`}</Words>
      )}
      <Action main disabled={course === rowsDone} onPress={set}>
        Set the count
      </Action>
    </Panel>
  );
}
