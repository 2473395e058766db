import { derive, type Figure } from '../../base/figure';
import { LONGEST_MM, type ChoiceField, type LengthField } from '../../base/units';
import type { GoesWith } from './goesWith';
import type { Sketch } from './definition';
import type { Hazard } from './hazards';
import type { Measure } from './measure';
import { figureOf, mmOf } from './measure';

/** What carries the finished piece, as a plan writes it: a bar it hangs over, or a body it hangs from. */
export interface CarrierSpec {
  kind: 'bar' | 'body';
  section?: 'round' | 'flat';
  [measure: string]: Measure | string | undefined;
}

/** Asked of every such carrier, or of one of that section alone. */
type CarrierMeasure = LengthField & { of?: BarSection };

export type BarSection = NonNullable<CarrierSpec['section']>;

interface CarrierDefinition {
  id: CarrierSpec['kind'];
  name: string;
  examples: string;
  /** What a plan's summary says: "on a bar". */
  on: string;
  /** What is asked before its measures, where they depend on it. */
  asksFirst?: ChoiceField;
  measures: readonly CarrierMeasure[];
  /** What besides lengths is said of it. */
  choices?: readonly ChoiceField[];
  sketch?: Sketch;
  /** A first guess, to be measured at once. */
  start: CarrierSpec;
  /** What usually goes with it, proposed where it is missing. */
  goesWith: GoesWith;
  hazards: (carrier: CarrierSpec) => readonly Hazard[];
}

const length = (key: string, label: string, help: string, optional = true): LengthField => ({
  key,
  kind: 'length',
  label,
  help,
  min: 0,
  max: LONGEST_MM,
  optional,
});

const of = (section: BarSection, field: LengthField): CarrierMeasure => ({ ...field, of: section });

/** What pieces are carried by (handbook 1). */
export const CARRIERS: readonly CarrierDefinition[] = [
  {
    id: 'bar',
    name: 'A bar or an arm',
    examples: 'hide rail, walking frame, pushchair, bed rail, chair or sofa arm',
    on: 'a bar',
    start: { kind: 'bar', dropFront: { mm: 100 }, dropBack: { mm: 100 } },
    asksFirst: {
      key: 'section',
      kind: 'choice',
      label: 'What it hangs over is',
      options: [
        { id: 'round', name: 'round: a rail, a frame' },
        { id: 'flat', name: 'flat on top: a chair or sofa arm' },
      ],
      default: 'round',
    },
    goesWith: { shape: 'saddle', because: 'It hangs over the bar with a pocket on each side.' },
    hazards: (carrier) => (isFlat(carrier) ? ['equipment', 'above-sleepers'] : ['equipment']),
    sketch: {
      outline: 'M36 30a14 14 0 1 0 28 0a14 14 0 1 0 -28 0M31 66V30a19 19 0 0 1 38 0V78',
      tape: {
        diameter: 'M36 30H64',
        width: 'M36 30H64',
        thickness: 'M50 16V44',
        dropFront: 'M80 30V78',
        dropBack: 'M20 30V66',
      },
    },
    measures: [
      of('round', length('diameter', 'Bar diameter', 'Across it, at its thickest.')),
      of('flat', length('width', 'Arm width', 'Across its top.')),
      of('flat', length('thickness', 'Arm thickness', 'How deep its edge is: a hand gets in below it.')),
      length(
        'dropFront',
        'Drop in front',
        'From the bar’s middle, or the arm’s top, down to the pocket’s opening.',
        false,
      ),
      length('dropBack', 'Drop behind', 'The same on the other side.', false),
    ],
  },
  {
    id: 'body',
    name: 'The body',
    examples: 'over the shoulder, around the wrist, in the hand',
    on: 'the body',
    start: { kind: 'body', loop: { mm: 1100, by: 'tape' }, loopIs: 'edge-to-edge' },
    goesWith: { fitting: 'strap', because: 'Something has to go over the shoulder or the wrist.' },
    hazards: () => [],
    measures: [
      length('loop', 'Loop', 'Where the strap runs: by tape, or by a chain held there.', false),
      length('wrist', 'Wrist circumference', 'For a strap around the wrist.'),
      length('hand', 'Around the knuckles', 'Across the knuckles, for what a hand must pass.'),
    ],
    choices: [
      {
        key: 'loopIs',
        kind: 'choice',
        label: 'The loop was measured',
        options: [
          { id: 'edge-to-edge', name: 'from one edge of the piece to the other' },
          { id: 'closed', name: 'all round, the piece’s own width with it' },
        ],
        default: 'closed',
      },
    ],
  },
];

/** The definition of what carries a piece, by its kind. */
export function carrierDefinition(kind: CarrierSpec['kind']): CarrierDefinition {
  return CARRIERS.find(({ id }) => id === kind) as CarrierDefinition;
}

export interface WorkedBar {
  /** From pocket's mouth over the bar to the other pocket's mouth, along the middle of the fabric, mm. */
  span: (t: Figure<'mm'>) => Figure<'mm'>;
  dropFront: Figure<'mm'>;
  dropBack: Figure<'mm'>;
  /** How far the bar itself reaches down beside the pockets, mm: a flat arm's edge. */
  edgeMm: number;
  /** The way over the bar alone. */
  over: (t: Figure<'mm'>) => Figure<'mm'>;
}

/**
 * The way over a bar: `π(b + t)/2` round a round one, drops measured from its middle; `arm + πt/2` over a flat one, drops
 * measured from its top (law, handbook 5.8).
 */
export function workBar(carrier: CarrierSpec): WorkedBar {
  const dropFront = figureOf(carrier, 'dropFront');
  const dropBack = figureOf(carrier, 'dropBack');
  const over = (t: Figure<'mm'>): Figure<'mm'> =>
    isFlat(carrier)
      ? derive('mm', 'over = arm + πt/2', { arm: figureOf(carrier, 'width'), t }, (v) => v.arm + (Math.PI * v.t) / 2)
      : derive('mm', 'over = π(b + t)/2', { b: figureOf(carrier, 'diameter'), t }, (v) => (Math.PI * (v.b + v.t)) / 2);
  return {
    dropFront,
    dropBack,
    edgeMm: isFlat(carrier) ? (mmOf(carrier, 'thickness') ?? 0) : 0,
    over,
    span: (t) =>
      derive(
        'mm',
        'span = drop in front + over + drop behind',
        { front: dropFront, over: over(t), behind: dropBack },
        (v) => v.front + v.over + v.behind,
      ),
  };
}

/** Whether a bar is round or flat: as it is said, else a round one has a diameter and a flat one a width. */
export function sectionOf(carrier: CarrierSpec): BarSection | undefined {
  if (carrier.section) return carrier.section;
  if (mmOf(carrier, 'diameter') !== undefined) return 'round';
  return mmOf(carrier, 'width') === undefined ? undefined : 'flat';
}

/** Whether it is said, or seen from its measures, to be a flat arm. */
export const isFlat = (carrier: CarrierSpec): boolean => sectionOf(carrier) === 'flat';

/** The measures that are asked of a carrier as it is: none that would change nothing. */
export function measuresOf(carrier: CarrierSpec): readonly LengthField[] {
  const { measures, asksFirst } = carrierDefinition(carrier.kind);
  const section = sectionOf(carrier);
  if (asksFirst && !section) return [];
  return measures.filter((field) => field.of === undefined || field.of === section);
}

/**
 * What has to be said of a bar before anything can go over it.
 * @returns nothing where all of it is
 */
export function barFault(carrier: CarrierSpec | undefined): { path: string; message: string } | undefined {
  if (carrier?.kind !== 'bar')
    return { path: 'carrier', message: 'What does it hang over? Choose a bar or an arm, and measure it.' };
  const section = sectionOf(carrier);
  if (!section) return { path: 'carrier.section', message: 'Is it round, or flat on top? Say which, and measure it.' };
  const key = section === 'flat' ? 'width' : 'diameter';
  if (mmOf(carrier, key) !== undefined) return undefined;
  return {
    path: `carrier.${key}`,
    message:
      section === 'flat' ? 'How wide is the arm? Measure across its top.' : 'How thick is the bar? Measure across it.',
  };
}
