import { BASES } from '../../craft/fabric';
import type { Band, Border, BorderStitch, Fold, RoundEdge, Seam, Span, Stretch } from '../../piece';
import { bandsOf, goesAlong, isSpiral, tailOf } from '../../piece';
import type { Built, MouthPlace, Piece, ShapeSchools, WorkStep } from '../definition';
import type { ChoiceField, FieldValues, NumberField } from '../../base/units';
import { levelOnLast } from './courses';
import { pieceEnd } from './joins';

/** All along an edge of a tube, from where its rounds begin. */
function round({ id }: Piece, edge: RoundEdge, places: number): Span {
  return { piece: id, edge, from: 1, to: places };
}

/** The mouth of a tube whose last band reaches up to it. */
export function mouthOf({ id, rows }: Pick<Piece, 'id' | 'rows'>, last: Band, stitches: number): MouthPlace {
  return { piece: id, fabric: last.fabric, from: rows - (last.to - last.from), to: rows, stitches };
}

/** The way around the mouth: it has no corners; where its last round leaves spaces, each is filled (handbook 4.4). */
function mouthRim(piece: Piece, { rounds }: ShapeSchools): Stretch[] {
  const places = piece.roundCounts?.at(-1) ?? piece.stitches;
  const upon = levelOnLast(bandsOf(piece), places, { rounds });
  const way: Stretch = {
    spans: [round(piece, 'mouth', places)],
    stitches: places,
    lies: { line: 'the opening', goes: 'around' },
  };
  return [upon ? { ...way, upon } : way];
}

/** How many slip stitches level a spiral's step, as the maker likes it (handbook 4.4). */
export const LEVEL_SLIPS: NumberField = {
  key: 'slips',
  kind: 'number',
  label: 'Slip stitches that end a spiral',
  help: 'More give a softer step. Left empty: by how high its last round is.',
  unit: 'stitches',
  whole: true,
  min: 1,
  max: 4,
  optional: true,
  refines: true,
};

/** Which side of its stitches a tube shows. */
export const SHOWS: ChoiceField = {
  key: 'shows',
  kind: 'choice',
  label: 'Outside is',
  help: 'The other side is rougher: the tube is turned inside out at the end.',
  options: [
    { id: 'facing', name: 'the side that faces you' },
    { id: 'other', name: 'the other side' },
  ],
  default: 'facing',
  refines: true,
};

/** Which side of a tube faces while it is worked, by what is to show: the right one where nothing is said (handbook 4.4). */
export const facingOf = ({ shows }: FieldValues): 'wrong' | undefined => (shows === 'other' ? 'wrong' : undefined);

/** Slip stitches that level a spiral's step, by how high its last round is: 1 of single, 2 of half double, 3 of taller ones (prior, handbook 4.4). */
function slipsOf({ fabric, bands }: Piece): number {
  const { stitch } = bands?.at(-1)?.fabric ?? fabric;
  return Math.max(1, Math.min(3, BASES[stitch.base].chainsUp));
}

/**
 * How a tube ends: a spiral is levelled over the beginning of its rounds, then whatever goes on from its last round, then the
 * yarn is cut (handbook 4.4).
 *
 * @param options the shape's: how many slip stitches level it, where that is said
 */
export function tubeEnd(piece: Piece, look: string, { slips }: FieldValues = {}): WorkStep[] {
  const check = { look, repair: 'Work or pull out a round before you cut.', before: true } as const;
  const last = piece.courses.at(-1)!;
  const [off] = pieceEnd(piece) as [WorkStep];
  const turn: WorkStep[] = piece.facing
    ? [
        {
          id: 'turn-through',
          section: last.section,
          kind: 'assembly',
          after: piece.id,
          does: [{ do: 'turn-through', piece: piece.id, name: piece.name }],
          minutes: 1,
        },
      ]
    : [];
  if (!isSpiral(last)) return [...turn, { ...off, check }];
  const level: WorkStep = {
    id: 'level',
    section: last.section,
    kind: 'assembly',
    after: piece.id,
    does: [{ do: 'level', slips: slips === undefined ? slipsOf(piece) : Number(slips) }],
    check,
    minutes: 1,
  };
  return [level, ...turn, off];
}

/** An end of a tube laid flat, one half of it on the other. */
export function flatEnd({ id }: Piece, edge: RoundEdge, places: number): { fold: Fold; spans: [Span, Span] } {
  const half = places / 2;
  const spans: [Span, Span] = [
    { piece: id, edge, from: 1, to: half },
    { piece: id, edge, from: places, to: half + 1 },
  ];
  return { fold: { id: `${edge}-flat`, inside: 'wrong', lays: [spans] }, spans };
}

export interface FlatEnd {
  piece: Piece;
  edge: RoundEdge;
  places: number;
  /** What the line is called along which it is closed. */
  name: string;
}

/** That end crocheted together: from where the hook is, or from a side. */
export function flatEndJoin({ piece, edge, places, name }: FlatEnd, stitch: BorderStitch): Border {
  const [first, second] = flatEnd(piece, edge, places).spans;
  // the half lies towards the maker along which the hook goes its own way
  const spans: [Span, Span] = goesAlong(first) > 0 === (stitch !== 'reverse') ? [first, second] : [second, first];
  return {
    do: 'border',
    id: 'bottom',
    stitch,
    courses: 1,
    closed: false,
    ...(piece.facing ? { near: 'outside' } : {}),
    from: { at: 'end', line: name },
    path: [{ spans, stitches: places / 2, lies: { through: 2, line: name } }],
  };
}

/** The same sewn with the tail that hangs there. */
export function flatEndSeam(
  { piece, edge, places, name }: FlatEnd,
  how: Seam['how'],
  factor: number,
  tail: 'start' | 'end',
): Seam {
  return {
    do: 'seam',
    how,
    spans: flatEnd(piece, edge, places).spans,
    factor,
    mm: (places / 2) * piece.fabric.stitchWidth.value,
    through: 'the edge loops',
    lies: { line: name },
    tail: { name: tailOf(piece.id, tail), at: { at: 'tail' } },
  };
}

/** What a tube offers that is worked in rounds to its mouth. */
export const tubeMouth = (piece: Piece, schools: ShapeSchools): Pick<Built, 'rim' | 'rimGoesOn'> => ({
  rim: () => mouthRim(piece, schools),
  rimGoesOn: true,
});
