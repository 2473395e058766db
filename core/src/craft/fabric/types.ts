import type { FieldValues } from '../../base/units';
import type { GaugeSpec } from './gauge';
import type { SequenceSpec } from './sequences/definition';
import type { Figure } from '../../base/figure';
import type { Hand, Rate, OwnRatio } from './estimate';
import type { StitchPattern } from './stitches';
import type { YarnSpec } from './yarn';

/** Part of a piece worked in its own stitch: so many courses, so many mm, or what the others leave (handbook 4.3). */
export interface BandSpec {
  stitch: string;
  pattern?: FieldValues;
  courses?: number;
  mm?: number;
  fill?: boolean;
  /** Another hook, from here to the band's end. */
  hookMm?: number;
  /** The colour it is worked in, by name. */
  colour?: string;
  /** Its own swatch; left out, it follows the fabric's by their factors. */
  gauge?: GaugeSpec;
}

/** A band made ready for one plan. */
export interface WorkedBand {
  fabric: WorkedFabric;
  /** Courses it always has; of the one that fills, none. */
  courses: number | undefined;
  pattern?: FieldValues;
  colour?: string;
  /** Where the hook is another than the plan's. */
  hookMm?: number;
  /** Its width was read across it on the piece: what holds it is in that already. */
  taped?: true;
}

/** A small amount of a yarn. */
export interface ScrapSpec {
  name: string;
  grams: number;
  hex?: string;
}

/** Stitch pattern, yarn, hook, and what was measured of them. */
export interface FabricSpec {
  stitch: string;
  /** What is set of the stitch pattern: chains of a net, rows of a stripe. */
  pattern?: FieldValues;
  hookMm: number;
  /** Another hook for foundation chains only. */
  chainHookMm?: number;
  yarn: YarnSpec;
  /** Different yarns held together, in its place. */
  yarns?: readonly YarnSpec[];
  /** A weighed swatch: its grams over its stitches give the yarn of a stitch. */
  weighed?: { grams: number; stitches: number };
  /** Colours in the order they are worked, each for so many rows, over and over. */
  colours?: readonly { name: string; rows: number }[];
  /** A rule for the colours of rows, in their place. */
  sequence?: SequenceSpec;
  /** What is done with the tails where a colour is changed; woven in where it is not said. */
  tails?: string;
  /** Pieces in a colour of their own, by the piece. */
  pieceColours?: Readonly<Record<string, string>>;
  /** Small amounts joined one after the other, in the order they are worked. */
  scraps?: readonly ScrapSpec[];
  gauge?: GaugeSpec;
  /** Parts of the first piece in their own stitches, one after the other. */
  bands?: readonly BandSpec[];
  /** The maker's own hand with such yarn, where it is known. */
  hand?: Hand;
  /** What the maker's own stitches take of yarn, where it is known. */
  yarnUse?: OwnRatio;
  /** How its swatch was finished before it was measured, where it was. */
  finishedAs?: 'blocked' | 'washed';
  /** How a strap of the maker's own grows under its load, where it is known. */
  strapGrowth?: OwnRatio;
  /** The maker's own pace, where it is known. */
  rate?: Rate;
}

export type WorkedIn = 'rows' | 'rounds';

export interface WorkedFabric {
  stitch: StitchPattern;
  worked: WorkedIn;
  /** As worked in this plan's main way: in turned rows, or in rounds. */
  stitchWidth: Figure<'mm'>;
  rowHeight: Figure<'mm'>;
  chain: Figure<'mm'>;
  thickness: Figure<'mm'>;
  /** Yarn diameter over stitch width: below about 0.30 a pouch sags. */
  cover: Figure<'1'>;
  /** Yarn diameter, mm. */
  yarn: Figure<'mm'>;
  hookMm: number;
  estimate: { stitchWidth: Figure<'mm'>; rowHeight: Figure<'mm'> };
  /** How its swatch was finished before it was measured, where it was. */
  finishedAs?: 'blocked' | 'washed';
  /** How a strap of the maker's own grows against what is usual, where that is known. */
  strapGrowth?: OwnRatio;
  /** Of a piece of several stitches, each with its own sizes; the sizes above then are those that count. */
  bands?: readonly WorkedBand[];
  /** What says the colours of its rows, where it is striped. */
  stripes?: Striped & {
    /** Whether every row is drawn by itself: a yarn that repeats. */
    eachRow?: boolean;
    /** Rows of a piece that say their own, whatever it is worked in. */
    tops?: readonly ColouredTop[];
  };
  /** The same yarn, hook and hand in another stitch, or worked the other way: always derived from the swatched fabric. */
  also: (stitch: string, worked: WorkedIn, options?: FieldValues) => WorkedFabric;
}

/** The upper rows of a piece in a colour of their own: those with its handles, or with its eyelets. */
export interface ColouredTop {
  piece: string;
  from: number;
  to: number;
  colour: string;
}

/** What says the colours of rows: so many of each in turn, or a rule. */
export type Striped = Pick<FabricSpec, 'colours' | 'sequence'>;
