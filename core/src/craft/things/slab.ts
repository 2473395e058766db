import { derive } from '../../base/figure';
import { LONGEST_MM, mostToken, typedToken, type ChoiceField, type LengthField } from '../../base/units';
import { sizesInWords, type ThingDefinition, type ThingSpec, type WorkedThing } from './definition';
import { boxOutline } from './outline';
import { depthOf, figureOf, mmOf, SOFT } from './measure';

const measures: readonly LengthField[] = [
  {
    key: 'width',
    kind: 'length',
    label: 'Width',
    help: 'Across the opening of the pouch.',
    min: 1,
    max: LONGEST_MM,
    usual: [20, 600],
  },
  {
    key: 'height',
    kind: 'length',
    label: 'Height',
    help: 'Length in the direction it slides in.',
    min: 1,
    max: LONGEST_MM,
    usual: [20, 600],
  },
  {
    key: 'depth',
    kind: 'length',
    label: 'Depth',
    help: 'Include the case or bumper.',
    usual: [0.5, 200],
    min: 0,
    max: LONGEST_MM,
  },
  {
    key: 'edgeRadius',
    kind: 'length',
    label: 'Edge radius',
    help: 'How round the long edges are; 0 is square.',
    min: 0,
    max: LONGEST_MM / 2,
    optional: true,
    default: 0,
  },
];

/**
 * Round a box whose four long edges are rounded: `g = 2(W + D) - (8 - 2π)r` (law, handbook 1). At r = 0 it is the
 * rectangle's perimeter, at r = D/2 the stadium's `2(W - D) + πD`.
 */
function work(given: ThingSpec): WorkedThing {
  const width = figureOf(given, 'width');
  const height = figureOf(given, 'height');
  const depth = depthOf(given);
  const round = figureOf(given, 'edgeRadius');
  // squeezed flatter than it is round, its edges are half circles
  const radius =
    round.value > depth.value / 2 ? derive('mm', 'r = D/2, squeezed', { D: depth }, (v) => v.D / 2) : round;
  const girth = derive(
    'mm',
    'g = 2(W + D) − (8 − 2π)r',
    { W: width, D: depth, r: radius },
    (v) => 2 * (v.W + v.D) - (8 - 2 * Math.PI) * v.r,
  );
  const hazards = charges(given, isPhone(width.value, height.value, depth.value)) ? (['charging'] as const) : [];
  return {
    profile: 'flat',
    getsWet: false,
    givesWay: Number(given.soft ?? 0) > 0,
    hazards,
    girth,
    height,
    width,
    depth,
    corner: radius.value,
    pockets: 1,
    advice: [],
  };
}

/** What is charged gets warm; unsaid, what has the size of a phone is one. */
const CHARGES: ChoiceField = {
  key: 'charges',
  kind: 'choice',
  label: 'Is it charged?',
  help: 'What is charged gets warm, and the pattern says so.',
  options: [
    { id: 'by-size', name: 'if it has the size of a phone' },
    { id: 'yes', name: 'yes' },
    { id: 'no', name: 'no' },
  ],
  default: 'by-size',
};

const charges = ({ charges: said }: ThingSpec, bySize: boolean): boolean => said === 'yes' || (said !== 'no' && bySize);

/** What has the size of a phone, mm: width, height, depth (prior, ours). */
const PHONE = { width: [55, 95], height: [110, 190], depth: [4, 22] } as const;

function isPhone(width: number, height: number, depth: number): boolean {
  const within = (mm: number, [low, high]: readonly [number, number]) => mm >= low && mm <= high;
  return within(width, PHONE.width) && within(height, PHONE.height) && within(depth, PHONE.depth);
}

function check(given: ThingSpec) {
  const radius = mmOf(given, 'edgeRadius') ?? 0;
  const depth = mmOf(given, 'depth') ?? 0;
  const width = mmOf(given, 'width') ?? depth;
  const [least, which] = width < depth ? [width, 'width'] : [depth, 'depth'];
  // a hair over is the sum's, not the maker's
  if (radius <= least / 2 + 1e-6) return [];
  return [
    {
      path: 'edgeRadius.mm',
      message: `${typedToken(radius)} is more than half the ${which} (${mostToken(least / 2)}). An edge cannot be rounder than that: make it ${mostToken(least / 2)} or less.`,
    },
  ];
}

export const slab: ThingDefinition = {
  id: 'slab',
  name: 'Flat and boxy',
  examples: 'phone, notebook, tissue packet, card, soap, remote control',
  measures,
  numbers: [SOFT],
  choices: [CHARGES],
  profile: 'flat',
  start: {
    word: 'Pouch',
    shape: { kind: 'strip-across' },
    fit: { name: 'snug' },
    fittings: [{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 20 }],
    low: [
      { underMm: 45, fittings: [{ kind: 'flap' }] },
      { underMm: 65, fittings: [{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 12 }] },
    ],
  },
  sketch: {
    outline: 'M18 30H66V90H18ZM18 30L34 14H82L66 30M82 14V74L66 90',
    tape: {
      width: 'M18 90H66',
      height: 'M18 30V90',
      depth: 'M66 90L82 74',
      edgeRadius: 'M18 46Q18 30 34 30',
    },
  },
  check,
  work,
  outline: ({ width, height, corner }) => boxOutline(width.value, height.value, corner),
  inWords: sizesInWords,
};
