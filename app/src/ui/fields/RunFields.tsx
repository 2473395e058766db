import { isBlank, upTo, type YarnRun, type YarnSpec } from '@keep-snug/core';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from './NumberField';
import { Pick } from './Pick';
import { TextField } from './TextField';
import { Words } from '@/ui/layout/Words';
import { RUN_COLOURS } from './runColours';

interface Props {
  yarn: YarnSpec;
  onChange: (yarn: YarnSpec) => void;
  /** What else can be done with them. */
  children?: ReactNode;
}

const MOST = 12;
const WAYS = [
  { id: 'stitches', name: 'stitches, counted' },
  { id: 'mm', name: 'cm of yarn' },
];

/** A run in stitches or in mm, in the other where it was in the one. */
const inWay = ({ name, hex }: YarnRun, way: string, amount: number): YarnRun => ({
  name,
  ...(hex ? { hex } : {}),
  ...(way === 'mm' ? { mm: amount * 10 } : { stitches: amount }),
});

const amountOf = (run: YarnRun): number => ('mm' in run ? run.mm / 10 : run.stitches);

/** The colours that repeat along a yarn, one after the other, as they are counted or measured. */
export function RunFields({ yarn, onChange, children }: Props) {
  const { runs = [], ...plain } = yarn;
  const put = (next: readonly YarnRun[]) => onChange(next.length > 0 ? { ...plain, runs: next } : plain);
  const change = (index: number, next: YarnRun) => put(runs.map((old, at) => (at === index ? next : old)));
  const add = () => {
    const { id: hex, name } = RUN_COLOURS[runs.length % RUN_COLOURS.length]!;
    const last = runs.at(-1);
    put([...runs, inWay({ name, hex, stitches: 1 }, last && 'mm' in last ? 'mm' : 'stitches', 10)]);
  };
  return (
    <View role="group" aria-label="Repeating yarn" style={{ gap: 4 }}>
      {runs.length > 0 ? (
        <Words as="smallStrong">Colours that repeat along the yarn, as counted on a trial row or measured</Words>
      ) : null}
      {runs.map((run, index) => {
        const way = 'mm' in run ? 'mm' : 'stitches';
        return (
          <FieldRow key={`${index} of ${runs.length}`}>
            <TextField
              label={`Run ${index + 1}`}
              value={run.name}
              onChange={(name) => change(index, { ...run, name: isBlank(name) ? 'run' : upTo(name, 40) })}
            />
            <Pick
              label={`Colour of run ${index + 1}`}
              value={run.hex ?? ''}
              options={[...RUN_COLOURS]}
              onChange={(hex) => change(index, { ...run, hex })}
            />
            <NumberField
              label={`Length of run ${index + 1}`}
              value={amountOf(run)}
              min={0.5}
              max={2000}
              onChange={(amount) => change(index, inWay(run, way, amount))}
            />
            <Pick
              label={`Run ${index + 1} is in`}
              value={way}
              options={WAYS}
              onChange={(next) => change(index, inWay(run, next, amountOf(run)))}
            />
            <Action label={`Remove run ${index + 1}`} onPress={() => put(runs.filter((_, at) => at !== index))}>
              Remove
            </Action>
          </FieldRow>
        );
      })}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        {runs.length < MOST ? (
          <Action onPress={add}>{runs.length === 0 ? 'This yarn’s colours repeat' : 'Add a run'}</Action>
        ) : null}
        {children}
      </View>
    </View>
  );
}
