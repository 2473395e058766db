import { work } from '../instruction';
import { BASES, type BaseId } from './base';
import { placeBelow, type CourseContext, type Factors, type StitchDefinition, type StitchPattern } from './definition';
import { foundationOf, plainRow } from './start';
import type { ChartSymbol } from './symbols';

/** The factors of a base stitch worked plainly. */
export function factorsOf(base: BaseId): Factors {
  const { width, rowHeight, roundHeight, thickness, stretchAcross, stretchAlong, yarn } = BASES[base];
  return { width, rowHeight, roundHeight, thickness, stretchAcross, stretchAlong, yarn };
}

interface PlainWish {
  id: string;
  name: { US: string; UK: string };
  summary: string;
  base: BaseId;
  /** The stitch id its rows are written in. */
  stitch?: string;
  /** Whether it can be worked into a chain as well; else row 1 is of the base stitch. */
  fromRow1?: boolean;
  factors?: Partial<Factors>;
  symbol?: ChartSymbol;
}

/** A pattern of one stitch in each: no multiple, one row in its repeat. */
export function plainPattern({
  id,
  name,
  summary,
  base,
  stitch = base,
  fromRow1 = false,
  factors = {},
  symbol = BASES[base].symbol,
}: PlainWish): StitchPattern {
  const into = (below: CourseContext['below']) => (below === 'chain' && !fromRow1 ? base : stitch);
  return {
    id,
    name,
    summary,
    base,
    rows: { repeat: 1, edge: 0 },
    rounds: { repeat: 1, edge: 0 },
    rowsInRepeat: 1,
    factors: { ...factorsOf(base), ...factors },
    gap: 0,
    symbols: [[symbol]],
    foundation: (counts) => foundationOf(base, counts),
    row: (context) => plainRow(into(context.below), base, context),
    round: ({ stitches, below }) => [work(into(below), stitches, placeBelow(below))],
  };
}

/** The definition of a pattern with nothing to set. */
export function fixed(pattern: StitchPattern, more: Pick<StitchDefinition, 'one'> = {}): StitchDefinition {
  return { id: pattern.id, name: pattern.name, options: [], make: () => pattern, ...more };
}
