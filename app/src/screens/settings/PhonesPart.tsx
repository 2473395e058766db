import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Panel } from '@/ui/layout/Panel';
import { TextField } from '@/ui/fields/TextField';
import { useTyped } from '@/ui/fields/useTyped';
import { Words } from '@/ui/layout/Words';
import {
  newCode,
  pairedNow,
  removed,
  renamed,
  type PairedDevice,
  type PairedTold,
  type PairingCode,
} from '@/data/paired';
import { useLine } from '@/data/sync';

/** The phones that were let in: named, removed, and one more let in. */
export function PhonesPart() {
  const reached = useLine((state) => state.reached);
  const [told, setTold] = useState<PairedTold | null>(null);
  const [code, setCode] = useState<PairingCode | null>(null);
  const [fault, setFault] = useState('');
  const read = useCallback(() => pairedNow().then(setTold), []);
  useEffect(() => {
    if (reached) void read();
  }, [reached, read]);
  if (!told) return <Words tone="faint">This list needs the server. It shows when you are back online.</Words>;
  const pair = async () => {
    const made = await newCode();
    setFault(made ? '' : 'No code could be made. Try again when the server is back.');
    setCode(made);
  };
  const remove = async (id: string) => {
    await removed(id);
    await read();
  };
  return (
    <View style={{ gap: 8 }}>
      {told.devices.length === 0 ? (
        <Words tone="faint">Only this computer reads and changes what you keep.</Words>
      ) : (
        told.devices.map((device) => (
          <DeviceLine key={device.id} device={device} onRemove={() => void remove(device.id)} />
        ))
      )}
      {told.here && told.open ? (
        <View style={{ flexDirection: 'row', marginLeft: -4 }}>
          <Action onPress={() => void pair()}>Pair a phone</Action>
        </View>
      ) : null}
      {told.here && !told.open ? (
        <Words as="small" tone="faint">
          To let phones in, start Keep Snug with ./snug serve --phone.
        </Words>
      ) : null}
      {fault ? (
        <Words as="small" tone="rowan" live>
          {fault}
        </Words>
      ) : null}
      {code ? <CodePanel code={code} onClose={() => void read().then(() => setCode(null))} /> : null}
    </View>
  );
}

function DeviceLine({ device, onRemove }: { device: PairedDevice; onRemove: () => void }) {
  const { id, name, seenAt, isThis } = device;
  const [kept, setKept] = useState(name);
  const { line, error, type, leave } = useTyped({
    shown: kept,
    value: kept,
    wrong: (text) => (text.trim() === '' ? 'A device needs a name.' : undefined),
    take: (text) => {
      if (text.trim() === '') return;
      setKept(text.slice(0, 60));
      void renamed(id, text.trim().slice(0, 60));
    },
    back: (old) => {
      setKept(old);
      void renamed(id, old);
    },
  });
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12 }}>
      <TextField
        label={isThis ? 'This device' : 'Device'}
        value={line}
        onChange={type}
        onBlur={leave}
        error={error}
        hint={`last here ${new Date(seenAt).toLocaleDateString(undefined, { dateStyle: 'medium' })}`}
      />
      <Action label={`Remove ${kept}`} onPress={onRemove}>
        Remove
      </Action>
    </View>
  );
}

function CodePanel({ code, onClose }: { code: PairingCode; onClose: () => void }) {
  return (
    <Panel title="Pair a phone" onClose={onClose}>
      <Words>
        Point the camera of the phone at this code, in the same network. It lets one phone in, within ten minutes.
      </Words>
      <View style={{ alignItems: 'center', backgroundColor: '#FFFFFF', padding: 12 }}>
        <img
          alt={`Code for ${code.url}`}
          width={240}
          height={240}
          src={`data:image/svg+xml;utf8,${encodeURIComponent(code.picture)}`}
        />
      </View>
      <Words as="small" tone="faint">{`Without a camera, type this address: ${code.url}`}</Words>
      <Words as="small" tone="faint">
        {`The phone may say that the page is not trusted. At ${code.address}/trust it is told how to end that, which also lets Keep Snug be installed as an app.`}
      </Words>
    </Panel>
  );
}
