import { planFollowed, plural, type Make, type MakingStep } from '@keep-snug/core';
import type { RepeatAsk, RepeatTold } from '@keep-snug/core/repeat';
import { useMemo, useState } from 'react';
import { Action } from '@/ui/actions/Action';
import { Busy } from '@/ui/notices/Busy';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { Panel } from '@/ui/layout/Panel';
import { Pick } from '@/ui/fields/Pick';
import { Words } from '@/ui/layout/Words';
import { RunGrid } from '@/drawing/RunGrid';
import { useEvents, useMakeEvents } from '@/data/events';
import { useRepeat } from '@/platform/useReckonWorker';
import { courseWord, type Progress } from '@/reading/useProgress';

interface Props {
  id: string;
  make: Make;
  progress: Progress;
  onClose: () => void;
}

/** Where a round ended in the yarn: whether to work tighter, looser, or to take back. */
export function LandedPanel({ id, make, progress, onClose }: Props) {
  const happened = useEvents((state) => state.happened);
  const events = useMakeEvents(id);
  const [run, setRun] = useState('0');
  const [stitches, setStitches] = useState<number>();
  const runs = useMemo(() => planFollowed(make.plan, events).fabric.yarn?.runs ?? [], [make.plan, events]);
  const ask = useMemo((): RepeatAsk => ({ plan: make.plan, runs, events }), [make.plan, runs, events]);
  const { found } = useRepeat(ask);
  const last = lastRow(progress);
  if (!last)
    return (
      <Panel title="Where the round ended" onClose={onClose}>
        <Words>Work a row or round first, then say where it ended in the yarn.</Words>
      </Panel>
    );
  return (
    <Panel title="Where the round ended" onClose={onClose}>
      <Words>{`${courseWord(last)} ${last.row} is done. In which colour did it end, and how far into it?`}</Words>
      <FieldRow key={events.length}>
        <Pick
          label="It ended in"
          value={run}
          options={runs.map(({ name }, index) => ({ id: String(index), name }))}
          onChange={setRun}
        />
        <NumberField
          label="Stitches into it"
          value={stitches}
          min={0}
          max={2000}
          help="Count back to where the colour began."
          onChange={setStitches}
          onNothing={() => setStitches(undefined)}
        />
      </FieldRow>
      <Action
        main
        disabled={stitches === undefined}
        onPress={() => {
          happened(id, { kind: 'landed', run: Number(run), stitches: stitches!, atStep: last.id });
          setStitches(undefined);
        }}
      >
        See what it says
      </Action>
      {found ? <Says told={found} /> : <Busy />}
      {found ? (
        <RunGrid grid={found.grid} runs={runs} text={`${found.grid.length} rows or rounds as your hand works them`} />
      ) : null}
    </Panel>
  );
}

/** The row or round that was ticked last. */
function lastRow({ worked, state }: Progress): MakingStep | undefined {
  const done = new Set(state.done);
  const last = worked.steps.find(({ id }) => id === state.last?.step);
  return last?.row ? last : worked.steps.filter(({ id, row }) => row && done.has(id)).at(-1);
}

const SAYS: Readonly<Record<NonNullable<RepeatTold['landed']>['advice'], string>> = {
  'on-track': 'It is on its place. Continue as before.',
  tighten: 'Work a little tighter for the next rounds.',
  loosen: 'Work a little looser for the next rounds.',
  'take-back': 'It is too far off to work in.',
};

function Says({ told: { landed } }: { told: RepeatTold }) {
  if (!landed) return null;
  const { ahead, advice, backTo } = landed;
  const by = Math.round(Math.abs(ahead));
  return (
    <>
      <Words as="strong" live>
        {SAYS[advice]}
      </Words>
      <Words>
        {by === 0
          ? 'The colours lie where they were planned.'
          : `The yarn is ${plural(by, 'stitch', 'stitches')} ${ahead > 0 ? 'ahead: each stitch takes more of it than planned' : 'behind: each stitch takes less of it than planned'}.`}
        {backTo === null
          ? ''
          : backTo === 0
            ? ' Take it back to the start, or let the colours fall as they do.'
            : ` Take it back to row ${backTo}, where it was right, or let the colours fall as they do.`}
      </Words>
    </>
  );
}
