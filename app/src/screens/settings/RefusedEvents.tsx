import { isBlank, type MakeEvent } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Notice } from '@/ui/notices/Notice';
import { TextField } from '@/ui/fields/TextField';
import { useEvents, type Refused } from '@/data/events';
import { useLibrary } from '@/data/library';

const NAMES: Readonly<Record<MakeEvent['kind'], string>> = {
  ticked: 'a row done',
  undone: 'an undo',
  placed: 'a place set',
  measured: 'a measurement',
  weighed: 'a weighing',
  landed: 'where a round ended in the yarn',
  decided: 'a decision',
  noted: 'a note',
  paused: 'a pause',
  resumed: 'a start after a pause',
  finished: 'finished',
  reopened: 'opened again',
};

/** What the server would not take, each with its reason and its repair. */
export function RefusedEvents() {
  const refused = useEvents((state) => state.refused);
  return Object.values(refused).map((each) => <RefusedEvent key={each.event.id} {...each} />);
}

function RefusedEvent({ event, reason }: Refused) {
  const title = useLibrary((state) => state.shelves.makes[event.make]?.body.title);
  const { letGo, tryAgain } = useEvents.getState();
  const day = new Date(event.at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
  return (
    <Notice
      tone="rowan"
      word={`Not saved on the server: ${NAMES[event.kind]}${title ? `, ${title}` : ''}, ${day}`}
      text={reason}
    >
      {event.kind === 'noted' ? <NoteAgain event={event} /> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={() => tryAgain(event.id)}>Try again</Action>
        <Action onPress={() => letGo([event.id])}>Delete it</Action>
      </View>
    </Notice>
  );
}

/** A note is written anew in the place of the one that was refused. */
function NoteAgain({ event }: { event: Extract<MakeEvent, { kind: 'noted' }> }) {
  const [text, setText] = useState(event.text);
  const { letGo, happened } = useEvents.getState();
  const keep = () => {
    if (isBlank(text)) return;
    letGo([event.id]);
    happened(event.make, { kind: 'noted', text: text.trim(), step: event.step });
  };
  return (
    <>
      <FieldRow>
        <TextField label="Note" value={text} onChange={setText} multiline />
      </FieldRow>
      <Action onPress={keep}>Save this note instead</Action>
    </>
  );
}
