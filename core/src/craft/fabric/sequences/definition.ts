import type { Field, FieldValue } from '../../../base/units';

/** A rule by which the rows of a piece take their colours, in place of so many rows of each in turn. */
export interface SequenceSpec {
  by: string;
  /** The colours by name, each with its part where the rule asks for one. */
  colours: readonly { name: string; part?: number }[];
  [option: string]: FieldValue | readonly { name: string; part?: number }[] | undefined;
}

/** One rule. */
export interface SequenceDefinition {
  id: string;
  /** As it is chosen. */
  name: string;
  help: string;
  /** What each colour has a part in; nothing where all are alike. */
  part?: { label: string; unit: string; least: number; most: number; first: number };
  options: readonly Field[];
  /**
   * The colour of every row.
   * @param ends stitches each row ends on
   */
  names: (spec: SequenceSpec, ends: readonly number[]) => string[];
}
