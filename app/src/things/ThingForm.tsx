import type { LengthUnit } from '@keep-snug/core';
import { useEffect, type ReactNode } from 'react';
import { FormProvider, useForm, useFormContext, useWatch, type Resolver, type ResolverResult } from 'react-hook-form';
import { BLANK, useDraft } from '@/state/draft';
import { useSettings } from '@/state/settings';
import { lineName, readDraft, type DraftThing } from './readDraft';

const draftKept = (): DraftThing => {
  const { kind, texts, ways, counts, members } = useDraft.getState();
  return { kind, texts, ways, counts, members };
};

/** A thing being measured, as a form: every line is kept on this device as it is typed. */
export function ThingForm({ children }: { children: ReactNode }) {
  const units = useSettings((state) => state.units);
  const form = useForm<DraftThing>({ defaultValues: draftKept(), resolver: resolverIn(units) });
  const { subscribe } = form;
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values }) => useDraft.getState().keep({ ...BLANK, ...values }),
      }),
    [subscribe],
  );
  return <FormProvider {...form}>{children}</FormProvider>;
}

/** The whole draft as it stands, and the form it stands in. */
export function useThingDraft() {
  const form = useFormContext<DraftThing>();
  const draft = useWatch({ control: form.control }) as DraftThing;
  return { form, draft };
}

export const NO_NAME = 'No name yet. Say what it is, such as field phone.';

/** What is wrong with a draft, by path: a cover has to be called something. */
export function faultsOf(draft: DraftThing, units: LengthUnit): Record<string, string> {
  const { faults } = readDraft(draft, units);
  return (draft.texts.name ?? '').trim() === '' ? { name: NO_NAME, ...faults } : faults;
}

/** The same, as the form wants it: so that it goes to the first line that needs mending. */
const resolverIn =
  (units: LengthUnit): Resolver<DraftThing> =>
  (draft): ResolverResult<DraftThing> => {
    const faults = Object.entries(faultsOf(draft, units));
    if (faults.length === 0) return { values: draft, errors: {} };
    const lines = faults.map(([path, message]) => [lineName(path), { type: 'reading', message }]);
    return { values: {}, errors: { texts: Object.fromEntries(lines) } };
  };
