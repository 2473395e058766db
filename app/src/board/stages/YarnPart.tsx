import { upTo } from '@keep-snug/core';
import type { YarnSpec } from '@keep-snug/core';
import type { YarnRecord } from '@keep-snug/core/documents';
import { Action } from '@/parts/Action';
import { FieldRow } from '@/parts/FieldRow';
import { NumberField } from '@/parts/NumberField';
import { Pick } from '@/parts/Pick';
import { TextField } from '@/parts/TextField';
import { useLibrary, useShelf } from '@/state/library';

const NEW = '';

/** The yarn of the box that a plan is worked in, with its id; undefined where it is none of them. */
export function useYarnInBox(yarn: YarnSpec): { id: string; name: string } | undefined {
  const found = useShelf('yarns').find(([, { body }]) => same(unweighed(body.yarn), unweighed(yarn)));
  return found && { id: found[0], name: found[1].body.name };
}

interface Props {
  yarn: YarnSpec;
  onChange: (yarn: YarnSpec) => void;
}

/** Which yarn it is, and how much of it there is. */
export function YarnPart({ yarn, onChange }: Props) {
  const yarns = useShelf('yarns');
  const inBox = useYarnInBox(yarn);
  const add = useLibrary((state) => state.add);
  const name = yarn.name?.trim() ?? '';
  return (
    <>
      <FieldRow>
        <Pick
          label="Yarn"
          value={inBox?.id ?? NEW}
          options={[...yarns.map(([id, { body }]) => ({ id, name: body.name })), { id: NEW, name: 'another yarn' }]}
          onChange={(id) => {
            const found = yarns.find(([key]) => key === id);
            onChange(found ? fromBox(found[1].body) : { name: 'another yarn', metresPer100g: 200 });
          }}
        />
      </FieldRow>
      <FieldRow>
        <NumberField
          label="In the house, grams"
          value={yarn.gramsLeft}
          min={0}
          max={100_000}
          help="To see whether it lasts."
          onChange={(gramsLeft) => onChange({ ...yarn, gramsLeft })}
          onClear={() => onChange(unweighed(yarn))}
        />
        <NumberField
          label="Strands held together"
          value={yarn.strands ?? 1}
          min={1}
          max={12}
          whole
          onChange={(strands) => onChange({ ...yarn, strands })}
        />
      </FieldRow>
      {inBox ? null : <YarnFields yarn={yarn} onChange={onChange} />}
      {inBox || !name ? null : <Action onPress={() => add('yarns', { name, yarn })}>Keep it in the yarn box</Action>}
    </>
  );
}

function YarnFields({ yarn, onChange }: Props) {
  return (
    <FieldRow>
      <TextField
        label="Yarn name"
        value={yarn.name ?? ''}
        onChange={(name) => onChange({ ...yarn, name: upTo(name, 120) })}
      />
      <NumberField
        label="Metres per 100 g"
        value={yarn.metresPer100g}
        min={5}
        max={5000}
        help="Printed on the band."
        onChange={(metresPer100g) => onChange({ ...yarn, metresPer100g })}
      />
    </FieldRow>
  );
}

/** What there is of a yarn changes as it is used; the yarn stays the same one. */
function unweighed({ gramsLeft: _left, strands: _strands, ...yarn }: YarnSpec): YarnSpec {
  return yarn;
}

function fromBox({ yarn, gramsLeft }: YarnRecord): YarnSpec {
  return gramsLeft === undefined ? yarn : { ...yarn, gramsLeft };
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
