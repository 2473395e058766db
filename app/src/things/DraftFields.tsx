import {
  formatLength,
  MEMBERS,
  METHODS,
  parseLength,
  usualMethod,
  type LengthField,
  type NumberField,
  type ThingDefinition,
} from '@keep-snug/core';
import { useController, useFormContext, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { Action } from '@/parts/Action';
import { FieldRow } from '@/parts/FieldRow';
import { Pick } from '@/parts/Pick';
import { TextField } from '@/parts/TextField';
import { Words } from '@/parts/Words';
import { useSettings } from '@/state/settings';
import { useColours } from '@/theme/useTheme';
import { Asked } from './Asked';
import { AcrossOrRound } from './AcrossOrRound';
import { entriesOf, lineName, type DraftThing } from './readDraft';
import { useThingDraft } from './ThingForm';

interface Props {
  definition: ThingDefinition;
  /** Where the thing stands: nothing, or `members[1].`. */
  prefix?: string;
  faults: Readonly<Record<string, string>>;
  /** Whether what is missing is told as well. */
  tried: boolean;
}

/** All that a kind of thing asks for, each line kept as typed. */
export function DraftFields({ definition, prefix = '', faults, tried }: Props) {
  const shared = { usual: definition, faults, tried };
  return (
    <View style={{ gap: 14 }}>
      {definition.measures.map((field) => (
        <Measure key={field.key} field={field} path={`${prefix}${field.key}`} {...shared} />
      ))}
      {definition.id === 'cylinder' ? <AcrossOrRound prefix={prefix} /> : null}
      {definition.numbers?.length ? (
        <FieldRow>
          {definition.numbers.map((field) => (
            <Plain
              key={field.key}
              field={field}
              path={`${prefix}${field.key}`}
              fault={faults[`${prefix}${field.key}`]}
            />
          ))}
        </FieldRow>
      ) : null}
      {definition.list ? <Entries definition={definition} prefix={prefix} faults={faults} tried={tried} /> : null}
      {definition.holdsThings ? <Members faults={faults} tried={tried} /> : null}
    </View>
  );
}

interface MeasureProps extends Shared {
  field: LengthField;
  path: string;
  /** Its name among the kind's measures, where it stands in a list. */
  at?: string;
}

interface Shared {
  usual: ThingDefinition;
  faults: Props['faults'];
  tried: boolean;
}

function Measure({ field, path, at = field.key, usual, faults, tried }: MeasureProps) {
  const { control } = useFormContext<DraftThing>();
  const units = useSettings((state) => state.units);
  const text = useWatch({ control, name: `texts.${lineName(path)}` }) ?? '';
  const way = useController({ control, name: `ways.${lineName(path)}` }).field;
  const parsed = parseLength(text, units);
  const readAs = parsed.ok && parsed.unit !== units ? `= ${formatLength(parsed.mm, units)}` : undefined;
  return (
    <View style={{ flexDirection: 'row', columnGap: 12 }}>
      <Asked of={usual.id} at={at} />
      <View style={{ flex: 1, flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Line
          path={path}
          label={field.label}
          error={tried || text.trim() !== '' ? faults[path] : undefined}
          hint={readAs ?? field.help ?? ''}
        />
        <Pick
          label={`${field.label}, taken with`}
          value={way.value ?? usualMethod(usual, field.key)}
          options={METHODS}
          onChange={way.onChange}
        />
      </View>
    </View>
  );
}

interface LineProps {
  path: string;
  label: string;
  error?: string | undefined;
  hint?: string;
  /** What stands there before anything is typed. */
  start?: string;
  /** So many letters at the most. */
  most?: number;
}

/** A line of the draft. */
export function Line({ path, start = '', most, ...shown }: LineProps) {
  const { control } = useFormContext<DraftThing>();
  const { field } = useController({ control, name: `texts.${lineName(path)}` });
  return (
    <TextField
      {...shown}
      inputRef={field.ref}
      value={field.value ?? start}
      onChange={(text) => field.onChange(text.slice(0, most))}
      onBlur={field.onBlur}
    />
  );
}

function Plain({ field, path, fault }: { field: NumberField; path: string; fault: string | undefined }) {
  const unit = field.unit ? `, ${field.unit}` : '';
  const start = field.default === undefined ? {} : { start: String(field.default) };
  return <Line path={path} label={`${field.label}${unit}`} error={fault} hint={field.help ?? ''} {...start} />;
}

/** A frame round what belongs together: one tool, one member. */
function Framed({ name, onRemove, children }: { name: string; onRemove?: () => void; children: React.ReactNode }) {
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
          <Action label={`Take out: ${name}`} onPress={onRemove}>
            Take out
          </Action>
        ) : null}
      </View>
      {children}
    </View>
  );
}

function Entries({ definition, prefix = '', faults, tried }: Props) {
  const { form, draft } = useThingDraft();
  const list = definition.list!;
  const path = `${prefix}${list.key}`;
  const count = entriesOf(draft, list, path);
  const setCount = (next: number) => form.setValue(`counts.${lineName(path)}`, next);
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
      {Array.from({ length: count }, (_, index) => {
        const at = `${path}[${index}].`;
        const last = index === count - 1 && count > list.least;
        return (
          <Framed
            key={at}
            name={`${list.one.charAt(0).toUpperCase()}${list.one.slice(1)} ${index + 1}`}
            {...(last ? { onRemove: () => setCount(count - 1) } : {})}
          >
            <FieldRow>
              <Line path={`${at}name`} label="Called" most={60} />
              {list.numbers.map((field) => (
                <Plain key={field.key} field={field} path={`${at}${field.key}`} fault={faults[`${at}${field.key}`]} />
              ))}
            </FieldRow>
            {list.measures.map((field) => (
              <Measure
                key={field.key}
                field={field}
                path={`${at}${field.key}`}
                at={`${list.key}.${field.key}`}
                usual={definition}
                faults={faults}
                tried={tried}
              />
            ))}
          </Framed>
        );
      })}
      {count < list.most ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={() => setCount(count + 1)}>{`Add a ${list.one}`}</Action>
        </View>
      ) : null}
    </View>
  );
}

/** What a set holds: each member with the fields of its own kind. */
function Members({ faults, tried }: Omit<Props, 'definition' | 'prefix'>) {
  const { form, draft } = useThingDraft();
  return (
    <View style={{ gap: 12 }}>
      <Words as="heading" level={3}>
        In it
      </Words>
      {draft.members.map((kind, index) => {
        const member = MEMBERS.find(({ id }) => id === kind)!;
        const at = `members[${index}].`;
        const last = index === draft.members.length - 1;
        return (
          <Framed
            key={at}
            name={`${index + 1}: ${member.name.toLowerCase()}`}
            {...(last ? { onRemove: () => form.setValue('members', draft.members.slice(0, -1)) } : {})}
          >
            <FieldRow>
              <Line path={`${at}name`} label="Called" most={60} />
            </FieldRow>
            <DraftFields definition={member} prefix={at} faults={faults} tried={tried} />
          </Framed>
        );
      })}
      {tried && faults.members ? (
        <Words as="small" tone="rowan">
          {faults.members}
        </Words>
      ) : null}
      <FieldRow>
        <Pick
          label="Add one more"
          value=""
          options={[{ id: '', name: 'choose what kind' }, ...MEMBERS]}
          onChange={(kind) => kind && form.setValue('members', [...draft.members, kind])}
        />
      </FieldRow>
    </View>
  );
}
