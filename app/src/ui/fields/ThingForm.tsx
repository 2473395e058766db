import type { LengthUnit, ThingDraft } from '@keep-snug/core';
import { useEffect, type ReactNode } from 'react';
import {
  FormProvider,
  useForm,
  useFormContext,
  useWatch,
  type Path,
  type PathValue,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form';

interface Props {
  /** What the lines begin with. */
  start: ThingDraft;
  /** Told of every word as it is typed. */
  onType: (draft: ThingDraft) => void;
  /** What is wrong with a draft, by the name of its line; for going on, where there is something to go on to. */
  resolver?: Resolver<ThingDraft>;
  /** For whoever has to fill it anew. */
  formRef?: { current: UseFormReturn<ThingDraft> | null };
  children: ReactNode;
}

/** A thing's lines as one form, whether it is new or measured anew. */
export function ThingForm({ start, onType, resolver, formRef, children }: Props) {
  const form = useForm<ThingDraft>({ defaultValues: start, ...(resolver ? { resolver } : {}) });
  const { subscribe } = form;
  useEffect(() => {
    if (formRef) formRef.current = form;
  }, [form, formRef]);
  useEffect(
    () => subscribe({ formState: { values: true }, callback: ({ values }) => onType(values as ThingDraft) }),
    [subscribe, onType],
  );
  return <FormProvider {...form}>{children}</FormProvider>;
}

/** The whole draft as it stands, the form it stands in, and its lines by their names. */
export function useThingDraft() {
  const form = useFormContext<ThingDraft>();
  const draft = useWatch({ control: form.control }) as ThingDraft;
  return {
    form,
    draft,
    textAt: (line: string) => String(form.getValues(line as Path<ThingDraft>) ?? ''),
    setText: (line: string, text: string) =>
      form.setValue(line as Path<ThingDraft>, text as PathValue<ThingDraft, Path<ThingDraft>>),
  };
}

/** The name a form has for the line of a path: `tools[1].grip` is `entries.1.texts.grip`. */
export function lineOf(path: string): string {
  const parts = path.split('.');
  const key = parts.pop()!;
  const holders = parts.map((part) =>
    part.replace(/^members\[(\d+)\]$/, 'members.$1').replace(/^\w+\[(\d+)\]$/, 'entries.$1'),
  );
  return [...holders, 'texts', key].join('.');
}

/** What is wrong, as the form wants it, so that it goes to the first line that needs mending. */
export function resolverOf(
  faultsOf: (draft: ThingDraft, units: LengthUnit) => Record<string, string>,
  units: LengthUnit,
): Resolver<ThingDraft> {
  return (draft) => {
    const faults = Object.entries(faultsOf(draft, units));
    if (faults.length === 0) return { values: draft, errors: {} };
    const errors = {};
    for (const [path, message] of faults) put(errors, lineOf(path).split('.'), { type: 'reading', message });
    return { values: {}, errors };
  };
}

function put(holder: Record<string, unknown>, [key, ...rest]: readonly string[], value: unknown): void {
  if (rest.length === 0) holder[key!] = value;
  else put((holder[key!] ??= {}) as Record<string, unknown>, rest, value);
}
