import { derive, measured, type Figure, type PlanFault } from '../../base/figure';
import { mostToken, typedToken } from '../../base/units';
import {
  tooMany,
  type PocketWant,
  type ThingDefinition,
  type ThingEntry,
  type ThingSpec,
  type WorkedThing,
} from './definition';
import { figureOf, mmOf } from './measure';
import { besideOutline, boxOutline } from './outline';

const entriesOf = (thing: ThingSpec): readonly ThingEntry[] => (thing.tools as readonly ThingEntry[] | undefined) ?? [];

/** How thick a tool is: as its grip where that is round, as it was measured where it is flat. */
function thicknessOf(entry: ThingEntry): Figure<'mm'> {
  return figureOf(entry, entry.thickness === undefined ? 'grip' : 'thickness');
}

/** Each single tool, in the order given: one entry may stand for several alike. */
export function toolsOf(thing: ThingSpec): PocketWant[] {
  return entriesOf(thing).flatMap((entry, index) => {
    const grip = figureOf(entry, 'grip');
    const flat = entry.thickness !== undefined;
    const depth = thicknessOf(entry);
    const want: PocketWant = {
      name: String(entry.name ?? `tool ${index + 1}`),
      girth: !flat
        ? derive('mm', 'g = πa', { a: grip }, (v) => Math.PI * v.a)
        : derive(
            'mm',
            'g = 2(width + thickness)',
            { width: grip, thickness: depth },
            (v) => 2 * (v.width + v.thickness),
          ),
      height: mmOf(entry, 'length')!,
      depth: depth.value,
      sd: { height: figureOf(entry, 'length').sd ?? 0, depth: depth.sd ?? 0 },
      wide: grip.value,
      tip: mmOf(entry, 'tip') ?? grip.value,
      massG: 0,
      tool: true,
    };
    return Array.from({ length: Number(entry.count ?? 1) }, () => want);
  });
}

/**
 * Tools side by side in one flat layer: as wide as their grips together, as deep as the thickest, and round that the
 * stadium `2(W + D) − (8 − 2π) D/2` (law, handbook 1); a flat grip lies flat.
 */
function work(thing: ThingSpec): WorkedThing {
  const wants = toolsOf(thing);
  const grips = entriesOf(thing).map((entry) => ({ grip: figureOf(entry, 'grip'), count: Number(entry.count ?? 1) }));
  const sd = Math.hypot(...grips.map(({ grip, count }) => (grip.sd ?? 0) * count));
  const width = measured(
    grips.reduce((sum, { grip, count }) => sum + grip.value * count, 0),
    'mm',
    sd,
    'the grips side by side',
  );
  const thickest = entriesOf(thing)
    .map(thicknessOf)
    .reduce((a, b) => (b.value > a.value ? b : a));
  const longest = entriesOf(thing)
    .map((entry) => figureOf(entry, 'length'))
    .reduce((a, b) => (b.value > a.value ? b : a));
  const girth = derive(
    'mm',
    'g = 2(W + D) − (8 − 2π) D/2, the tools in one layer',
    { W: width, D: thickest },
    (v) => 2 * (v.W + v.D) - (4 - Math.PI) * v.D,
  );
  return {
    profile: 'rods',
    getsWet: false,
    hazards: ['point'],
    girth,
    height: longest,
    width,
    depth: thickest,
    corner: Math.min(thickest.value / 2, width.value / 2),
    pockets: 1,
    wants,
    advice: [],
  };
}

/** A tool is a rod: thicker than long is a slip of two fields. */
function check(thing: ThingSpec): PlanFault[] {
  const count = entriesOf(thing).reduce((total, entry) => total + Number(entry.count ?? 1), 0);
  const wrong = entriesOf(thing).flatMap((entry, index) => {
    const long = mmOf(entry, 'length')!;
    const thick = mmOf(entry, 'grip')!;
    if (thick <= long) return [];
    return [
      {
        path: `tools[${index}].grip.mm`,
        message: `${typedToken(thick)} thick is more than the ${typedToken(long)} it is long. Change the two over, or make the grip ${mostToken(long)} or less.`,
      },
    ];
  });
  const upright = entriesOf(thing).flatMap((entry, index) => {
    const [thick, wide] = [mmOf(entry, 'thickness') ?? 0, mmOf(entry, 'grip')!];
    if (thick <= wide) return [];
    return [
      {
        path: `tools[${index}].thickness.mm`,
        message: `${typedToken(thick)} thick is more than the ${typedToken(wide)} it is wide. Change the two over, or leave the thickness out where the grip is round.`,
      },
    ];
  });
  return [...wrong, ...upright, ...tooMany(count, 'tools')];
}

export const tools: ThingDefinition = {
  id: 'tools',
  name: 'Tools',
  examples: 'hooks, pens, scissors, pliers, brushes',
  measures: [],
  list: {
    key: 'tools',
    label: 'Tools',
    one: 'tool',
    help: 'Each gets a channel of its own. Tools that are alike can share an entry.',
    measures: [
      { key: 'length', kind: 'length', label: 'Length', min: 5, max: 1000 },
      {
        key: 'grip',
        kind: 'length',
        label: 'Grip diameter',
        help: 'Where it is thickest; of a flat grip its width.',
        min: 1,
        max: 200,
      },
      {
        key: 'thickness',
        kind: 'length',
        label: 'Grip thickness, if flat',
        help: 'Scissors, a ruler, a card. Leave it empty for round grips.',
        min: 0.2,
        max: 200,
        optional: true,
      },
      {
        key: 'tip',
        kind: 'length',
        label: 'Tip diameter',
        help: 'The end that goes in.',
        min: 0.2,
        max: 200,
        optional: true,
      },
    ],
    numbers: [{ key: 'count', kind: 'number', label: 'How many', unit: '', whole: true, min: 1, max: 24, default: 1 }],
    least: 1,
    most: 40,
  },
  usually: { grip: 'calliper' },
  profile: 'rods',
  goesWith: { fitting: 'dividers', because: 'Each tool gets a channel of its own.' },
  start: {
    word: 'Wrap',
    shape: { kind: 'two-panels' },
    fit: { name: 'slides' },
    fittings: [],
  },
  sketch: {
    outline: 'M43 92V44Q43 40 45 34L47 12Q50 5 53 12L55 34Q57 40 57 44V92Q50 97 43 92Z',
    tape: {
      'tools.length': 'M70 8V94',
      'tools.grip': 'M38 66H62',
      'tools.thickness': 'M43 74L57 70',
      'tools.tip': 'M40 16H60',
    },
  },
  check,
  work,
  outline: ({ wants }) =>
    besideOutline(wants!.map(({ wide, height, tip }) => boxOutline(wide, height, Math.min(wide, tip) / 2))),
  inWords: ({ wants, height }, _thing, say) => `${wants!.length} tools to ${say.length(height.value)}`,
};
