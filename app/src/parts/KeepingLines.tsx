import { plural } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useKeeping } from '@/state/device/keeper';
import { useEvents } from '@/state/events';
import { useLine } from '@/state/sync';
import { Action } from './Action';
import { AwayLine } from './AwayLine';
import { Line } from './Line';

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
      <Unkept />
      <Fault />
      <Offered />
      <Refused />
    </>
  );
}

/** This device takes nothing more: said at once, and what becomes of the work. */
function Unkept() {
  const trouble = useKeeping((state) => state.trouble);
  const unkept = useKeeping((state) => state.unkept);
  const reached = useLine((state) => state.reached);
  if (trouble === null) return null;
  const word = trouble === 'full' ? 'This device has no room left.' : 'This browser does not let the page save.';
  const here = `${plural(unkept, 'change is', 'changes are')} in this page only.`;
  const rest =
    reached === true
      ? 'The server has them too.'
      : trouble === 'full'
        ? 'Keep this page open and free some space: they are saved as soon as there is room.'
        : 'Keep this page open until you are back online.';
  return <Line tone="rowan" word={word} text={`${here} ${rest}`} />;
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
