import type { Step } from '@keep-snug/core';
import { View } from 'react-native';
import type { Progress } from '@/reading/useProgress';
import { LinkedWords } from '@/ui/layout/LinkedWords';
import { Notice } from '@/ui/notices/Notice';

/** What is joined, cut or sewn cannot be done again: its check comes before it, a row's after it. */
export const isByHand = ({ row, kind }: Step) => row === null && kind !== 'foundation';

/** What is looked at, and what to do where it is not so. */
export function Check({ word, check }: { word: string; check: NonNullable<Step['check']> }) {
  return (
    <Notice
      tone="thread"
      word={word}
      text={<LinkedWords as="small" text={check.look} />}
      repair={
        <LinkedWords
          as="smallStrong"
          text={`If not: ${check.repair.charAt(0).toLowerCase()}${check.repair.slice(1)}`}
        />
      }
    />
  );
}

/** The check of the row just done, while it can still be put right cheaply. */
export function Latest({ progress: { worked, state } }: { progress: Progress }) {
  const step = worked.steps.find(({ id }) => id === state.last?.step);
  const note = state.notes.filter((one) => one.step !== null && one.step === state.last?.step).at(-1);
  return (
    <View style={{ gap: 8, marginTop: 8 }}>
      {step?.check && !isByHand(step) ? <Check word="Check" check={step.check} /> : null}
      {note ? <Notice tone="thread" word="Your note" text={note.text} /> : null}
    </View>
  );
}
