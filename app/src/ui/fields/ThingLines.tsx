import {
  capital,
  blankDraft,
  draftOf,
  memberKinds,
  METHODS,
  thingDefinition,
  usualMethod,
  type ChoiceField,
  type LengthField,
  type LinesDraft,
  type Measure,
  type NumberField,
  type ReadDraft,
  type ThingDefinition,
  type ThingDraft,
  type ThingEntry,
  type ThingSpec,
} from '@keep-snug/core';
import type { ReactNode } from 'react';
import { useController, useFieldArray, useFormContext, type Path } from 'react-hook-form';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { LengthLine } from './LengthLine';
import { Pick } from './Pick';
import { TextField } from './TextField';
import { Words } from '@/ui/layout/Words';
import { useShelf } from '@/data/library';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { AcrossOrRound } from './AcrossOrRound';
import { useEachApart } from './MeasuredWith';
import { Asked } from './Asked';

/** How lines are shown: what was read of them, what is wrong, and whether what is missing is told as well. */
interface Shown {
  read: ReadDraft;
  tried: boolean;
}

interface Props extends Shown {
  definition: ThingDefinition;
  /** The thing as far as it was read. */
  thing: ThingSpec;
  /** Where it stands in the form and in the thing: nothing, or `members.1.` and `members[1].`. */
  at?: string;
  path?: string;
}

/** All that a kind of thing asks for, each line kept as typed. */
export function ThingLines({ definition, thing, at = '', path = '', ...shown }: Props) {
  return (
    <View style={{ gap: 14 }}>
      <Measures fields={definition.measures} definition={definition} holder={thing} at={at} path={path} {...shown} />
      {definition.eitherWay ? <AcrossOrRound at={at} keys={definition.eitherWay} /> : null}
      {definition.numbers?.length ? (
        <FieldRow>
          <Numbers fields={definition.numbers} at={at} path={path} {...shown} />
        </FieldRow>
      ) : null}
      {definition.choices?.length ? (
        <FieldRow>
          <Choices fields={definition.choices} at={at} />
        </FieldRow>
      ) : null}
      {definition.list ? <Entries definition={definition} thing={thing} at={at} path={path} {...shown} /> : null}
      {definition.holdsThings ? <Members thing={thing} {...shown} /> : null}
    </View>
  );
}

interface LinesProps extends Shown {
  at: string;
  path: string;
}

interface MeasuresProps extends LinesProps {
  fields: readonly LengthField[];
  definition: ThingDefinition;
  holder: ThingSpec | ThingEntry;
  /** The list they belong to, for their sketch. */
  list?: string;
}

function Measures({ fields, definition, holder, list, ...shown }: MeasuresProps) {
  return fields.map((field) => (
    <MeasureLine
      key={field.key}
      field={field}
      definition={definition}
      measure={holder[field.key] as Measure | undefined}
      sketchAt={list ? `${list}.${field.key}` : field.key}
      {...shown}
    />
  ));
}

interface MeasureProps extends LinesProps {
  field: LengthField;
  definition: ThingDefinition;
  measure: Measure | undefined;
  sketchAt: string;
}

/** One measure: the length in any unit, how it was taken, and the tape laid where it belongs. */
function MeasureLine({ field, definition, measure, sketchAt, at, path, read, tried }: MeasureProps) {
  const { control } = useFormContext<ThingDraft>();
  const text = useController({ control, name: `${at}texts.${field.key}` as Path<ThingDraft> }).field;
  const way = useController({ control, name: `${at}ways.${field.key}` as Path<ThingDraft> }).field;
  const line = String(text.value ?? '');
  const fault = tried || line.trim() !== '' ? read.faults[path + field.key] : undefined;
  const apart = useEachApart();
  // what is typed over was not told by a photograph any more
  const typed = (next: string) => {
    text.onChange(next);
    if (way.value === 'photograph') way.onChange(usualMethod(definition, field.key));
  };
  return (
    <View style={{ flexDirection: 'row', columnGap: 12 }}>
      <Asked sketch={definition.sketch} at={sketchAt} />
      <View style={{ flex: 1, flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 8 }}>
        <LengthLine
          label={field.label}
          inputRef={text.ref}
          text={line}
          onText={typed}
          onCalipers={() => way.onChange('calliper')}
          onBlur={text.onBlur}
          mm={measure?.mm}
          error={fault}
          help={field.help ?? ''}
          usual={field.usual}
        />
        {apart ? (
          <Pick
            label={`${field.label}: measured with`}
            value={String(way.value ?? usualMethod(definition, field.key))}
            options={METHODS}
            onChange={way.onChange}
          />
        ) : null}
      </View>
    </View>
  );
}

function Numbers({ fields, at, path, read }: LinesProps & { fields: readonly NumberField[] }) {
  return fields.map((field) => (
    <TextLine
      key={field.key}
      line={`${at}texts.${field.key}`}
      label={field.label}
      error={read.faults[path + field.key]}
      hint={field.help ?? (field.unit ? `In ${field.unit}.` : '')}
      {...(field.default === undefined ? {} : { otherwise: String(field.default) })}
    />
  ));
}

/** What is said of it by one of a few words. */
function Choices({ fields, at }: { fields: readonly ChoiceField[]; at: string }) {
  return fields.map((field) => <ChoiceLine key={field.key} field={field} line={`${at}texts.${field.key}`} />);
}

function ChoiceLine({
  field: { label, help = '', options, default: usual },
  line,
}: {
  field: ChoiceField;
  line: string;
}) {
  const { control } = useFormContext<ThingDraft>();
  const { field } = useController({ control, name: line as Path<ThingDraft> });
  return (
    <Pick label={label} value={String(field.value ?? usual)} options={options} hint={help} onChange={field.onChange} />
  );
}

interface TextLineProps {
  /** Its name in the form. */
  line: string;
  label: string;
  error?: string | undefined;
  hint?: string;
  /** What stands there before anything is typed. */
  otherwise?: string;
  /** So many letters at the most. */
  most?: number;
}

/** A line of the form. */
export function TextLine({ line, otherwise = '', most, ...shown }: TextLineProps) {
  const { control } = useFormContext<ThingDraft>();
  const { field } = useController({ control, name: line as Path<ThingDraft> });
  return (
    <TextField
      {...shown}
      inputRef={field.ref}
      value={String(field.value ?? otherwise)}
      onChange={(text) => field.onChange(text.slice(0, most))}
      onBlur={field.onBlur}
    />
  );
}

/** A frame round what belongs together: one tool, one member. */
function Framed({
  name,
  what,
  onRemove,
  children,
}: {
  name: string;
  what: string;
  onRemove?: (() => void) | undefined;
  children: ReactNode;
}) {
  const colours = useColours();
  return (
    <View
      role="group"
      aria-label={name}
      style={{ borderLeftWidth: 4, borderColor: colours.tape, paddingLeft: 12, gap: 8 }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' }}>
        <Words as="strong">{name}</Words>
        {onRemove ? (
          <Action label={`Remove: ${what}`} onPress={onRemove}>
            Remove
          </Action>
        ) : null}
      </View>
      {children}
    </View>
  );
}

/** Several alike within a thing: tools, heights of a bottle. */
function Entries({
  definition,
  thing,
  at,
  path,
  ...shown
}: LinesProps & { definition: ThingDefinition; thing: ThingSpec }) {
  const { control, getValues } = useFormContext<ThingDraft>();
  const list = definition.list!;
  const { fields, append, remove } = useFieldArray({ control, name: `${at}entries` as 'entries' });
  const read = (thing[list.key] as readonly ThingEntry[] | undefined) ?? [];
  const last = (): LinesDraft => {
    const entries = getValues(`${at}entries` as 'entries');
    return entries.at(-1) ?? { texts: {}, ways: {} };
  };
  return (
    <View style={{ gap: 12 }}>
      <Words as="heading" level={3}>
        {list.label}
      </Words>
      {list.help ? (
        <Words as="small" tone="faint">
          {list.help}
        </Words>
      ) : null}
      {fields.map((entry, index) => {
        const number = `${list.one} ${index + 1}`;
        const line = `${at}entries.${index}.`;
        const where = `${path}${list.key}[${index}].`;
        return (
          <Framed
            key={entry.id}
            name={capital(number)}
            what={String(read[index]?.name ?? number)}
            onRemove={fields.length > list.least ? () => remove(index) : undefined}
          >
            <FieldRow>
              <TextLine line={`${line}texts.name`} label="Called" most={60} />
              <Numbers fields={list.numbers} at={line} path={where} {...shown} />
            </FieldRow>
            <Measures
              fields={list.measures}
              definition={definition}
              holder={read[index] ?? {}}
              list={list.key}
              at={line}
              path={where}
              {...shown}
            />
          </Framed>
        );
      })}
      {fields.length < list.most ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={() => append(structuredClone(last()))}>{`Add a ${list.one}`}</Action>
        </View>
      ) : null}
    </View>
  );
}

/** What a set holds: each member with the lines of its own kind. */
function Members({ thing, ...shown }: Shown & { thing: ThingSpec }) {
  const { control } = useFormContext<ThingDraft>();
  const { fields, append, remove } = useFieldArray({ control, name: 'members' });
  const kinds = memberKinds();
  const units = useSettings((state) => state.units);
  const shelf = useShelf('things');
  const fromShelf = shelf
    .filter(([, { body }]) => kinds.some(({ id }) => id === body.thing.kind))
    .map(([id, { body }]) => ({ id, name: body.name }));
  const read = (thing.members as readonly ThingSpec[] | undefined) ?? [];
  const missing = shown.read.faults.members;
  return (
    <View style={{ gap: 12 }}>
      <Words as="heading" level={3}>
        In it
      </Words>
      {fields.map((member, index) => {
        const definition = thingDefinition(member.kind)!;
        const spec = read[index] ?? { kind: member.kind };
        const name = String(spec.name ?? definition.name.toLowerCase());
        return (
          <Framed key={member.id} name={`${index + 1}: ${name}`} what={name} onRemove={() => remove(index)}>
            <FieldRow>
              <TextLine line={`members.${index}.texts.name`} label="Called" most={60} />
            </FieldRow>
            <ThingLines
              definition={definition}
              thing={spec}
              at={`members.${index}.`}
              path={`members[${index}].`}
              {...shown}
            />
          </Framed>
        );
      })}
      {shown.tried && missing ? (
        <Words as="small" tone="rowan">
          {missing}
        </Words>
      ) : null}
      <FieldRow>
        <Pick
          label="Add one more"
          value=""
          options={[{ id: '', name: 'choose what kind, or one of your items' }, ...kinds, ...fromShelf]}
          onChange={(choice) => {
            const definition = thingDefinition(choice);
            if (definition) return append(blankDraft(definition));
            const held = shelf.find(([id]) => id === choice)?.[1];
            if (held) append(draftOf({ ...held.body.thing, name: held.body.name }, units));
          }}
        />
      </FieldRow>
    </View>
  );
}
