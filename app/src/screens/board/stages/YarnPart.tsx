import { massWith, type YarnSpec } from '@keep-snug/core';
import type { YarnRecord } from '@keep-snug/core/documents';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { Pick } from '@/ui/fields/Pick';
import { useLibrary, useShelf } from '@/data/library';
import { YarnFields } from '@/ui/fields/YarnFields';
import { useYarnInBox, unweighed } from '../../../reading/useYarnInBox';

const NEW = '';

interface Props {
  yarn: YarnSpec;
  onChange: (yarn: YarnSpec) => void;
  /** Another yarn is taken: what was measured of the one before says nothing of it. */
  onTake: (yarn: YarnSpec) => void;
}

/** Which yarn it is, and how much of it there is. */
export function YarnPart({ yarn, onChange, onTake }: Props) {
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
            onTake(found ? fromBox(found[1].body) : nameless(yarn));
          }}
        />
      </FieldRow>
      <FieldRow>
        <NumberField
          label="Yarn you have"
          amount={massWith(yarn.ballGrams)}
          value={yarn.gramsLeft}
          min={0}
          max={100_000}
          help="In grams, ounces or balls: is it enough?"
          onChange={(gramsLeft) => onChange({ ...yarn, gramsLeft })}
          onClear={() => onChange(unweighed(yarn))}
        />
        <NumberField
          label="Strands held together"
          value={yarn.strands ?? 1}
          min={1}
          max={12}
          whole
          isDefault={yarn.strands === undefined}
          onChange={(strands) => onChange({ ...yarn, strands })}
          onClear={() => {
            const { strands: _one, ...rest } = yarn;
            onChange(rest);
          }}
        />
      </FieldRow>
      {inBox ? null : <YarnFields yarn={yarn} onChange={onChange} />}
      {inBox || !name ? null : <Action onPress={() => add('yarns', { name, yarn })}>Save this yarn</Action>}
    </>
  );
}

/** Another yarn, still to be named: as thick as the one before until it is said otherwise. */
function nameless({ metresPer100g, category, wrapsPerInch }: YarnSpec): YarnSpec {
  if (metresPer100g !== undefined) return { metresPer100g };
  return category === undefined ? { wrapsPerInch: wrapsPerInch! } : { category };
}

function fromBox({ yarn, gramsLeft }: YarnRecord): YarnSpec {
  return gramsLeft === undefined ? yarn : { ...yarn, gramsLeft };
}
