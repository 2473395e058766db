import { isBlank, withoutHidden } from '@keep-snug/core';
import { useEffect, useRef, useState } from 'react';
import type { TextInput } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Action } from '@/ui/actions/Action';
import { Panel } from '@/ui/layout/Panel';
import { TextField } from '@/ui/fields/TextField';
import { useEvents } from '@/data/events';

interface Props {
  make: string;
  /** The step it belongs to, by its id. */
  step: string;
  onClose: () => void;
}

const LONGEST = 2000;

/** A note at the row where the work stands. */
export function NotePanel({ make, step, onClose }: Props) {
  const [text, setText] = useState('');
  const line = useRef<TextInput>(null);
  useEffect(() => line.current?.focus(), []);
  const happened = useEvents((state) => state.happened);
  const keep = () => {
    if (!isBlank(text))
      happened(make, { kind: 'noted', text: withoutHidden(text.trim().slice(0, LONGEST), 'lines'), step });
    onClose();
  };
  return (
    <Panel title="Note at this row" onClose={onClose}>
      <FieldRow>
        <TextField
          label="Note"
          value={text}
          onChange={setText}
          multiline
          // whoever pressed the key goes on typing
          inputRef={line}
          hint="You will see this note again at this row."
        />
      </FieldRow>
      <Action main onPress={keep}>
        Save note
      </Action>
    </Panel>
  );
}
