import { chosen, derive, measured } from '../../base/figure';
import { LONGEST_MM } from '../../base/units';
import { sizesInWords, type ThingDefinition, type ThingSpec, type WorkedThing } from './definition';
import { figureOf } from './measure';
import { boxOutline } from './outline';

/**
 * What has no shape of its own: only the bag's wanted flat width and height are given (handbook 1). The size is the
 * bag's, so that neither ease nor fabric is added to it.
 */
function work(given: ThingSpec): WorkedThing {
  const width = figureOf(given, 'width');
  const height = figureOf(given, 'height');
  const grams = given.massG as number | undefined;
  return {
    ...(grams === undefined ? {} : { mass: chosen(grams, 'g', 'weighed') }),
    profile: 'given',
    getsWet: false,
    hazards: [],
    girth: derive('mm', 'g = 2W, the bag’s own', { W: width }, (v) => 2 * v.W),
    height,
    width,
    depth: measured(0, 'mm', 0, 'laid flat'),
    corner: Math.min(width.value, height.value) / 6,
    pockets: 0,
    advice: [],
  };
}

export const loose: ThingDefinition = {
  id: 'loose',
  name: 'Loose things',
  examples: 'a gift, soap ends, cards, yarn tails',
  measures: [
    { key: 'width', kind: 'length', label: 'Bag width', help: 'As it lies flat.', min: 10, max: LONGEST_MM },
    { key: 'height', kind: 'length', label: 'Bag height', help: 'Bottom to opening.', min: 10, max: LONGEST_MM },
  ],
  numbers: [{ key: 'massG', kind: 'number', label: 'Weight', unit: 'g', min: 0, max: 50_000, optional: true }],
  profile: 'given',
  start: {
    word: 'Bag',
    shape: { kind: 'round-chain' },
    fit: { name: 'roomy' },
    fittings: [],
  },
  sketch: {
    outline: 'M22 30H76V90H22ZM22 30Q49 18 76 30M36 30V40M49 30V44M62 30V40',
    tape: {
      width: 'M22 90H76',
      height: 'M22 30V90',
    },
  },
  check: () => [],
  work,
  outline: ({ width, height, corner }) => boxOutline(width.value, height.value, corner),
  inWords: sizesInWords,
};
