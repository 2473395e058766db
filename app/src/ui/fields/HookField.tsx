import { NumberField } from './NumberField';

/** The hook's size, mm: asked in the same words and within the same limits wherever it is asked. */
export function HookField({ value, onChange }: { value: number; onChange: (hookMm: number) => void }) {
  return (
    <NumberField
      label="Hook"
      unit="mm"
      value={value}
      min={0.5}
      max={40}
      onChange={onChange}
      help="The size in mm printed on it."
    />
  );
}
