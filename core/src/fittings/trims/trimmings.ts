import { chosen, derive, prior, type Figure } from '../../base/figure';
import { mostToken, typedToken } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { faceOf, frontOf, lengthOf, refuse } from '../common';

/** Yarn of a tassel: `2 × wraps × length + ties` (law, handbook 6). */
export function tasselYarn(wraps: Figure<'1'>, length: Figure<'mm'>): Figure<'mm'> {
  const tied = prior(300, 'mm', 0, 'to tie it twice');
  return derive(
    'mm',
    'yarn = 2 × wraps × length + ties',
    { wraps, length, tied },
    (v) => 2 * v.wraps * v.length + v.tied,
  );
}

/** Where a tassel hangs: in words, what it is sewn to, and how far across the front. */
const TASSEL_AT: Readonly<Record<string, { name: string; place: string; sew: string; x: number }>> = {
  bottom: {
    name: 'middle of the bottom',
    place: 'on the middle of the bottom',
    sew: 'to the middle of the bottom',
    x: 0.5,
  },
  corner: {
    name: 'a bottom corner',
    place: 'on the bottom {side:right} corner',
    sew: 'to the bottom {side:right} corner',
    x: 1,
  },
  side: {
    name: 'a side edge',
    place: 'on the {side:right} side edge, a row below the opening',
    sew: 'to the {side:right} side edge, a row below the opening',
    x: 1,
  },
  zip: {
    name: 'the zip’s pull',
    place: 'on the zip’s pull',
    sew: 'through the hole of the zip’s pull',
    x: 1,
  },
  flap: {
    name: 'middle of the flap’s edge',
    place: 'on the middle of the flap’s edge',
    sew: 'to the middle of the flap’s edge',
    x: 0.5,
  },
};

function placeTassel({ built, options, path, gifts }: FittingContext): Placed {
  const length = lengthOf(options.lengthMm, 'typed');
  const wraps = chosen(Number(options.wraps), '1', 'typed');
  const face = frontOf(built);
  if (length.value > 2 * face.height)
    refuse(
      `${path}.lengthMm`,
      `A tassel of ${typedToken(length.value)} would hang below twice the piece’s own height. Make it ${mostToken(2 * face.height)} or less.`,
    );
  const yarn = tasselYarn(wraps, length);
  const where = TASSEL_AT[String(options.at)] ?? TASSEL_AT.bottom!;
  if (options.at === 'zip' && !gifts.includes('pull'))
    refuse(`${path}.at`, 'There is no zip for it to hang from. Add a zip, or hang the tassel from the bottom.');
  if (options.at === 'flap' && !built.flap)
    refuse(`${path}.at`, 'A tassel on the flap’s edge needs a flap. Add a flap, or hang the tassel from the bottom.');
  return {
    figures: { yarn },
    place: where.place,
    rows: [],
    steps: [
      {
        id: 'make-tassel',
        section: 'finishing',
        kind: 'finish',
        does: [
          {
            do: 'sew',
            id: 'tassel',
            mm: yarn.value,
            says: `wrap ${wraps.value} times round a card {mm:${length.value}} high, tie it at the top, wind it below the head, cut the lower loops and trim. Sew it ${where.sew}.`,
          },
        ],
        minutes: 8,
      },
    ],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'cord',
          x1: face.x + where.x * face.width,
          y1: face.y + face.height,
          x2: face.x + where.x * face.width,
          y2: face.y + face.height + Math.min(length.value, 0.25 * face.height),
          label: 'tassel',
        },
      ],
    },
    advice: [],
  };
}

export const tassel: FittingDefinition = {
  id: 'tassel',
  name: 'Tassel',
  summary: 'Wound round a card, tied and trimmed.',
  asks: [],
  figures: { yarn: 'Yarn for it' },
  options: [
    { key: 'lengthMm', kind: 'length', label: 'Tassel length', min: 15, max: 300, default: 60 },
    { key: 'wraps', kind: 'number', label: 'Wraps', unit: '', whole: true, min: 5, max: 120, default: 25 },
    {
      key: 'at',
      kind: 'choice',
      label: 'Hangs from',
      options: Object.entries(TASSEL_AT).map(([id, { name }]) => ({ id, name })),
      default: 'bottom',
    },
  ],
  place: placeTassel,
};

/** From the edges to a tag, mm (ours). */
const TAG_IN_MM = 12;

function placeTag({ built, options }: FittingContext): Placed {
  const face = frontOf(built);
  const [wide, high] = [Number(options.widthMm), Number(options.heightMm)];
  const y = face.height - high - TAG_IN_MM;
  return {
    figures: { width: lengthOf(wide, 'typed'), height: lengthOf(high, 'typed') },
    place: `on the front, low at the {side:left}, {mm:${TAG_IN_MM}} from both edges`,
    rows: [],
    steps: [
      {
        id: 'sew-tag',
        section: 'finishing',
        kind: 'finish',
        does: [
          {
            do: 'sew',
            id: 'tag',
            mm: 0,
            open: true,
            at: [{ on: 'front', cornerMm: TAG_IN_MM, of: faceOf(built) }],
            says: `sew the tag ({mm:${wide}} × {mm:${high}}) {at}, through the front layer only.`,
          },
        ],
        minutes: 6,
      },
    ],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'seam',
          x1: face.x + 12,
          y1: face.y + y,
          x2: face.x + 12 + wide,
          y2: face.y + y,
          label: 'tag',
        },
      ],
    },
    advice: [],
    areas: [{ face: 'front', x: [12, 12 + wide], y: [y, y + high] }],
    notions: [{ name: 'tag', size: `${typedToken(wide)} × ${typedToken(high)}`, count: 1 }],
  };
}

export const tag: FittingDefinition = {
  id: 'tag',
  name: 'Tag',
  summary: 'A small label sewn to the front.',
  asks: [],
  hazards: ['glue'],
  figures: { width: 'Width', height: 'Height' },
  options: [
    { key: 'widthMm', kind: 'length', label: 'Tag width', min: 5, max: 80, default: 25 },
    { key: 'heightMm', kind: 'length', label: 'Tag height', min: 5, max: 80, default: 15 },
  ],
  place: placeTag,
};
