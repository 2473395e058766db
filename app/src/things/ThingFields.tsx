import {
  MEMBERS,
  measuresOf,
  usualMethod,
  type LengthField,
  type Measure,
  type PlanFault,
  type ThingDefinition,
  type ThingEntry,
  type ThingSpec,
} from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/parts/Action';
import { FieldRow } from '@/parts/FieldRow';
import { NumberField } from '@/parts/NumberField';
import { faultAt } from '@/parts/OptionFields';
import { TextField } from '@/parts/TextField';
import { Words } from '@/parts/Words';
import { useColours } from '@/theme/useTheme';
import { MeasureField } from './MeasureField';

interface Props {
  definition: ThingDefinition;
  thing: ThingSpec;
  /** Where the thing stands in the plan, for faults. */
  path: string;
  faults: readonly PlanFault[];
  onChange: (thing: ThingSpec) => void;
}

/** A thing's own measures, numbers, list and members, changed in place. */
export function ThingFields({ definition, thing, path, faults, onChange }: Props) {
  const put = (key: string, value: ThingSpec[string]) => {
    const { [key]: _old, ...rest } = thing;
    onChange((value === undefined ? rest : { ...thing, [key]: value }) as ThingSpec);
  };
  const measures = measuresOf(definition, thing);
  return (
    <View style={{ gap: 8 }}>
      {definition.measures.map((field) => (
        <MeasureField
          key={field.key}
          field={field}
          asked={{ of: definition.id, at: field.key }}
          usual={usualMethod(definition, field.key)}
          measure={measures[field.key] ?? leftOut(field)}
          onChange={(measure) => put(field.key, measure)}
          {...(field.optional && mayGo(definition, thing, field.key)
            ? { onClear: () => put(field.key, undefined) }
            : {})}
          fault={faultAt(faults, `${path}.${field.key}.mm`)}
        />
      ))}
      {definition.numbers?.length ? (
        <FieldRow>
          {definition.numbers.map((field) => (
            <NumberField
              key={field.key}
              label={field.label}
              unit={field.unit}
              value={thing[field.key] as number | undefined}
              min={field.min}
              max={field.max}
              onChange={(value) => put(field.key, value)}
              onClear={() => put(field.key, undefined)}
            />
          ))}
        </FieldRow>
      ) : null}
      {definition.list ? <Entries {...{ definition, thing, path, faults }} onChange={onChange} /> : null}
      {definition.holdsThings ? <Members {...{ definition, thing, path, faults }} onChange={onChange} /> : null}
    </View>
  );
}

/** What an optional measure is taken as while it is left out, where it is taken as anything. */
function leftOut({ optional, default: mm }: LengthField): Measure | undefined {
  return optional && mm !== undefined ? { mm } : undefined;
}

/** One of several measures that stand for each other must stay. */
function mayGo({ oneOf }: ThingDefinition, thing: ThingSpec, key: string): boolean {
  return !oneOf?.includes(key) || oneOf.some((other) => other !== key && thing[other] !== undefined);
}

function Entries({ definition, thing, path, faults, onChange }: Props) {
  const colours = useColours();
  const list = definition.list!;
  const entries = (thing[list.key] as readonly ThingEntry[] | undefined) ?? [];
  const set = (next: readonly ThingEntry[]) => onChange({ ...thing, [list.key]: next });
  const change = (index: number, entry: ThingEntry) => set(entries.map((old, at) => (at === index ? entry : old)));
  return (
    <View style={{ gap: 8 }}>
      <Words as="strong" level={3}>
        {list.label}
      </Words>
      {entries.map((entry, index) => {
        const name = String(entry.name ?? `${list.one} ${index + 1}`);
        const put = (key: string, value: ThingEntry[string]) => {
          const { [key]: _old, ...rest } = entry;
          change(index, value === undefined ? rest : { ...entry, [key]: value });
        };
        return (
          <View
            key={`${index} of ${entries.length}`}
            role="group"
            aria-label={name}
            style={{ borderLeftWidth: 4, borderColor: colours.tape, paddingLeft: 10, gap: 4 }}
          >
            <FieldRow>
              <TextField
                label="Called"
                value={String(entry.name ?? '')}
                onChange={(text) => put('name', text.slice(0, 60))}
              />
              {list.numbers.map((field) => (
                <NumberField
                  key={field.key}
                  label={field.label}
                  value={Number(entry[field.key] ?? field.default)}
                  min={field.min}
                  max={field.max}
                  whole={field.whole ?? false}
                  onChange={(value) => put(field.key, value)}
                />
              ))}
            </FieldRow>
            {list.measures.map((field) => (
              <MeasureField
                key={field.key}
                field={field}
                asked={{ of: definition.id, at: `${list.key}.${field.key}` }}
                usual={usualMethod(definition, field.key)}
                measure={entry[field.key] as Measure | undefined}
                onChange={(measure) => put(field.key, measure)}
                {...(field.optional ? { onClear: () => put(field.key, undefined) } : {})}
                fault={faultAt(faults, `${path}.${list.key}[${index}].${field.key}.mm`)}
              />
            ))}
            {entries.length > list.least ? (
              <View style={{ flexDirection: 'row' }}>
                <Action label={`Take out: ${name}`} onPress={() => set(entries.filter((_, at) => at !== index))}>
                  Take out
                </Action>
              </View>
            ) : null}
          </View>
        );
      })}
      {entries.length < list.most ? (
        <View style={{ flexDirection: 'row' }}>
          <Action
            onPress={() => set([...entries, entries.at(-1) ?? firstEntry(list.measures)])}
          >{`Add a ${list.one}`}</Action>
        </View>
      ) : null}
    </View>
  );
}

/** An entry to begin with: middling measures, to be set right at once. */
function firstEntry(measures: readonly LengthField[]): ThingEntry {
  return Object.fromEntries(
    measures
      .filter(({ optional }) => !optional)
      .map(({ key, min, max }) => [key, { mm: Math.min(max, Math.max(min, 50)) }]),
  );
}

function Members({ thing, path, faults, onChange }: Props) {
  const colours = useColours();
  const members = (thing.members as readonly ThingSpec[] | undefined) ?? [];
  const set = (next: readonly ThingSpec[]) => onChange({ ...thing, members: next });
  return (
    <View style={{ gap: 10 }}>
      {members.map((member, index) => {
        const definition = MEMBERS.find(({ id }) => id === member.kind)!;
        const name = String(member.name ?? definition.name.toLowerCase());
        return (
          <View
            key={`${index} of ${members.length}`}
            role="group"
            aria-label={name}
            style={{ borderLeftWidth: 4, borderColor: colours.sea, paddingLeft: 10, gap: 4 }}
          >
            <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' }}>
              <Words as="strong" level={3} style={{ flex: 1 }}>
                {name}
              </Words>
              {members.length > 1 ? (
                <Action label={`Take out: ${name}`} onPress={() => set(members.filter((_, at) => at !== index))}>
                  Take out
                </Action>
              ) : null}
            </View>
            <ThingFields
              definition={definition}
              thing={member}
              path={`${path}.members[${index}]`}
              faults={faults}
              onChange={(next) => set(members.map((old, at) => (at === index ? next : old)))}
            />
          </View>
        );
      })}
    </View>
  );
}
