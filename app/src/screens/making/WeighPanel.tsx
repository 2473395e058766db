import {
  inOrder,
  lastingWays,
  planFollowed,
  roundedAmount,
  sectionWord,
  standingEvents,
  yarnLeft,
  type KeptEvent,
  type Make,
  type MendChoice,
  type Worked,
  type YarnLeft,
  timesInHundred,
} from '@keep-snug/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { MiniPiece } from '@/drawing/MiniPiece';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { Panel } from '@/ui/layout/Panel';
import { ShareBar } from '@/ui/lists/ShareBar';
import { Words } from '@/ui/layout/Words';
import { useEvents, useMakeEvents } from '@/data/events';
import { readBy, useReader } from '@/reading/useWorked';
import { takeFromBox } from '@/data/takeFromBox';
import { eventsReadBy } from './useMended';
import { asWritten, WaysOn } from './WaysOn';
import { courseWord, type Progress } from '@/reading/useProgress';
import { ScrapsLast } from '@/ui/notices/ScrapsLast';

interface Props {
  id: string;
  make: Make;
  progress: Progress;
  onClose: () => void;
}

/** The ball on the scale: how far it goes, and where it runs out. */
export function WeighPanel({ id, make, progress, onClose }: Props) {
  const happened = useEvents((state) => state.happened);
  const events = useMakeEvents(id);
  const [grams, setGrams] = useState<number>();
  const plan = useMemo(() => planFollowed(make.plan, events), [make.plan, events]);
  const worked = progress.worked as Worked;
  const left = useMemo(() => yarnLeft(plan, worked, events), [plan, worked, events]);
  const weigh = () => {
    happened(id, { kind: 'weighed', grams: grams! });
    const before = weighedOf(events).at(-1);
    if (before !== undefined && before > grams!) takeFromBox(make.plan, before - grams!);
    setGrams(undefined);
  };
  return (
    <Panel title="Weigh the ball" onClose={onClose}>
      <Words as="small" tone="faint">
        Only the ball, without a bowl. Weighed once more some rows on, it tells what your stitches truly take.
      </Words>
      <FieldRow>
        <NumberField
          key={events.length}
          label="The ball weighs"
          unit="g"
          value={grams}
          min={0}
          max={100_000}
          onChange={setGrams}
          onNothing={() => setGrams(undefined)}
        />
      </FieldRow>
      <Action main={!left} disabled={grams === undefined} onPress={weigh}>
        See how far it goes
      </Action>
      {plan.fabric.scraps?.length ? <ScrapsLast plan={plan} events={events} /> : null}
      {left && !plan.fabric.scraps?.length ? <Reaches left={left} progress={progress} /> : null}
      {left && left.lasts < SURE && !plan.fabric.scraps?.length ? (
        <Lasting id={id} make={make} left={left} progress={progress} onTaken={onClose} />
      ) : null}
    </Panel>
  );
}

interface LastingProps {
  id: string;
  make: Make;
  left: YarnLeft;
  progress: Progress;
  onTaken: () => void;
}

/** What can be done where it does not last, as ways to go on from here. */
function Lasting({ id, make, left, progress, onTaken }: LastingProps) {
  const reader = useReader();
  const events = useMakeEvents(id);
  const happened = useEvents((state) => state.happened);
  const choices = useMemo(
    () => lastingWays(readBy(make.plan, reader), eventsReadBy(events, reader), left),
    [make.plan, events, reader, left],
  );
  const take = ({ id: choice, from, plan }: MendChoice) => {
    happened(id, { kind: 'decided', choice, from, plan: asWritten(plan, make.plan) });
    onTaken();
  };
  if (choices.length > 0) return <WaysOn choices={choices} onTake={take} />;
  return left.runsOut ? <Words as="small">{remedy(left.runsOut.section, progress)}</Words> : null;
}

/** What the ball weighed each time, g. */
export const weighedOf = (events: readonly KeptEvent[]): number[] =>
  standingEvents(inOrder(events)).flatMap((event) => (event.kind === 'weighed' ? event.grams : []));

/** Surer than this nobody need worry. */
const SURE = 0.95;

function Reaches({ left: { grams, needs, lasts, runsOut }, progress }: { left: YarnLeft; progress: Progress }) {
  const { worked, piece, rowsDone } = progress;
  const course = runsOut && worked.steps.find((step) => step.piece === runsOut.piece && step.row === runsOut.row);
  const reached = runsOut && runsOut.piece === piece.id ? runsOut.row : piece.rows;
  return (
    <View style={{ gap: 8 }}>
      <Words as="heading" level={3} live>
        {lasts > SURE ? 'It lasts to the end.' : `It lasts ${timesInHundred(lasts)}.`}
      </Words>
      <ShareBar share={lasts} />
      <Words>{`${roundedAmount(grams)} g are there, and about ${roundedAmount(needs.value)} g are still needed.`}</Words>
      <MiniPiece piece={piece} rowsDone={rowsDone} reaches={reached} width={300} height={56} />
      {runsOut && course ? (
        <>
          <Words as="strong" tone="rowan">
            {`It runs out near ${courseWord(course).toLowerCase()} ${runsOut.row}, ${sectionWord(runsOut.section)}.`}
          </Words>
        </>
      ) : (
        <Words as="small" tone="faint">
          The mark shows how far it reaches.
        </Words>
      )}
    </View>
  );
}

/** What can be done where it does not last: the part that takes a second yarn best. */
function remedy(section: string, { piece }: Progress): string {
  const names = piece.sections.map(({ name }) => name);
  if (section === 'flap' || names.at(-1) === 'flap')
    return 'Begin the flap in a second yarn, with the first of its rows: there the change looks meant. Or work the flap some rows shorter.';
  return 'Begin a second yarn where the next part begins, or end some rows earlier and measure what that leaves.';
}
