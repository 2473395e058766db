import type { WorkedFabric } from '../craft/fabric';
import type { WorkedFit } from '../craft/fit';
import type { DemandContext, FittingDefinition, Placed, Notion } from '../fittings';
import type { Schools, Step } from '../pattern';
import type { Plan } from '../plan/plan';
import type { Built, PocketDepth, ShapeContext, ShapeDefinition, Choice, Piece, View } from '../shapes';
import type { WorkedThing } from '../craft/things';
import type { Caution } from '../craft/cautions';
import { type ColourNeed, type YarnNeed, type YarnShare } from './supplies';
import type { Advice, Figure } from '../base/figure';
import type { HuedRows } from './hues';
import type { Band } from '../piece';

/** What of a plan does not hang on the counts picked for it: worked out once for all of them. */
export interface Prepared {
  plan: Plan;
  shape: ShapeDefinition;
  schools: Schools;
  /** What the shape is built from, but for the picks. */
  context: Omit<ShapeContext, 'picks'>;
  asked: { definition: FittingDefinition; context: DemandContext }[];
}

/** Everything of a plan that has a size, before any of it is put into words. */
export interface WorkedOut {
  shape: ShapeDefinition;
  thing: WorkedThing;
  fabric: WorkedFabric;
  fit: WorkedFit;
  schools: Schools;
  /** Yarn, stitch and colours as they are asked for. */
  spec: Plan['fabric'];
  built: Built;
  placed: (Placed & { definition: FittingDefinition })[];
}

type Mm = Figure<'mm'>;

/** A piece as it is told: without what only the reckoning needs of it. */
export type WorkedPiece = Omit<Piece, 'courses' | 'reach' | 'fabric' | 'notes' | 'bands'> & {
  /** Where it is of several stitches: which, from which course to which. */
  bands?: (Omit<Band, 'fabric'> & { stitch: string })[];
  /** How its rows look from the first on, where that is known. */
  hues?: readonly HuedRows[];
};

/** A gauge with the stitch it is of, and the way that is worked. */
export interface WorkedGauge {
  stitch: string;
  worked: 'rows' | 'rounds';
  hookMm: number;
  stitchWidth: Mm;
  rowHeight: Mm;
  /** Nothing of the piece is worked in it: its bands are all in others. */
  unused?: true;
}

/** What a plan comes to: sizes, counts, positions, steps and drawings, all reckoned and nothing stored. */
export interface Worked {
  format: typeof WORKED_FORMAT;
  title: string;
  thing: { girth: Mm; width: Mm; height: Mm; depth: Mm };
  fabric: {
    stitchWidth: Mm;
    rowHeight: Mm;
    chain: Mm;
    thickness: Mm;
    cover: Figure<'1'>;
    /** How the swatch was finished before it was measured, where it was: the piece is finished like it. */
    finishedAs?: 'blocked' | 'washed';
  };
  /** Every gauge the plan is worked at: of its own stitch first, of what was measured besides, and of what else much is worked in. */
  gauges: WorkedGauge[];
  pieces: WorkedPiece[];
  inside: { girth: Mm; depth: Mm };
  outside: { width: Mm; height: Mm; thickness: Mm };
  /** What the whole counts leave round and above the thing: inside size less thing size. */
  ease: { girth: Mm; cover: Mm };
  /** What the fit asked for, before counts were whole. */
  wanted: { girth: Mm; cover: Mm };
  choices: Choice[];
  /** Of several pockets each by its name, with the courses that go up it, and how deep it is inside; else none. */
  pockets: readonly PocketDepth[];
  /** What lies in a room of its own, by name, where it has several: each can sit otherwise than its neighbour. */
  rooms: string[];
  /**
   * `canBeColoured`: it is worked beside the piece’s rows, so that it may have a colour of its own; `hasTop`: the rows it lies in may.
   */
  fittings: { kind: string; figures: Record<string, Figure>; place: string; canBeColoured: boolean; hasTop: boolean }[];
  supplies: {
    yarn: YarnNeed;
    byColour: ColourNeed[];
    /** Of each yarn, where several are held together. */
    byYarn: YarnShare[];
    time: Figure<'min'>;
    stitches: number;
    notions: Notion[];
  };
  advice: Advice[];
  cautions: Caution[];
  steps: Step[];
  views: View[];
}

/** The views of a plan and the choices to be made in them. */
export type PickedPlan = Pick<Worked, 'views' | 'choices'>;

export const WORKED_FORMAT = 'keep-snug.worked/1';
