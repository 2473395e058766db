import { mainColour, type ColouredTop, type FabricSpec } from '../craft/fabric';
import type { Placed } from '../fittings';
import type { Plan } from '../plan/plan';
import type { Built, WorkStep } from '../shapes';
import { coloursOf } from './supplies';
import type { FieldValue } from '../base/units';

/** Pieces that say a colour of their own. */
export function inColours(built: Built, colours: FabricSpec['pieceColours']): Built {
  if (!colours || Object.keys(colours).length === 0) return built;
  const pieces = built.pieces.map((piece) => (colours[piece.id] ? { ...piece, colour: colours[piece.id]! } : piece));
  return { ...built, pieces };
}

/** The colour a border goes on in, from the last row it is worked on, where that is another than the main one. */
export function goesOnIn({ steps, pieces = [] }: Placed, built: Built, spec: FabricSpec): string | undefined {
  const working = steps.filter(takesYarn);
  const [first] = working;
  if (pieces.length > 0 || first?.does?.[0]?.do !== 'border' || !working.every(({ goesOn }) => goesOn))
    return undefined;
  const piece = built.pieces.find(({ id }) => id === first.after);
  if (!piece || (!piece.fabric.stripes && !piece.colour)) return undefined;
  const colour = coloursOf(piece, spec)(piece.rows);
  return colour === mainColour(spec) ? undefined : colour;
}

/** A fitting in a colour of its own: what is worked for it, and as it is drawn. */
export function inColour(placed: Placed, colour: FieldValue | undefined): Placed {
  if (typeof colour !== 'string' || colour === '') return placed;
  const { pieces, steps, parts } = placed;
  if (!canBeColoured(placed)) return placed;
  return {
    ...placed,
    ...(pieces ? { pieces: pieces.map((piece) => ({ ...piece, colour })) } : {}),
    steps: steps.map((step) => (takesYarn(step) ? { ...step, colour } : step)),
    parts: Object.fromEntries(
      Object.entries(parts).map(([view, list]) => [view, list.map((part) => ({ ...part, colour }))]),
    ),
  };
}

/** Whether a step works stitches of its own, or twists a cord: what is sewn on is sewn with what hangs there. */
const takesYarn = ({ does = [] }: WorkStep): boolean =>
  does.some((work) => work.do === 'border' || work.do === 'free' || (work.do === 'sew' && work.made));

/** Whether a fitting can be in a colour of its own: it is worked beside the piece’s rows. */
export const canBeColoured = ({ pieces = [], steps }: Placed): boolean => pieces.length > 0 || steps.some(takesYarn);

/** The tops that are to be in a colour of their own. */
export const topsSaid = (placed: readonly Placed[], specs: Plan['fittings'] = []): ColouredTop[] =>
  placed.flatMap(({ top }, index) => {
    const colour = specs[index]?.topColour;
    return top && typeof colour === 'string' && colour !== '' ? [{ ...top, colour }] : [];
  });
