import type { Instruction, WorkedFabric } from '../craft/fabric';
import type { Advice, Figure } from '../base/figure';
import type { Room, Want, WorkedFit } from '../craft/fit';
import type { RawEdge } from '../piece';
import type { Notion, Built, Demands, Offer, Part, Piece, ShapeSchools, View, WorkStep } from '../shapes';
import type { CarrierSpec, Hazard, Say, WorkedThing } from '../craft/things';
import type { Field, FieldValue, FieldValues } from '../base/units';

/** A fitting as a plan writes it. */
export interface FittingSpec {
  kind: string;
  [option: string]: FieldValue | undefined;
}

export interface DemandContext {
  /** The plan's entry, as `fittings[1]`, for faults. */
  path: string;
  options: FieldValues;
  /** All fittings of the plan, by their kinds. */
  beside: readonly string[];
  /** What the fittings of the plan give to each other. */
  gifts: readonly Gift[];
  /** How many rounds below a mouth openings of the plan's fittings reach down; 0 where there are none. */
  opens: number;
  /** How many ends of a cord hang free; 0 where none does. */
  cordEnds: number;
  /** Whether a fitting of the plan closes a flap. */
  closesFlap: boolean;
  thing: WorkedThing;
  fabric: WorkedFabric;
  fit: WorkedFit;
  carrier?: CarrierSpec;
}

export interface FittingContext extends DemandContext {
  shape: string;
  built: Built;
  schools: ShapeSchools;
}

export type { Notion };

/** A place a fitting takes up on a face, mm from its left and top edge; two of them must not overlap. */
export interface Area {
  face: 'front' | 'back' | 'flap' | 'mouth';
  x: readonly [from: number, to: number];
  y: readonly [from: number, to: number];
}

/** A fitting in its place on the piece. */
export interface Placed {
  /** Lengths and counts by name, each with its workings. */
  figures: Record<string, Figure>;
  /** Where it is, in words with tokens; mm and counts both. */
  place: string;
  /** Rows it changes: the new instructions, by piece and row. */
  rows: { piece: string; row: number; instructions: Instruction[]; ends?: number }[];
  /**
   * A loop of chains at the middle of an edge, at another share of it, or at a corner: in its last row, or in the last border worked there, where
   * the step is left out that joins it on by itself.
   */
  loop?: {
    piece: string;
    edge: RawEdge | 'corner';
    corner?: Built['topCorner'];
    chains: number;
    step: string;
    share?: number;
  };
  /** What to do in a row, beside working it. */
  notes?: { piece: string; row: number; text: string }[];
  /** The rows of a piece that are its top: they may be in a colour of their own. */
  top?: { piece: string; from: number; to: number };
  /** Pieces made for it: pockets, loops, straps. */
  pieces?: Piece[];
  /** Steps beside the shape's own. */
  steps: WorkStep[];
  /** What it adds to each view. */
  parts: Partial<Record<View['id'], Part[]>>;
  advice: Advice[];
  areas?: Area[];
  /** Rooms it makes, each for one of several things (handbook 3). */
  rooms?: Room[];
  /** What it asks of the piece besides. */
  wants?: Want[];
  notions?: Notion[];
  /** What it brings with it as it is chosen. */
  hazards?: readonly Hazard[];
}

/** What one fitting gives that another cannot be without. */
export type Gift = 'flap' | 'cord' | 'pull';

export interface FittingDefinition {
  id: string;
  name: string;
  /** What it is for, in a line. */
  summary: string;
  options: readonly Field[];
  /** What a shape must offer for it; nothing for what goes on any. */
  asks: readonly Offer[];
  /** Why it asks that, in a sentence; needed where it asks anything. */
  because?: string;
  /** What another fitting must give for it. */
  needs?: Gift;
  /** What it gives to others. */
  gives?: Gift;
  /** Whether it holds the thing in though it has room: a looser fit is one then. */
  holdsIn?: true;
  /** Whether its loop grows under a load by an estimate, until a hang test or a finished one says by how much. */
  grows?: true;
  /** Cloth that is cut for it, by its figures `wide` and `long`: seam and turned top, mm, and what a size is cut to. */
  cloth?: { seam: number; top: number; toCut: (mm: number) => number };
  /** Whether it leaves the mouth nothing to be worked on. */
  coversMouth?: (options: FieldValues) => boolean;
  /** Whether it stands on the mouth itself. */
  onMouth?: true;
  /** How many ends of its cord hang free. */
  cordEnds?: (options: FieldValues) => number;
  /** How many rounds below the mouth what it leaves open reaches down. */
  opens?: (options: FieldValues) => number;
  /** Whether it closes a flap, which must then reach far enough to carry it. */
  closesFlap?: boolean;
  /** What it brings with it. */
  hazards?: readonly Hazard[];
  /** Its figures by name, as they are shown. */
  figures: Readonly<Record<string, string>> | ((key: string) => string);
  /** What to say of it in a plan's summary besides its name: "for a 20 mm button". */
  told?: (options: FieldValues, say: Say) => string;
  /** Room it asks of the shape. */
  demands?: (context: DemandContext) => Demands;
  /** @throws PlanProblem when it does not fit the piece */
  place: (context: FittingContext) => Placed;
}

/** A fitting that is nothing but room in the shape. */
export const NOTHING_PLACED: Omit<Placed, 'figures' | 'place'> = { rows: [], steps: [], parts: {}, advice: [] };
