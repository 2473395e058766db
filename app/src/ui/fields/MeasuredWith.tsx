import { METHODS, thingDefinition, usualMethod, type Method, type ThingDraft } from '@keep-snug/core';
import { createContext, useContext, useState, type ReactNode } from 'react';
import type { Path, PathValue } from 'react-hook-form';
import { View } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Pick } from './Pick';
import { SwitchLine } from './SwitchLine';
import { FromPhotograph } from '@/ui/photograph/FromPhotograph';
import { useThingDraft } from './ThingForm';

/** Whether each measure is asked how it was taken. */
const EachApart = createContext(false);
export const useEachApart = () => useContext(EachApart);

interface Way {
  /** Its name in the form. */
  line: string;
  way: Method;
}

/** How every measure of a draft was taken, its list's and its members' too. */
function waysOf(draft: ThingDraft, at = ''): Way[] {
  const definition = thingDefinition(draft.kind)!;
  const of = (keys: readonly { key: string }[], ways: Partial<Record<string, Method>>, where: string): Way[] =>
    keys.map(({ key }) => ({ line: `${where}ways.${key}`, way: ways[key] ?? usualMethod(definition, key) }));
  return [
    ...of(definition.measures, draft.ways, at),
    ...draft.entries.flatMap(({ ways }, index) => of(definition.list?.measures ?? [], ways, `${at}entries.${index}.`)),
    ...draft.members.flatMap((member, index) => waysOf(member, `${at}members.${index}.`)),
  ];
}

/** The way most measures were taken. */
function mostOf(ways: readonly Way[]): Method {
  const counts = new Map<Method, number>();
  for (const { way } of ways) counts.set(way, (counts.get(way) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? 'ruler';
}

/** What the whole thing is measured with, said once; a measure that was taken otherwise says so on demand. */
export function MeasuredWith({ children }: { children: ReactNode }) {
  const { form, draft } = useThingDraft();
  const ways = waysOf(draft);
  const most = mostOf(ways);
  const [apart, setApart] = useState(false);
  const set = (to: string) => {
    // what was taken otherwise stays so
    for (const { line, way } of ways)
      if (way === most) form.setValue(line as Path<ThingDraft>, to as PathValue<ThingDraft, Path<ThingDraft>>);
  };
  return (
    <EachApart.Provider value={apart}>
      <View style={{ gap: 14 }}>
        {children}
        <FieldRow>
          <Pick label="Measured with" value={most} options={METHODS} onChange={set} />
        </FieldRow>
        <SwitchLine label="Say it for each measurement" on={apart} onChange={setApart} />
        <FromPhotograph />
      </View>
    </EachApart.Provider>
  );
}
