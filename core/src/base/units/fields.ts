/**
 * One description of an option or measure serves the plan's schema, the published JSON Schema and the editors on
 * screen, so that a new definition needs no other change.
 */
export type Field = LengthField | NumberField | ChoiceField | TextField | ChoicesField;

interface FieldBase {
  key: string;
  label: string;
  /** One line under the field: what to do, not what it is called. */
  help?: string;
  optional?: boolean;
  /** Seldom set: it stands behind a press, with its like. */
  refines?: true;
  /** Whether it changes anything beside what else is set; it is shown only then. Always where nothing is said. */
  when?: (values: FieldValues) => boolean;
}

/** A length in millimetres. */
export interface LengthField extends FieldBase {
  kind: 'length';
  min: number;
  max: number;
  /** Between these it is hardly ever questioned, mm (prior, ours). */
  usual?: readonly [low: number, high: number];
  default?: number;
}

export interface NumberField extends FieldBase {
  kind: 'number';
  unit: '%' | 'stitches' | 'rows' | 'rounds' | 'chains' | 'g' | 'ml' | '';
  whole?: boolean;
  min: number;
  max: number;
  default?: number;
}

export interface ChoiceField extends FieldBase {
  kind: 'choice';
  options: readonly { id: string; name: string }[];
  default: string;
}

/** Words of the maker's own. */
export interface TextField extends FieldBase {
  kind: 'text';
  max: number;
  /** Several lines of them. */
  lines?: true;
  default?: string;
}

/** Several of a list, in an order that matters, each as often as wanted. */
export interface ChoicesField extends FieldBase {
  kind: 'choices';
  options: readonly { id: string; name: string }[];
  most: number;
  default: readonly string[];
}

export type FieldValue = number | string | readonly string[];
export type FieldValues = Record<string, FieldValue | undefined>;

/** The longest length anything here is sized for, in mm: a sofa, not a sail. */
export const LONGEST_MM = 5000;

/**
 * Fills in the defaults of options that a plan leaves out.
 * @returns every default, overlaid by what the plan says
 */
export function withDefaults(fields: readonly Field[], given: FieldValues): FieldValues {
  const filled: FieldValues = {};
  for (const field of fields) filled[field.key] = given[field.key] ?? field.default;
  return filled;
}
