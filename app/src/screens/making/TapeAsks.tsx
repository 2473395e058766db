import { LONGEST_MM, type Mended, type Method, type TapeCheck } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { LengthField } from '@/ui/fields/LengthField';
import { SubmitProvider } from '@/ui/fields/submit';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Notice } from '@/ui/notices/Notice';
import { useEvents, useMakeEvents } from '@/data/events';
import { momentLabel, momentOf, momentText } from './moments';
import type { Progress } from '@/reading/useProgress';

interface Props {
  id: string;
  progress: Progress;
  mended: Mended | null;
  onMeasure: () => void;
}

/** What the tape said and nobody decided on yet; else, at its moment, a line for what it says now. */
export function TapeAsks({ id, progress, mended, onMeasure }: Props) {
  const events = useMakeEvents(id);
  const [passed, setPassed] = useState<string>();
  const best = mended?.choices.find(({ recommended }) => recommended);
  if (best && best.id !== 'carry-on')
    return (
      <Notice tone="rowan" word="The tape says otherwise" text={`Best now: ${best.title.toLowerCase()}.`}>
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={onMeasure}>See what you can do</Action>
        </View>
      </Notice>
    );
  const check = momentOf(progress, events);
  if (!check || check.step === passed) return null;
  return (
    <InPlace
      key={check.step}
      id={id}
      check={check}
      progress={progress}
      onPass={() => setPassed(check.step)}
      onMeasure={onMeasure}
    />
  );
}

interface InPlaceProps extends Omit<Props, 'mended'> {
  check: TapeCheck;
  onPass: () => void;
}

/** One line, in place: who works on leaves it unanswered. */
function InPlace({ id, check, progress, onPass, onMeasure }: InPlaceProps) {
  const happened = useEvents((state) => state.happened);
  const [said, setSaid] = useState<{ mm: number; typed: string; by?: Method }>();
  const { what, count, piece, step } = check;
  const keep = () => {
    if (!said) return;
    const { mm, by = 'tape' } = said;
    happened(id, { kind: 'measured', piece, what, count, mm, by, atStep: step });
  };
  return (
    <Notice tone="sea" word="A good moment for the tape" text={momentText(check)}>
      <SubmitProvider value={keep}>
        <FieldRow>
          <LengthField
            label={momentLabel(check, progress.piece.worked)}
            mm={said?.mm}
            typed={said?.typed}
            min={1}
            max={LONGEST_MM}
            onChange={setSaid}
            onNothing={() => setSaid(undefined)}
          />
          <View style={{ justifyContent: 'center' }}>
            <Action disabled={!said} onPress={keep}>
              Keep it
            </Action>
          </View>
        </FieldRow>
      </SubmitProvider>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={onPass}>Looks right</Action>
        <Action onPress={onMeasure}>Measure something else</Action>
      </View>
    </Notice>
  );
}
