import { CATEGORIES, isBlank, upTo, type YarnSpec } from '@keep-snug/core';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from './NumberField';
import { Pick } from './Pick';
import { TextField } from './TextField';
import { useSettings } from '@/data/settings';
import { YarnageField } from './YarnageField';

interface Props {
  yarn: YarnSpec;
  onChange: (yarn: YarnSpec) => void;
  nameError?: string | undefined;
  thicknessError?: string | undefined;
}

const UNKNOWN = '';
const FIBRES = ['cotton', 'linen', 'hemp', 'wool', 'alpaca', 'acrylic', 'polyamide', 'mixed'];

/** What tells how thick a yarn is: any one of them is enough. */
const THICKNESS = ['category', 'metresPer100g', 'wrapsPerInch'] as const;

/** Whether anything is known of how thick a yarn is. */
export const isSized = (yarn: YarnSpec) => THICKNESS.some((key) => yarn[key] !== undefined);

/** A yarn without one of its facts; as it is where that is all that tells how thick it is. */
function without(yarn: YarnSpec, key: keyof YarnSpec): YarnSpec {
  const { [key]: _gone, ...rest } = yarn;
  return isSized(yarn) && !isSized(rest) ? yarn : rest;
}

/** Name, thickness by whichever of three is at hand, fibre. */
export function YarnFields({ yarn, onChange, nameError, thicknessError }: Props) {
  const terms = useSettings((state) => state.terms);
  const put = (change: Partial<YarnSpec>) => onChange({ ...yarn, ...change });
  const fibres = yarn.fibre && !FIBRES.includes(yarn.fibre) ? [yarn.fibre, ...FIBRES] : FIBRES;
  return (
    <FieldRow>
      <TextField
        label="Yarn name"
        value={yarn.name ?? ''}
        error={nameError}
        onChange={(name) => (isBlank(name) ? onChange(without(yarn, 'name')) : put({ name: upTo(name, 120) }))}
      />
      <Pick
        label="Weight"
        value={yarn.category === undefined ? UNKNOWN : String(yarn.category)}
        options={[
          { id: UNKNOWN, name: 'not known' },
          ...CATEGORIES.map(({ id, name }) => ({ id: String(id), name: `${name[terms]} (${id})` })),
        ]}
        onChange={(id) => (id === UNKNOWN ? onChange(without(yarn, 'category')) : put({ category: Number(id) }))}
        hint={thicknessError ?? 'Weight, metres or wraps: any one of them is enough.'}
      />
      <YarnageField yarn={yarn} onChange={put} onClear={() => onChange(without(yarn, 'metresPer100g'))} />
      <NumberField
        label="One ball weighs"
        unit="g"
        value={yarn.ballGrams}
        min={1}
        max={5000}
        help="Then amounts can be typed in balls."
        onChange={(ballGrams) => put({ ballGrams })}
        onClear={() => onChange(without(yarn, 'ballGrams'))}
      />
      <NumberField
        label="Wraps per inch"
        value={yarn.wrapsPerInch}
        min={1}
        max={100}
        help="Wound side by side around a ruler."
        onChange={(wrapsPerInch) => put({ wrapsPerInch })}
        onClear={() => onChange(without(yarn, 'wrapsPerInch'))}
      />
      <Pick
        label="Fibre"
        value={yarn.fibre ?? UNKNOWN}
        options={[{ id: UNKNOWN, name: 'not known' }, ...fibres.map((id) => ({ id, name: id }))]}
        onChange={(fibre) => (fibre === UNKNOWN ? onChange(without(yarn, 'fibre')) : put({ fibre }))}
      />
    </FieldRow>
  );
}
