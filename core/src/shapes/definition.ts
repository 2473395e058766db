import type { CountCondition, CountOption } from '../craft/counts';
import type { WorkedFabric } from '../craft/fabric';
import type { Landmark, Piece, RawEdge, Stretch, Work } from '../piece';
import type { Advice, Figure } from '../base/figure';
import type { FitModel, Verdict, WorkedFit } from '../craft/fit';
import type { CarrierSpec, Hazard, Profile, WorkedThing } from '../craft/things';
import type { Field, FieldValues } from '../base/units';
import type { View } from '../drawing';

export type { Course, Foundation, Piece, Section } from '../piece';

/** What the fittings of a plan ask the shape to leave room for. */
export interface Demands {
  /** `path` is the plan's entry that asks. */
  flap?: { path: string; overlapMm?: number; withClosure: boolean };
  /** How far what closes a flap reaches below its edge, mm. */
  belowFlap?: number;
  /** What the count across or round must obey besides the stitch's multiple. */
  conditions?: readonly CountCondition[];
  /** What lies side by side in it needs a face so wide at the least, with how it came about. */
  face?: Figure<'mm'>;
  /** What is worked on along the mouth, and makes it so much deeper, mm. */
  rim?: Figure<'mm'>;
}

/** The maker's habits that change what a shape writes. */
export interface ShapeSchools {
  rounds: 'joined' | 'spiral';
  turningChainCounts: boolean;
  foundation: 'chain' | 'stitches';
}

export interface ShapeContext {
  thing: WorkedThing;
  /** Gauged for the way this shape is worked. */
  fabric: WorkedFabric;
  fit: WorkedFit;
  options: FieldValues;
  demands: Demands;
  schools: ShapeSchools;
  carrier?: CarrierSpec;
  /** Counts the maker picked over the best ones, by the choice's id. */
  picks: Record<string, number>;
  /** Of pieces that are begun, by id: the stitches each course that is worked ends on. They stay as they are (handbook 8). */
  worked?: Readonly<Record<string, readonly number[]>>;
}

export interface ChoiceOption extends CountOption {
  /** Girth ease this count gives, mm and as a fraction of the girth. */
  easeMm: number;
  easeShare: number;
  verdict: Verdict;
  chosen: boolean;
}

export interface Choice {
  id: string;
  name: string;
  noun: string;
  /** The size wanted, mm, and how it came about. */
  askedMm: number;
  asked: Figure<'mm'>;
  options: ChoiceOption[];
  /** Wishes besides the stitch's own, and how many mm each puts the best count off. */
  costs: { text: string; mm: number; without: number }[];
  /** Wishes of fittings that a picked count does not meet. */
  broken?: string[];
}

/**
 * Something done besides rows. `text` may hold tokens: `{single}` and other stitch ids or craft words, which become
 * the chosen terms, and `{mm:62.3}`, which becomes the chosen unit.
 */
export interface WorkStep {
  id: string;
  section: string;
  kind: 'assembly' | 'closure' | 'finish';
  /** What is done as data, worded from it; for what makes no stitches its words. */
  does?: readonly Work[];
  text?: string;
  /** Done as soon as this piece is, before the next is begun. */
  after?: string;
  /** Goes on from its last course, before its yarn is cut. */
  goesOn?: boolean;
  check?: Check;
  /** Steps by id that come before it, where they are in the pattern. */
  follows?: readonly string[];
  /** What it is worked in, where that is said of it alone. */
  colour?: string;
  /** Minutes it takes (prior), where it is more than a row's tick. */
  minutes?: number;
  /** What it takes besides yarn. */
  notions?: readonly Notion[];
}

/** Something to have at hand besides yarn and hook. */
export interface Notion {
  name: string;
  size?: string;
  count: number;
}

/** What to look at, and what to do if it is wrong. */
export interface Check {
  look: string;
  repair: string;
  /** It is looked at before its step is done: what was cut cannot be cut again. */
  before?: true;
}

/** Where a flap comes to lie, for what sits on its edge. All mm but the counts. */
export interface FlapPlace {
  piece: string;
  /** Which of the piece's edges it is, where its work is data. */
  edge?: RawEdge;
  /** The row that becomes the flap's edge, and its stitches. */
  row: number;
  stitches: number;
  width: Figure<'mm'>;
  /** From the front's top edge down to the flap's edge, closed over the filled pouch. */
  edgeBelowFrontTop: Figure<'mm'>;
  /** How long the front is with what borders it, and how deep that is at its top edge, mm. */
  frontMm: number;
  borderMm: number;
}

/** The mouth of a tube worked upwards, for what is worked into its rounds. */
export interface MouthPlace {
  piece: string;
  /** What the rounds below it are worked in. */
  fabric: WorkedFabric;
  /** Rounds of that fabric and of one count, from the first to the last. */
  from: number;
  to: number;
  stitches: number;
  /** Its bottom lies flat one way, from the place where round 1 began to the one opposite: what sits on a face is counted from there. */
  lies?: 'flat';
}

/** A pocket of several: what it is called, the courses that go up it, and how deep it is inside. */
export interface PocketDepth {
  name: string;
  piece: string;
  courses: number;
  depth: Figure<'mm'>;
}

export interface Built {
  pieces: Piece[];
  /** Where it has several pockets of their own depths: each of them. */
  pockets?: readonly PocketDepth[];
  inside: { girth: Figure<'mm'>; depth: Figure<'mm'> };
  outside: { width: Figure<'mm'>; height: Figure<'mm'>; thickness: Figure<'mm'> };
  choices: Choice[];
  /** How the inside follows from gauge and thing, for the chance of fit. */
  model: FitModel;
  flap?: FlapPlace;
  mouth?: MouthPlace;
  /** Which corner of its first piece a loop at the corner hangs from, where an edging passes it; where that is, if not at the top right. */
  topCorner?: { edge: 'foundation' | 'last'; side: 'left' | 'right'; where?: Landmark };
  /** The edge of the back along its opening, where that is a row: what is worked into it sits in that row. */
  backEdge?: { piece: string; edge: RawEdge; row: number };
  /** The highest of its rounds that holes can be left in, where that is not the mouth: below a shoulder. */
  upright?: MouthPlace;
  assembly: WorkStep[];
  /** The way around the opening of the finished piece, for what is worked on it; or why nothing more goes there. */
  rim?: (() => readonly Stretch[]) | string;
  /** Whether the hook is at its beginning when the first piece is done, so that what is worked on it goes on from there. */
  rimGoesOn?: boolean;
  /** Where its opening is two edges that lie beside each other: each by itself. */
  lips?: () => readonly { path: readonly Stretch[] }[];
  views: View[];
  advice: Advice[];
  /** What it brings with it that someone should be warned of. */
  hazards?: readonly Hazard[];
}

/**
 * What a finished shape has that a fitting may ask for:
 * - `open-mouth`: front and back meet at an opening on top, to hang it by, to line, to edge
 * - `straight-mouth`: that opening has two straight edges that lie on each other
 * - `round-mouth`: it is worked in rounds, so that holes and handles can be left in it
 * - `turn-over`: its back can go on over the top as a flap
 * - `turn-over-rows`: and that flap ends in a row, in which a slot can be left
 * - `upright-columns`: two flat layers whose stitch columns run up to the mouth
 * - `flat-front`: a front to sew to while it lies open
 * - `free-back`: nothing is worked on its back
 * - `bundle`: it can be tied round
 */
export type Offer =
  | 'open-mouth'
  | 'straight-mouth'
  | 'round-mouth'
  | 'turn-over'
  | 'turn-over-rows'
  | 'upright-columns'
  | 'flat-front'
  | 'free-back'
  | 'bundle';

export interface ShapeDefinition {
  id: string;
  name: string;
  summary: string;
  /** What speaks for it, in a line. */
  why: string;
  worked: 'rows' | 'rounds';
  /** Options it is chosen with, where they are not what a plan that says nothing has. */
  begins?: FieldValues;
  /** The stitch it is always worked in, where that is not the plan’s. */
  stitch?: string;
  /** What its front is counted in, where it is folded off one strip: its folds are free until a side is joined (handbook 8). */
  foldedBy?: 'rows' | 'stitches';
  /** What runs around the thing: its stitches, or its rows one after the other where it is worked sideways. */
  around?: 'rows';
  options: readonly Field[];
  /** What a face is wider or narrower than its columns, mm: edgings beside them, less what a join takes. */
  besideColumns?: (context: Pick<ShapeContext, 'fabric' | 'options'>) => number;
  /** Whether its first piece can be of several bands, each in its own stitch. */
  bands?: boolean;
  /** Of every profile, whether it takes such things, or why not and what to do instead. */
  takes: Readonly<Record<Profile, true | string>>;
  /** What a fitting finds on it. */
  offers: readonly Offer[];
  /** What carries it, where it cannot be without. */
  needsCarrier?: CarrierSpec['kind'];
  /** Why it does not suit this thing after all, with what to do instead; undefined where it does. */
  unsuited?: (thing: WorkedThing) => string | undefined;
  /** What is to be known before it is chosen for a thing that it can be made for. */
  caveat?: (thing: WorkedThing) => string | undefined;
  build: (context: ShapeContext) => Built;
}
