import { CATEGORIES, isBlank, upTo, type YarnSpec } from '@keep-snug/core';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from './NumberField';
import { Pick } from './Pick';
import { TextField } from './TextField';
import { useSettings } from '@/data/settings';
import { YarnageField } from './YarnageField';
import { YarnColourField } from './YarnColourField';

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

/** How thick a yarn is, as labels say it. */
export function WeightPick({ yarn, onChange, thicknessError }: Omit<Props, 'nameError'>) {
  const terms = useSettings((state) => state.terms);
  return (
    <Pick
      label="Weight"
      value={yarn.category === undefined ? UNKNOWN : String(yarn.category)}
      options={[
        { id: UNKNOWN, name: 'not known' },
        ...CATEGORIES.map(({ id, name }) => ({ id: String(id), name: `${name[terms]} (${id})` })),
      ]}
      onChange={(id) => onChange(id === UNKNOWN ? without(yarn, 'category') : { ...yarn, category: Number(id) })}
      hint={thicknessError ?? 'Weight, metres or wraps: any one of them is enough.'}
    />
  );
}

/** Name, thickness by whichever of three is at hand, fibre. */
export function YarnFields({ yarn, onChange, nameError, thicknessError }: Props) {
  return (
    <FieldRow>
      <NameLine yarn={yarn} onChange={onChange} nameError={nameError} />
      <WeightPick yarn={yarn} onChange={onChange} thicknessError={thicknessError} />
      <YarnColourField yarn={yarn} onChange={onChange} />
      <LabelFields yarn={yarn} onChange={onChange} />
    </FieldRow>
  );
}

function NameLine({ yarn, onChange, nameError }: Omit<Props, 'thicknessError'>) {
  return (
    <TextField
      label="Yarn name"
      value={yarn.name ?? ''}
      error={nameError}
      onChange={(name) => onChange(isBlank(name) ? without(yarn, 'name') : { ...yarn, name: upTo(name, 120) })}
    />
  );
}

/** What else its label says, where its thickness stands elsewhere. */
export function MoreYarnFields(props: Omit<Props, 'nameError' | 'thicknessError'>) {
  return (
    <FieldRow>
      <NameLine {...props} />
      <YarnColourField {...props} />
      <LabelFields {...props} />
    </FieldRow>
  );
}

function LabelFields({ yarn, onChange }: Omit<Props, 'nameError' | 'thicknessError'>) {
  const put = (change: Partial<YarnSpec>) => onChange({ ...yarn, ...change });
  const fibres = yarn.fibre && !FIBRES.includes(yarn.fibre) ? [yarn.fibre, ...FIBRES] : FIBRES;
  return (
    <>
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
    </>
  );
}
