import { LONGEST_MM, METHODS, type Make, type Mended, type Method } from '@keep-snug/core';
import { useEffect, useRef, useState } from 'react';
import { View, type TextInput } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Action } from '@/ui/actions/Action';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { Panel } from '@/ui/layout/Panel';
import { Pick } from '@/ui/fields/Pick';
import { RadioList } from '@/ui/fields/RadioList';
import { SubmitProvider } from '@/ui/fields/submit';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import { useWide } from '@/theme/useWide';
import { MendWays } from './MendWays';
import { measurables } from './measurable';
import { MeasurePicture } from './MeasurePicture';
import type { Progress } from '@/reading/useProgress';

interface Props {
  id: string;
  make: Make;
  progress: Progress;
  mended: Mended | null;
  onClose: () => void;
}

/** A tape lies on what is soft. */
const USUAL_TOOL: Method = 'tape';

/** What the tape says of the work so far; once it has said something, the ways to go on. */
export function MeasurePanel({ id, make, progress, mended, onClose }: Props) {
  const said = mended && mended.choices.length > 0;
  const [again, setAgain] = useState(false);
  if (said && !again)
    return (
      <Panel title="What the tape says" onClose={onClose}>
        <MendWays id={id} make={make} mended={mended} progress={progress} onTaken={onClose} />
        <Action onPress={() => setAgain(true)}>Measure something else</Action>
      </Panel>
    );
  return (
    <Panel title="Measure now" onClose={onClose}>
      {mended?.unread && !again ? <Words>{mended.unread}</Words> : null}
      <Ask id={id} progress={progress} onMeasured={() => setAgain(false)} />
    </Panel>
  );
}

function Ask({ id, progress, onMeasured }: { id: string; progress: Progress; onMeasured: () => void }) {
  const happened = useEvents((state) => state.happened);
  const list = measurables(progress);
  const [what, setWhat] = useState(list[0]?.what);
  const [counted, setCounted] = useState<number>();
  const [mm, setMm] = useState<{ mm: number; typed: string }>();
  const [by, setBy] = useState<Method>(USUAL_TOOL);
  const line = useRef<TextInput>(null);
  const wide = useWide();
  // a calliper that types like a keyboard goes straight into the line; a phone’s own keyboard would cover the picture
  useEffect(() => {
    if (wide) line.current?.focus();
  }, [wide]);
  const chosen = list.find((one) => one.what === what) ?? list[0];
  if (!chosen) return <Words>Work the first row, then measure it.</Words>;
  const choose = (next: (typeof list)[number]) => {
    setWhat(next.what);
    setCounted(undefined);
    line.current?.focus();
  };
  const count = counted ?? chosen.count;
  const save = () => {
    if (!mm) return;
    happened(id, {
      kind: 'measured',
      piece: progress.piece.id,
      what: chosen.what,
      count,
      mm: mm.mm,
      by,
      atStep: progress.state.last?.step ?? null,
    });
    onMeasured();
  };
  return (
    <View style={{ gap: 12 }}>
      <MeasurePicture measurables={list} chosen={chosen} onChoose={choose} />
      <RadioList
        label="What is measured"
        options={list.map(({ what: option, name, counts, count: of }) => ({
          id: option,
          name: `${name}: ${of} ${counts}`,
        }))}
        value={chosen.what}
        onChange={(next) => choose(list.find((one) => one.what === next)!)}
      />
      <SubmitProvider value={save}>
        <FieldRow>
          <NumberField
            key={chosen.what}
            label={`How many ${chosen.counts}`}
            value={count}
            min={1}
            max={9999}
            whole
            isDefault={counted === undefined}
            onChange={setCounted}
            onClear={() => setCounted(undefined)}
          />
          <LengthField
            label="They measure"
            help="Lay it flat, and do not pull."
            mm={mm?.mm}
            typed={mm?.typed}
            min={1}
            max={LONGEST_MM}
            onChange={(length) => {
              setMm(length);
              if (length.by) setBy(length.by);
            }}
            onNothing={() => setMm(undefined)}
            inputRef={line}
          />
          <Pick label="Measured with" value={by} options={METHODS} onChange={(next) => setBy(next as Method)} />
        </FieldRow>
      </SubmitProvider>
      <Action main disabled={!mm} onPress={save}>
        See what it says
      </Action>
    </View>
  );
}
