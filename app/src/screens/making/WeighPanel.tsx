import {
  lastingWays,
  planFollowed,
  capital,
  roundedAmount,
  sectionWord,
  yarnLeft,
  yarnOf,
  type Make,
  type MendChoice,
  type Worked,
  type RunsOut,
  type YarnLeft,
  timesInHundred,
} from '@keep-snug/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { MiniPiece } from '@/drawing/MiniPiece';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { Pick } from '@/ui/fields/Pick';
import { Tabs } from '@/ui/layout/Tabs';
import { Panel } from '@/ui/layout/Panel';
import { ShareBar } from '@/ui/lists/ShareBar';
import { Words } from '@/ui/layout/Words';
import { useEvents, useMakeEvents } from '@/data/events';
import { readBy, useReader } from '@/reading/useWorked';
import { settleYarn } from '@/data/takeFromBox';
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

const WAYS = [
  { id: 'scale', name: 'on a scale' },
  { id: 'eye', name: 'by eye' },
] as const;

/** The ball that is left: how far it goes, and where it runs out. */
export function WeighPanel({ id, make, progress, onClose }: Props) {
  const happened = useEvents((state) => state.happened);
  const events = useMakeEvents(id);
  const [way, setWay] = useState<(typeof WAYS)[number]['id']>('scale');
  const [grams, setGrams] = useState<number>();
  const plan = useMemo(() => planFollowed(make.plan, events), [make.plan, events]);
  const worked = progress.worked as Worked;
  const left = useMemo(() => yarnLeft(plan, worked, events), [plan, worked, events]);
  const balls = worked.supplies.byColour.map(({ name }) => name);
  const [ball, setBall] = useState(() => left?.colour ?? balls[0]);
  const weigh = () => {
    happened(id, {
      kind: 'weighed',
      grams: grams!,
      ...(way === 'eye' ? { by: 'eye' } : {}),
      ...(balls.length > 1 && ball ? { colour: ball } : {}),
    });
    settleYarn(id);
    setGrams(undefined);
  };
  return (
    <Panel title="Weigh the ball" onClose={onClose}>
      <Tabs
        as="radio"
        label="How you tell what is left"
        options={WAYS}
        value={way}
        onChange={(next) => {
          setWay(next);
          setGrams(undefined);
        }}
      />
      <Words as="small" tone="faint">
        {way === 'eye'
          ? 'Told by eye it is known to about a fifth. A scale knows it to a gram.'
          : 'Only the ball, without a bowl. Weighed once more some rows on, it tells what your stitches truly take.'}
      </Words>
      {balls.length > 1 ? (
        <FieldRow>
          <Pick
            label="Which ball"
            value={ball!}
            options={balls.map((name) => ({ id: name, name }))}
            onChange={(name) => setBall(name)}
          />
        </FieldRow>
      ) : null}
      {way === 'eye' ? (
        <ByEye key={events.length} ballGrams={yarnOf(plan.fabric).ballGrams} onSay={setGrams} />
      ) : (
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
      )}
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

/** How much of a ball is left, as eyes tell it. */
const SHARES = [
  { id: '0.1', name: 'hardly any' },
  { id: '0.25', name: 'a quarter' },
  { id: '0.33', name: 'a third' },
  { id: '0.5', name: 'half' },
  { id: '0.67', name: 'two thirds' },
  { id: '0.75', name: 'three quarters' },
  { id: '0.9', name: 'nearly all' },
] as const;

/** A usual ball, until it is said what one weighs, g. */
const USUAL_BALL_G = 50;

/** What is left without a scale: a share of a ball, and what a whole one weighs. */
function ByEye({ ballGrams, onSay }: { ballGrams: number | undefined; onSay: (grams: number) => void }) {
  const [share, setShare] = useState('');
  const [ball, setBall] = useState(ballGrams ?? USUAL_BALL_G);
  const say = (of: string, whole: number) => of && onSay(Math.round(10 * Number(of) * whole) / 10);
  return (
    <FieldRow>
      <Pick
        label="Of the ball is left"
        value={share}
        options={[{ id: '', name: 'choose' }, ...SHARES]}
        onChange={(next) => {
          setShare(next);
          say(next, ball);
        }}
      />
      <NumberField
        label="A whole ball weighs"
        unit="g"
        value={ball}
        min={1}
        max={5000}
        onChange={(whole) => {
          setBall(whole);
          say(share, whole);
        }}
        onNothing={() => undefined}
      />
    </FieldRow>
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
  return left.runsOut ? <Words as="small">{remedy(left.runsOut, progress)}</Words> : null;
}

/** Surer than this nobody need worry. */
const SURE = 0.95;

function Reaches({ left: { grams, colour, needs, lasts, runsOut }, progress }: { left: YarnLeft; progress: Progress }) {
  const { piece, rowsDone } = progress;
  const isHere = runsOut && runsOut.piece === piece.id && runsOut.copy === progress.next?.copy;
  const reached = isHere ? runsOut.row : piece.rows;
  return (
    <View style={{ gap: 8 }}>
      <Words as="heading" level={3} live>
        {`${colour ? capital(colour) : 'It'} lasts ${lasts > SURE ? 'to the end' : timesInHundred(lasts)}.`}
      </Words>
      <ShareBar share={lasts} />
      <Words>{`${roundedAmount(grams)} g are there, and about ${roundedAmount(needs.value)} g are still needed.`}</Words>
      <MiniPiece piece={piece} rowsDone={rowsDone} reaches={reached} width={300} height={56} />
      {runsOut ? (
        <Words as="strong" tone="rowan">
          {`It runs out ${runsOut.after ? 'after' : 'near'} ${placed(runsOut, progress)}, ${sectionWord(runsOut.section)}.`}
        </Words>
      ) : (
        <Words as="small" tone="faint">
          The mark shows how far it reaches.
        </Words>
      )}
    </View>
  );
}

/** A course as it is called, with which of two pieces it is of where there are several. */
function placed({ piece, copy, row }: Pick<RunsOut, 'piece' | 'copy' | 'row'>, { worked }: Progress): string {
  const step = worked.steps.find((one) => one.piece === piece && one.copy === copy && one.row === row)!;
  const course = `${courseWord(step).toLowerCase()} ${row}`;
  const { name, times } = worked.pieces.find(({ id }) => id === piece)!;
  if (times > 1) return `${course} of the ${copy === undefined ? 'first' : 'second'} ${name.toLowerCase()}`;
  return worked.pieces.length > 1 ? `${course} of the ${name.toLowerCase()}` : course;
}

/** What can be done where it does not last: the part that takes a second yarn best. */
function remedy({ section, stripe, after }: RunsOut, progress: Progress): string {
  const { piece } = progress;
  if (after) return `Work what comes after it (${sectionWord(section)}) with another ball.`;
  if (stripe)
    return `Begin another ball of that colour with ${placed(stripe, progress)}, where a stripe of it begins: there a change shows least.`;
  const names = piece.sections.map(({ name }) => name);
  if (section === 'flap' || names.at(-1) === 'flap')
    return 'Begin the flap in a second yarn, with the first of its rows: there the change looks meant. Or work the flap some rows shorter.';
  return 'Begin a second yarn where the next part begins, or end some rows earlier and measure what that leaves.';
}
