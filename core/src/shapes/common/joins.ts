import type { Piece, WorkStep } from '../definition';
import { nth, type Work } from '../../piece';
import { plural, type ChoiceField } from '../../base/units';

/**
 * Ways to close an edge: the stitch width each takes from each side (handbook 3, seam take), the yarn it takes against
 * the seam's length (handbook 7), and its words.
 */
const JOINS = [
  { id: 'single', name: 'crocheted together outside', take: 0, factor: 4, text: '{single} through both layers' },
  { id: 'slip', name: 'slip stitched outside', take: 0, factor: 3, text: '{slip} through both layers' },
  {
    id: 'reverse',
    name: '{reverse} outside',
    take: 0,
    factor: 8,
    text: '{reverse} through both layers',
  },
  {
    id: 'whip',
    name: 'whip stitched',
    take: 0.25,
    factor: 3,
    text: 'whip stitch through the edge loops of both layers',
  },
  {
    id: 'mattress',
    name: 'mattress stitched',
    take: 0.25,
    factor: 3,
    text: 'mattress stitch through the edge loops of both layers',
  },
] as const;

export type Join = (typeof JOINS)[number];

/** The option by which a shape lets the maker choose its join. */
export function joinField(label: string, help: string, otherwise: Join['id'] = 'single'): ChoiceField {
  return { key: 'join', kind: 'choice', label, help, options: JOINS, default: otherwise };
}

/** The join of an id, crocheted together where it is none. */
export function joinOf(id: unknown): Join {
  return JOINS.find((join) => join.id === id) ?? JOINS[0];
}

/** The stitch of a join that is crocheted; undefined for one that is sewn. */
export function crocheted({ id }: Join): 'single' | 'slip' | 'reverse' | undefined {
  return id === 'whip' || id === 'mattress' ? undefined : id;
}

/** The others of a piece that is made several times. */
function othersAlike(id: string, times: number): Work[] {
  return Array.from({ length: times - 1 }, (_, index) => {
    const as = nth(id, index + 2);
    return { do: 'again', piece: id, as, works: [{ do: 'make', piece: as }, { do: 'fasten-off' }] };
  });
}

/** The end of a piece: nothing is begun while its loop is open. Then the others alike. */
export function pieceEnd({ id, times }: Pick<Piece, 'id' | 'times'>): WorkStep[] {
  const step = { section: 'joining', kind: 'assembly', after: id } as const;
  const off: WorkStep = { ...step, id: `fasten-off-${id}`, does: [{ do: 'fasten-off' }], minutes: times };
  if (times === 1) return [off];
  const text = `Make ${plural(times, 'of it', 'of them')} in all, each alike.`;
  return [off, { ...step, id: `more-${id}`, does: othersAlike(id, times), text, minutes: 0 }];
}
