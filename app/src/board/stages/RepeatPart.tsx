import { isBlank, onHook, upTo, type Plan, type YarnRun } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/parts/Action';
import { FieldRow } from '@/parts/FieldRow';
import { NumberField } from '@/parts/NumberField';
import { Pick } from '@/parts/Pick';
import { TextField } from '@/parts/TextField';
import { Words } from '@/parts/Words';
import { RepeatPanel } from './RepeatPanel';
import { RUN_COLOURS } from './runColours';

interface Props {
  plan: Plan;
  edit: (work: (plan: Plan) => Plan) => void;
  /** Whether the plan can be calculated. */
  whole: boolean;
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

/** A yarn whose colours repeat along it: its runs, and what they come to on this piece. */
export function RepeatPart({ plan, edit, whole }: Props) {
  const [open, setOpen] = useState(false);
  const runs = plan.fabric.yarn?.runs ?? [];
  const put = (next: readonly YarnRun[]) =>
    edit((old) => {
      const { runs: _before, ...yarn } = old.fabric.yarn!;
      return { ...old, fabric: { ...old.fabric, yarn: next.length > 0 ? { ...yarn, runs: next } : yarn } };
    });
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
        {runs.length > 1 && whole ? <Action onPress={() => setOpen(true)}>See what the colours do</Action> : null}
      </View>
      {open ? (
        <RepeatPanel
          plan={plan}
          runs={runs}
          onClose={() => setOpen(false)}
          onTake={({ picks, hookMm }) => {
            setOpen(false);
            edit((old) => ({
              ...old,
              fabric: hookMm === old.fabric.hookMm ? old.fabric : onHook(old.fabric, hookMm),
              picks: hookMm === old.fabric.hookMm ? { ...old.picks, ...picks } : picks,
            }));
          }}
        />
      ) : null}
    </View>
  );
}
