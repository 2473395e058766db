import { isBlank, upTo, type ThingSpec, type YarnSpec } from '@keep-snug/core';
import type { BatchRecord, BatchVariant } from '@keep-snug/core/batches';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { Pick } from '@/ui/fields/Pick';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import { useShelf } from '@/data/library';

interface Props {
  batch: BatchRecord;
  onChange: (batch: BatchRecord) => void;
}

const MOST_VARIANTS = 60;
const AS_PLANNED = { id: '', name: 'as planned' };
const OWN = { id: 'own', name: 'as it is here' };

/** The sizes and yarns of a batch, and how many of each. */
export function Variants({ batch, onChange }: Props) {
  const { variants } = batch;
  const put = (next: BatchVariant[]) => onChange({ ...batch, variants: next });
  return (
    <CardBox label="Sizes and yarns">
      <Words as="heading" level={2}>
        Sizes and yarns
      </Words>
      {variants.map((variant, index) => (
        <Fields
          key={variant.id}
          variant={variant}
          number={index + 1}
          onChange={(next) => put(variants.map((one, at) => (at === index ? next : one)))}
          onRemove={variants.length > 1 ? () => put(variants.filter((_, at) => at !== index)) : undefined}
        />
      ))}
      {variants.length < MOST_VARIANTS ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={() => put([...variants, { ...variants.at(-1)!, ...freshOf(variants) }])}>
            Add a size or yarn
          </Action>
        </View>
      ) : null}
    </CardBox>
  );
}

function freshOf(variants: readonly BatchVariant[]): Fresh {
  const known = new Set(variants.map(({ id }) => id));
  let number = variants.length + 1;
  while (known.has(`v${number}`)) number += 1;
  return { id: `v${number}`, name: `variant ${number}`, count: 1 };
}

type Fresh = { id: string; name: string; count: number };

interface FieldsProps {
  variant: BatchVariant;
  number: number;
  onChange: (variant: BatchVariant) => void;
  onRemove: (() => void) | undefined;
}

function Fields({ variant, number, onChange, onRemove }: FieldsProps) {
  const things = useShelf('things');
  const yarns = useShelf('yarns');
  const thing = kept(things, variant.thing, (body) => body.thing);
  const yarn = kept(yarns, variant.yarn, (body) => body.yarn);
  return (
    <View role="group" aria-label={variant.name} style={{ gap: 4 }}>
      <FieldRow>
        <TextField
          label={`Name of ${number}`}
          value={variant.name}
          onChange={(name) => onChange({ ...variant, name: isBlank(name) ? `variant ${number}` : upTo(name, 120) })}
        />
        <NumberField
          label={`How many of ${number}`}
          value={variant.count}
          min={1}
          max={200}
          whole
          onChange={(count) => onChange({ ...variant, count })}
        />
        <Pick
          label={`For what, ${number}`}
          value={thing.id}
          options={thing.options}
          onChange={(id) => {
            if (id === OWN.id) return;
            const { thing: _before, ...rest } = variant;
            const body = things.find(([at]) => at === id)?.[1].body;
            onChange(body ? { ...rest, thing: body.thing } : rest);
          }}
        />
        <Pick
          label={`Yarn of ${number}`}
          value={yarn.id}
          options={yarn.options}
          onChange={(id) => {
            if (id === OWN.id) return;
            const { yarn: _before, ...rest } = variant;
            const body = yarns.find(([at]) => at === id)?.[1].body;
            onChange(body ? { ...rest, yarn: body.yarn } : rest);
          }}
        />
      </FieldRow>
      {onRemove ? (
        <View style={{ flexDirection: 'row' }}>
          <Action label={`Remove ${variant.name}`} onPress={onRemove}>
            Remove
          </Action>
        </View>
      ) : null}
    </View>
  );
}

/** Which of those kept it is; one that is kept nowhere else is its own. */
function kept<Body extends { name: string }>(
  shelf: readonly (readonly [string, { body: Body }])[],
  own: ThingSpec | YarnSpec | undefined,
  of: (body: Body) => ThingSpec | YarnSpec,
) {
  const same = own && shelf.find(([, { body }]) => JSON.stringify(of(body)) === JSON.stringify(own))?.[0];
  const options = [
    AS_PLANNED,
    ...(own && !same ? [{ ...OWN, name: nameOf(own) }] : []),
    ...shelf.map(([id, { body }]) => ({ id, name: body.name })),
  ];
  return { id: own ? (same ?? OWN.id) : AS_PLANNED.id, options };
}

function nameOf(own: ThingSpec | YarnSpec): string {
  const { name, colour } = own as { name?: string; colour?: string };
  return [name, colour].filter(Boolean).join(', ') || OWN.name;
}
