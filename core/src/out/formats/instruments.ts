/** What measures or counts and is read by the line protocol `keep-snug.device/1` (handbook 12). */
export type InstrumentKind = 'calliper' | 'scale' | 'clicker';

export interface Instrument {
  id: string;
  kind: InstrumentKind;
  /** As it named itself. */
  name: string;
}

/** What a device said when its button was pressed: mm, grams, or nothing but the press. */
export interface InstrumentReading {
  id: string;
  kind: InstrumentKind;
  name: string;
  value: number | null;
}
