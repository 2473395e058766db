import { prior, type Figure } from '../../base/figure';

/** A yarn as a plan writes it. One of metres per 100 g, wraps per inch or category is enough to size it. */
export interface YarnSpec {
  name?: string;
  metresPer100g?: number;
  wrapsPerInch?: number;
  /** Standard weight category, 0 to 7. */
  category?: number;
  fibre?: string;
  colour?: string;
  /** The colour itself, as #1a2b3c. */
  hex?: string;
  /** Strands of this yarn held together. */
  strands?: number;
  /** Grams of a whole ball, and grams there are in the house. */
  ballGrams?: number;
  gramsLeft?: number;
  /** Its colours as they follow on each other, where they repeat along it. */
  runs?: readonly YarnRun[];
}

/** A stretch of one colour in a yarn that repeats: as long as it was counted on a trial row, or measured (handbook 7). */
export type YarnRun = { name: string; hex?: string } & ({ stitches: number } | { mm: number });

/**
 * Published weight categories: typical metres per 100 g, and the band of single crochet stitches per 101.6 mm (4 in)
 * with the hooks in mm it was taken on. Category 0 has no published single crochet band; its metres are ours.
 * (prior, handbook 2.1)
 */
export const CATEGORIES: readonly {
  id: number;
  /** What such yarn is called on both sides of the sea. */
  name: Readonly<Record<'US' | 'UK', string>>;
  metresPer100g: number;
  band?: { stitches: readonly [number, number]; hooksMm: readonly [number, number] };
}[] = [
  { id: 0, name: { US: 'lace', UK: 'lace' }, metresPer100g: 700 },
  {
    id: 1,
    name: { US: 'sock, fingering', UK: '4 ply' },
    metresPer100g: 400,
    band: { stitches: [21, 32], hooksMm: [2.25, 3.5] },
  },
  { id: 2, name: { US: 'sport', UK: '5 ply' }, metresPer100g: 325, band: { stitches: [16, 20], hooksMm: [3.5, 4.5] } },
  {
    id: 3,
    name: { US: 'light worsted, DK', UK: 'DK' },
    metresPer100g: 225,
    band: { stitches: [12, 17], hooksMm: [4.5, 5.5] },
  },
  { id: 4, name: { US: 'worsted', UK: 'aran' }, metresPer100g: 190, band: { stitches: [11, 14], hooksMm: [5.5, 6.5] } },
  { id: 5, name: { US: 'bulky', UK: 'chunky' }, metresPer100g: 120, band: { stitches: [8, 11], hooksMm: [6.5, 9] } },
  {
    id: 6,
    name: { US: 'super bulky', UK: 'super chunky' },
    metresPer100g: 70,
    band: { stitches: [7, 9], hooksMm: [9, 15] },
  },
  { id: 7, name: { US: 'jumbo', UK: 'jumbo' }, metresPer100g: 30, band: { stitches: [1, 6], hooksMm: [15, 25] } },
];

/**
 * Several yarns held together as one: a metre of it weighs what a metre of each strand weighs (law).
 *
 * @param yarns each with what it can be sized by
 */
export function heldTogether(yarns: readonly YarnSpec[]): YarnSpec {
  const perMetre = yarns.reduce((sum, yarn) => sum + (yarn.strands ?? 1) / metresPer100g(yarn), 0);
  return { name: yarnNames(yarns), metresPer100g: 1 / perMetre };
}

/** The names of several yarns, as said: “kelp and sand”. */
export function yarnNames(yarns: readonly YarnSpec[]): string {
  const names = yarns.map(({ name, colour }, index) => name ?? colour ?? `yarn ${index + 1}`);
  return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

/** What a fabric is worked in: its yarn, or all that are held together. */
export const yarnOf = ({ yarn, yarns }: { yarn: YarnSpec; yarns?: readonly YarnSpec[] }): YarnSpec =>
  yarns?.length ? heldTogether(yarns) : yarn;

/** Standard uncertainty of an estimated yarn diameter, as a fraction (prior, ours). */
const DIAMETER_SPREAD = 0.1;

/**
 * Yarn diameter, mm: `d = 3.4 (120/M)^0.75` from metres per 100 g, `25.4 / wraps` from wraps per inch, or the middle of
 * the category. Strands together divide M, so that n strands are `n^0.75` as thick (prior, ours, handbook 2.1).
 *
 * @param yarn must hold metresPer100g, wrapsPerInch or category (the plan's schema holds it to that)
 */
export function yarnDiameter(yarn: YarnSpec): Figure<'mm'> {
  const strands = yarn.strands ?? 1;
  const together = strands > 1 ? `, ${strands} strands together` : '';
  if (yarn.metresPer100g !== undefined)
    return byMetres(
      yarn.metresPer100g,
      strands,
      `3.4 × (120/M)^0.75, M = ${yarn.metresPer100g} m per 100 g${together}`,
    );
  if (yarn.wrapsPerInch !== undefined) {
    const value = (25.4 / yarn.wrapsPerInch) * strands ** 0.75;
    return prior(value, 'mm', DIAMETER_SPREAD * value, `25.4 / ${yarn.wrapsPerInch} wraps per inch${together}`);
  }
  const middle = CATEGORIES[yarn.category!]!.metresPer100g;
  return byMetres(
    middle,
    strands,
    `3.4 × (120/M)^0.75, M = ${middle}, the middle of category ${yarn.category}${together}`,
  );
}

function byMetres(metres: number, strands: number, from: string): Figure<'mm'> {
  const value = 3.4 * ((120 * strands) / metres) ** 0.75;
  return prior(value, 'mm', DIAMETER_SPREAD * value, from);
}

/** Metres per 100 g of one strand: as printed, else the category's middle, else from the wraps by the same rule backwards. */
export function metresPer100g({ metresPer100g: printed, category, wrapsPerInch }: YarnSpec): number {
  if (printed !== undefined) return printed;
  if (category !== undefined) return CATEGORIES[category]!.metresPer100g;
  return 120 / (25.4 / wrapsPerInch! / 3.4) ** (4 / 3);
}
