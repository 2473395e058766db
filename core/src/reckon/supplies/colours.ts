import {
  mainColour,
  stripeColours,
  stripeNames,
  tallyRow,
  yarnNames,
  yarnOf,
  type FabricSpec,
  type Palette,
} from '../../craft/fabric';
import type { Figure } from '../../base/figure';
import { bandsOf, fabricAt, topColourOf } from '../../piece';
import type { Piece } from '../../shapes';
import { chanceBelow, takenEach, timesOver, yarnIn } from './yarn';

export interface ColourNeed {
  name: string;
  metres: number;
  grams: number;
  rows: number;
  /** The chance that what there is of it lasts, 0 to 1; null where that is not said. */
  enough: number | null;
  /** How many times over it lasts, nine times in ten; null where that is not said. */
  reach: number | null;
}

/** What takes yarn of a colour beside rows: a border, a tie. */
interface Besides {
  colour: string;
  metres: number;
}

/**
 * Yarn by colour from the rows each holds: of bands and pieces their own, else colours follow each other for so many rows,
 * over and over, from the first row of every piece; each stitch at its own rate (law, handbook 7). What is not in rows and
 * says no colour of its own is of the main one.
 *
 * @param besides borders, ties and the like that say their own
 */
export function byColour(
  spec: FabricSpec,
  pieces: readonly Piece[],
  metres: number,
  grams: number,
  besides: readonly Besides[] = [],
): ColourNeed[] {
  if (
    stripeColours(spec).length === 0 &&
    !pieces.some((piece) => isColoured(piece) || topColourOf(piece)) &&
    besides.length === 0
  )
    return [];
  const { scale } = takenEach(spec, pieces[0]?.fabric);
  const strands = yarnOf(spec).strands ?? 1;
  const own = new Map<string, number>();
  const rows = new Map<string, number>();
  const add = (to: Map<string, number>, name: string, count: number) => to.set(name, (to.get(name) ?? 0) + count);
  for (const piece of pieces) {
    const colourOf = coloursOf(piece, spec);
    piece.courses.forEach(({ instructions }, index) => {
      const name = colourOf(index + 1) ?? mainColour(spec);
      const each = (yarnIn(tallyRow(instructions), fabricAt(piece, index + 1), scale) * strands) / 1000;
      const seconds = piece.secondColour ? 1 : 0;
      add(own, name, (piece.times - seconds) * each);
      add(rows, name, piece.times - seconds);
      if (piece.secondColour) {
        add(own, piece.secondColour, each);
        add(rows, piece.secondColour, 1);
      }
    });
  }
  for (const { colour, metres: each } of besides) add(own, colour, each);
  const all = [...own.values()].reduce((sum, one) => sum + one, 0);
  const rest = Math.max(0, metres - all);
  const main = mainColour(spec);
  // foundations, borders, seams and tails are of the main colour, where it is worked with at all
  const restOf = (name: string, mm: number) => (own.has(main) ? (name === main ? rest : 0) : (rest * mm) / all);
  return [...own].map(([name, each]) => {
    const needs = each + restOf(name, each);
    const weighs = metres > 0 ? (grams * needs) / metres : 0;
    return { name, metres: needs, grams: weighs, rows: rows.get(name) ?? 0, enough: null, reach: null };
  });
}

/** Whether a piece says a colour of its own for all of its rows. */
const isColoured = ({ bands, colour, secondColour }: Piece): boolean =>
  colour !== undefined || secondColour !== undefined || (bands?.some((band) => band.colour) ?? false);

/** The colour of every row of a piece, counted from 1: its band's or its own, else the plan's in turn; none where there is one yarn. */
export function coloursOf(piece: Piece, spec: FabricSpec): (row: number) => string | undefined {
  const colourOf = belowTheTop(piece, spec);
  const topOf = topColourOf(piece);
  if (!topOf) return colourOf;
  return (row) => topOf(row) ?? colourOf(row) ?? mainColour(spec);
}

function belowTheTop(piece: Piece, spec: FabricSpec): (row: number) => string | undefined {
  const bands = bandsOf(piece);
  if (!isColoured(piece)) {
    const names = stripeNames(
      spec,
      piece.courses.map(({ ends }) => ends),
    );
    return (row) => names?.[row - 1] ?? heldTogether(spec);
  }
  return (row) => bands.find(({ from, to }) => row >= from && row <= to)?.colour ?? piece.colour ?? mainColour(spec);
}

/** Different yarns held together are told like a colour; one yarn needs no name. */
const heldTogether = ({ yarns }: FabricSpec): string | undefined =>
  yarns?.length ? `${yarnNames(yarns)} held together` : undefined;

/**
 * The chance that each colour lasts, from what the palette says there is of it; of the main one from what there is of the yarn,
 * where any of the others says so (law of the normal; spread of the whole, handbook 7).
 *
 * @param yarn what the whole takes, g
 */
export function lastingColours(
  needs: readonly ColourNeed[],
  spec: FabricSpec,
  palette: Palette,
  yarn: Pick<Figure<'g'>, 'value' | 'sd'>,
): ColourNeed[] {
  if (!needs.some(({ name }) => palette[name]?.gramsLeft !== undefined)) return [...needs];
  const spread = yarn.value > 0 ? (yarn.sd ?? 0) / yarn.value : 0;
  return needs.map((need) => {
    const left = palette[need.name]?.gramsLeft ?? (need.name === mainColour(spec) ? yarnOf(spec).gramsLeft : undefined);
    if (left === undefined) return need;
    const takes = { value: need.grams, sd: spread * need.grams };
    return { ...need, enough: chanceBelow(left, takes), reach: timesOver(left, takes) };
  });
}
