import { derive } from '../../base/figure';
import { LONGEST_MM, type LengthField } from '../../base/units';
import { sizesInWords, type ThingDefinition, type ThingSpec, type WorkedThing } from './definition';
import { depthOf, figureOf, measureFigure, SOFT, type Measure } from './measure';
import { boxOutline } from './outline';

const measures: readonly LengthField[] = [
  {
    key: 'width',
    kind: 'length',
    label: 'Width',
    help: 'Folded, at the widest.',
    min: 1,
    max: LONGEST_MM,
  },
  { key: 'height', kind: 'length', label: 'Height', help: 'The way they go in.', min: 1, max: LONGEST_MM },
  { key: 'depth', kind: 'length', label: 'Depth', help: 'Folded, at the thickest.', min: 1, max: LONGEST_MM },
  {
    key: 'girth',
    kind: 'length',
    label: 'Circumference by tape',
    help: 'If you can: a tape round the widest place is surer than width and depth.',
    min: 3,
    max: LONGEST_MM,
    optional: true,
  },
];

/** How square folded glasses are in section: 2 is an ellipse, more is squarer (prior, handbook 1). */
const EXPONENT = 2.5;

/** Steps round a quarter of the section; the length is right to a thousandth from here on. */
const STEPS = 96;

/**
 * Round a superellipse `|2x/W|^p + |2y/D|^p = 1`, in the unit of W and D (law, as a sum of chords short enough to be
 * right to 0.1 %).
 *
 * @param p 2 for an ellipse; the larger, the nearer to a rectangle
 */
export function superellipseGirth(W: number, D: number, p: number = EXPONENT): number {
  const at = (step: number): [number, number] => {
    const angle = (step / STEPS) * (Math.PI / 2);
    return [(W / 2) * Math.cos(angle) ** (2 / p), (D / 2) * Math.sin(angle) ** (2 / p)];
  };
  let quarter = 0;
  for (let step = 0; step < STEPS; step += 1) {
    const [x, y] = at(step);
    const [nextX, nextY] = at(step + 1);
    quarter += Math.hypot(nextX - x, nextY - y);
  }
  return 4 * quarter;
}

/** Folded glasses: round by tape where a tape was laid, else the superellipse of width and depth (handbook 1). */
function work(given: ThingSpec): WorkedThing {
  const width = figureOf(given, 'width');
  const height = figureOf(given, 'height');
  const depth = depthOf(given);
  const taped = given.girth as Measure | undefined;
  const girth = taped
    ? measureFigure({ by: 'tape', ...taped })
    : derive('mm', 'g, round the section (2x/W)^2.5 + (2y/D)^2.5 = 1', { W: width, D: depth }, (v) =>
        superellipseGirth(v.W, v.D),
      );
  const corner = Math.min(width.value, height.value) / 4;
  return {
    profile: 'flat',
    getsWet: false,
    givesWay: Number(given.soft ?? 0) > 0,
    hazards: [],
    girth,
    height,
    width,
    depth,
    corner,
    pockets: 1,
    advice: [],
  };
}

export const spectacles: ThingDefinition = {
  id: 'spectacles',
  name: 'Glasses, folded',
  examples: 'reading glasses, sunglasses, a chart loupe',
  measures,
  numbers: [SOFT],
  usually: { girth: 'tape' },
  profile: 'flat',
  start: {
    word: 'Case',
    shape: { kind: 'strip-across' },
    fit: { name: 'snug' },
    fittings: [{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 15 }],
    low: [
      { underMm: 45, fittings: [{ kind: 'flap' }] },
      { underMm: 65, fittings: [{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 12 }] },
    ],
  },
  sketch: {
    outline:
      'M30 8H58Q66 8 66 16V82Q66 90 58 90H30Q22 90 22 82V16Q22 8 30 8ZM31 30a13 13 0 1 0 26 0a13 13 0 1 0 -26 0M31 68a13 13 0 1 0 26 0a13 13 0 1 0 -26 0M66 90L80 76V20Q80 14 74 12',
    tape: {
      width: 'M22 90H66',
      height: 'M22 8V90',
      depth: 'M66 90L80 76',
      girth: 'M22 49Q44 60 66 49L80 38',
    },
  },
  check: () => [],
  work,
  outline: ({ width, height, corner }) => boxOutline(width.value, height.value, corner),
  inWords: sizesInWords,
};
