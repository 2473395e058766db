import { massWith, withUnit, type YarnSpec } from '@keep-snug/core';
import type { YarnRecord } from '@keep-snug/core/documents';
import type { ReactNode } from 'react';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { Pick } from '@/ui/fields/Pick';
import { useLibrary, useShelf } from '@/data/library';
import { Fold } from '@/ui/layout/Fold';
import { MoreYarnFields, WeightPick } from '@/ui/fields/YarnFields';
import { useYarnInBox, unweighed } from '../../../reading/useYarnInBox';

const NEW = '';

interface Props {
  yarn: YarnSpec;
  onChange: (yarn: YarnSpec) => void;
  /** Another yarn is taken: what was measured of the one before says nothing of it. */
  onTake: (yarn: YarnSpec) => void;
  /** What else may be said of it. */
  children?: ReactNode;
}

/** Which yarn it is, and how much of it there is; the rest of it behind a press. */
export function YarnPart({ yarn, onChange, onTake, children }: Props) {
  const yarns = useShelf('yarns');
  const inBox = useYarnInBox(yarn);
  const add = useLibrary((state) => state.add);
  const name = yarn.name?.trim() ?? '';
  return (
    <>
      <FieldRow>
        {yarns.length > 0 ? (
          <Pick
            label="Yarn"
            value={inBox?.id ?? NEW}
            options={[...yarns.map(([id, { body }]) => ({ id, name: body.name })), { id: NEW, name: 'another yarn' }]}
            onChange={(id) => {
              const found = yarns.find(([key]) => key === id);
              onTake(found ? fromBox(found[1].body) : nameless(yarn));
            }}
          />
        ) : null}
        {inBox ? null : <WeightPick yarn={yarn} onChange={onChange} />}
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
      </FieldRow>
      <Fold title="More about this yarn" says={yarnInALine(yarn)}>
        {inBox ? null : <MoreYarnFields yarn={yarn} onChange={onChange} />}
        <FieldRow>
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
        {inBox || !name ? null : <Action onPress={() => add('yarns', { name, yarn })}>Save this yarn</Action>}
        {children}
      </Fold>
    </>
  );
}

/** What is said of a yarn besides its name and its thickness. */
function yarnInALine({ name, fibre, metresPer100g, strands = 1, runs = [] }: YarnSpec): string {
  const parts = [
    name,
    fibre,
    metresPer100g === undefined ? undefined : withUnit(metresPer100g, 'm / 100 g', 1),
    strands > 1 ? `${strands} strands` : undefined,
    runs.length > 0 ? `${runs.length} colours along it` : undefined,
  ].filter(Boolean);
  return parts.length > 0 ? parts.join(', ') : 'name, length on the label, strands, fibre';
}

/** Another yarn, still to be named: as thick as the one before until it is said otherwise. */
function nameless({ metresPer100g, category, wrapsPerInch }: YarnSpec): YarnSpec {
  if (metresPer100g !== undefined) return { metresPer100g };
  return category === undefined ? { wrapsPerInch: wrapsPerInch! } : { category };
}

function fromBox({ yarn, gramsLeft }: YarnRecord): YarnSpec {
  return gramsLeft === undefined ? yarn : { ...yarn, gramsLeft };
}
