import { onHook, type Plan } from '@keep-snug/core';
import { useState } from 'react';
import { Action } from '@/ui/actions/Action';
import { RunFields } from '@/ui/fields/RunFields';
import { RepeatPanel } from './RepeatPanel';

interface Props {
  plan: Plan;
  edit: (work: (plan: Plan) => Plan) => void;
  /** Whether the plan can be calculated. */
  whole: boolean;
}

/** A yarn whose colours repeat along it: its runs, and what they come to on this piece. */
export function RepeatPart({ plan, edit, whole }: Props) {
  const [open, setOpen] = useState(false);
  const yarn = plan.fabric.yarn!;
  const { runs = [] } = yarn;
  return (
    <>
      <RunFields yarn={yarn} onChange={(next) => edit((old) => ({ ...old, fabric: { ...old.fabric, yarn: next } }))}>
        {runs.length > 1 && whole ? <Action onPress={() => setOpen(true)}>See what the colours do</Action> : null}
      </RunFields>
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
    </>
  );
}
