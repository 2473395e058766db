import type { BatchRecord } from '../../make/batches';
import type { SwatchSpec, YarnSpec } from '../../craft/fabric';
import type { Make } from '../../make/log';
import type { Plan } from '../../plan/plan';
import type { HoursSpec } from '../../make/sittings';
import type { ThingSpec } from '../../craft/things';

export type { Instrument, InstrumentKind, InstrumentReading } from './instruments';

/** A measured thing on the shelf, to be used by any number of plans. */
export interface ThingRecord {
  name: string;
  thing: ThingSpec;
}

/** A yarn in the box. */
export interface YarnRecord {
  name: string;
  yarn: YarnSpec;
  /** Grams in the house. */
  gramsLeft?: number;
  /** Grams that makes took of it, by the id of each. */
  taken?: Readonly<Record<string, number>>;
}

/** A swatch: what one yarn measured on one hook in one stitch. */
export interface SwatchRecord extends SwatchSpec {
  name: string;
  yarn: string;
}

export interface Documents {
  plans: Plan;
  things: ThingRecord;
  yarns: YarnRecord;
  swatches: SwatchRecord;
  makes: Make;
  /** The hours a house has: one document. */
  hours: HoursSpec;
  batches: BatchRecord;
}

export type DocumentKind = keyof Documents;

/** Every kind of document that is kept. */
export const DOCUMENT_KINDS: readonly DocumentKind[] = [
  'plans',
  'things',
  'yarns',
  'swatches',
  'makes',
  'hours',
  'batches',
];
