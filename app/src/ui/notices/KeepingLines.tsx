import { plural } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useKeeping } from '@/data/device/keeper';
import { useEvents } from '@/data/events';
import { useLine, useWaiting } from '@/data/sync';
import { Action } from '@/ui/actions/Action';
import { AwayLine } from './AwayLine';
import { Line } from '@/ui/lists/Line';
import { NewVersion } from './NewVersion';
import { leaveFor } from '@/platform/page';

/** Whatever stands in the way of keeping, told on every screen in plain words; nothing where all is well. */
export function KeepingLines() {
  return (
    <>
      <AwayLine />
      <KeepingTrouble />
    </>
  );
}

/** The same without that the server is away, where a room says it in its own place. */
export function KeepingTrouble() {
  return (
    <>
      <NewVersion />
      <Unpaired />
      <Unkept />
      <Fault />
      <Offered />
      <Refused />
    </>
  );
}

/** This device takes nothing more: said at once, and what becomes of the work. */
function Unkept() {
  const { trouble, unkept } = useKeeping();
  const waiting = useWaiting();
  if (trouble === null) return null;
  const full = trouble === 'full';
  const only = Math.min(unkept, waiting);
  const text =
    only === 0
      ? 'Nothing more is saved here. The server has everything.'
      : `${plural(only, 'change is', 'changes are')} in this page only. Keep it open${full ? ' and free some space' : ''} until ${only === 1 ? 'it is' : 'they are'} saved.`;
  return (
    <Line
      tone="rowan"
      word={full ? 'This device has no room left.' : 'This browser does not let the page save.'}
      text={text}
    />
  );
}

/** The house lets this device in no longer: what it makes waits here. */
function Unpaired() {
  const unpaired = useLine((state) => state.unpaired);
  if (!unpaired) return null;
  return (
    <Line
      tone="rowan"
      word="This device is not paired any more."
      text="Your work is saved here and sent once it is paired again."
    >
      <Action onPress={() => leaveFor('/pair')}>Pair again</Action>
    </Line>
  );
}

function Fault() {
  const fault = useLine((state) => state.fault);
  if (fault === null) return null;
  return (
    <Line
      tone="rowan"
      word="Something went wrong while syncing."
      text={`Your work is saved on this device. Reload the page; if this stays, report it as: ${fault}`}
    />
  );
}

/** The server has another file than this device knew. */
function Offered() {
  const offered = useLine((state) => state.offered);
  if (offered === null) return null;
  const { documents, events } = offered;
  return (
    <Line
      tone="thread"
      word="The server has other data than before."
      text={`Nothing was deleted here: ${plural(documents, 'document')} and ${plural(events, 'entry', 'entries')} of this device are sent to it again.`}
    >
      <Action onPress={() => useLine.setState({ offered: null })}>OK</Action>
    </Line>
  );
}

function Refused() {
  const router = useRouter();
  const count = useEvents((state) => Object.keys(state.refused).length);
  if (count === 0) return null;
  return (
    <Line
      tone="rowan"
      word={`${plural(count, 'entry', 'entries')} could not be saved on the server.`}
      text="Still on this device; everything else is sent."
    >
      <Action onPress={() => router.push('/settings')}>See why</Action>
    </Line>
  );
}
