import { draftOf, readDraft, thingDefinition, type PlanFault, type ThingDraft, type ThingSpec } from '@keep-snug/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { useSettings } from '@/data/settings';
import { MeasuredWith } from './MeasuredWith';
import { ThingForm, useThingDraft } from './ThingForm';
import { ThingLines } from './ThingLines';

interface Props {
  thing: ThingSpec;
  /** Where the thing stands in the plan, for faults. */
  path: string;
  faults: readonly PlanFault[];
  onChange: (thing: ThingSpec) => void;
}

const sameThing = (a: ThingSpec, b: ThingSpec) => JSON.stringify(a) === JSON.stringify(b);

/** A thing measured anew, in place: every line that can be used is taken at once, the others wait to be mended. */
export function ThingFields({ thing, path, faults, onChange }: Props) {
  const units = useSettings((state) => state.units);
  const form = useRef<UseFormReturn<ThingDraft> | null>(null);
  const latest = useRef({ thing, onChange });
  // the thing as this form last gave it, to tell a change made elsewhere from its own
  const given = useRef(thing);
  const [start] = useState(() => draftOf(thing, units));
  useEffect(() => {
    latest.current = { thing, onChange };
    if (sameThing(unnamed(thing), unnamed(given.current))) return;
    given.current = thing;
    form.current?.reset(draftOf(thing, units));
  });
  const onType = useCallback(
    (draft: ThingDraft) => {
      const { thing: was, onChange: tell } = latest.current;
      const read = readDraft(draft, units, was);
      // what it is called stands beside these lines
      const next: ThingSpec = { ...read.thing, ...(was.name === undefined ? {} : { name: was.name }) };
      if (!read.whole || sameThing(next, was)) return;
      given.current = next;
      tell(next);
    },
    [units],
  );
  return (
    <ThingForm start={start} onType={onType} formRef={form}>
      <Lines thing={thing} path={path} faults={faults} />
    </ThingForm>
  );
}

function unnamed({ name: _name, ...thing }: ThingSpec): ThingSpec {
  return thing as ThingSpec;
}

function Lines({ thing, path, faults }: Pick<Props, 'thing' | 'path' | 'faults'>) {
  const units = useSettings((state) => state.units);
  const { draft } = useThingDraft();
  const read = readDraft(draft, units, thing);
  const told = faults
    .filter((fault) => fault.path.startsWith(`${path}.`))
    .map((fault) => [fault.path.slice(path.length + 1).replace(/\.mm$/, ''), fault.message]);
  return (
    <MeasuredWith>
      <ThingLines
        definition={thingDefinition(draft.kind)!}
        thing={read.thing}
        read={{ ...read, faults: { ...Object.fromEntries(told), ...read.faults } }}
        tried
      />
    </MeasuredWith>
  );
}
