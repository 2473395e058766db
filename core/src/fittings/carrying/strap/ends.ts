import { refuse } from '../../common';
import type { FittingContext, Notion } from '../../definition';
import { tailOf, type Sewing } from '../../../piece';
import type { ShapeSchools, WorkStep } from '../../../shapes';
import { SEWN_MM, STRAP_TAIL_MM, type StrapKind } from './kind';

/** Yarn both ends are sewn on with, mm (prior, ours). */
const SEW_ON_MM = 2 * STRAP_TAIL_MM;

/** How a strap is held at its anchors, and what of its length each end takes, mm (handbook 6). */
export const ENDS = [
  { id: 'sewn', name: 'sewn flat', mm: SEWN_MM },
  { id: 'hooks', name: 'folded over swivel hooks', mm: SEWN_MM },
  { id: 'tied', name: 'tied on', mm: 0 },
  { id: 'tails', name: 'sewn by its tails', mm: 0 },
] as const;

export interface End {
  id: (typeof ENDS)[number]['id'];
  mm: number;
}

const SEWN: End = ENDS[0];

/** What hooks hang in. */
export const HOOKED: readonly Notion[] = [
  { name: 'swivel hooks', count: 2 },
  { name: 'rings for the hooks', count: 2 },
];

/**
 * How this strap is held.
 * @throws PlanProblem where it brings no tails to be tied or sewn by
 */
export function endOf({ hangs, tails }: StrapKind, { options, path }: FittingContext): End {
  const end = ENDS.find(({ id }) => id === options.ends)!;
  if (hangs === 'already') return { ...SEWN, mm: 0 };
  if (hangs === 'own-hooks') return SEWN;
  if (end.mm === 0 && tails !== 'sewn' && !(tails === 'tied' && end.id === 'tied'))
    refuse(`${path}.ends`, 'It has no tails to be held by. Let it be sewn flat, or folded over hooks.');
  return end;
}

/** With the tail at each end; where both hang at one end, the other with yarn of its own (handbook 4.4). */
function sewnOn({ hangs, tails }: StrapKind, anchors: string, atOneEnd: boolean): Sewing[] {
  const how = `overlapping {mm:${SEWN_MM}}, going over each seam three times.`;
  if (hangs === 'own-hooks')
    return [
      {
        do: 'sew',
        id: 'rings',
        mm: SEW_ON_MM,
        says: `sew a ring to each anchor, ${anchors}, going over each seam three times.`,
      },
    ];
  const says = `sew the strap on at ${anchors}, ${how}`;
  if (tails !== 'sewn') return [{ do: 'sew', id: 'strap-on', mm: SEW_ON_MM, says }];
  const end = tailOf('strap', 'end');
  if (!atOneEnd)
    return [{ do: 'sew', id: 'strap-on', what: 'strap', tails: [tailOf('strap', 'start'), end], mm: SEW_ON_MM, says }];
  return [
    {
      do: 'sew',
      id: 'strap-on',
      what: 'strap',
      tails: [end],
      mm: STRAP_TAIL_MM,
      says: `sew one end of the strap on, ${how}`,
    },
    {
      do: 'sew',
      id: 'strap-on-2',
      mm: STRAP_TAIL_MM,
      says: `sew its other end on in the same way. The anchors are ${anchors}.`,
    },
  ];
}

/** How it is held at its anchors; nothing more for what is chained on. */
export function held(
  kind: StrapKind,
  end: End,
  anchors: string,
  rows: number,
  foundation: ShapeSchools['foundation'],
): WorkStep[] {
  if (kind.hangs === 'already') return [];
  const atOneEnd = kind.tailsAtOneEnd?.(rows, foundation) ?? false;
  const step = sewOn(kind, anchors, atOneEnd);
  if (end.id === 'sewn') return [step];
  const made = kind.tails === 'sewn';
  const hooked = `fold {mm:${SEWN_MM}} of each end of the strap over a swivel hook and sew it down, going over each seam three times.`;
  const rings: Sewing = {
    do: 'sew',
    id: 'rings',
    mm: SEW_ON_MM,
    says: `sew a ring to each anchor, ${anchors}; hang the hooks in.`,
  };
  if (end.id === 'hooks') return [{ ...step, does: [sewnBy('strap-on', made, atOneEnd, hooked), rings] }];
  const tied = `pass ${made ? 'the tails at each end' : 'each end'} of the strap through its anchor, ${anchors}, and tie two knots on the inside.`;
  const tails = `sew each end of the strap to its anchor, ${anchors}, by its tail, edge to edge.`;
  const says = end.id === 'tied' ? tied : tails;
  return [{ ...step, does: [{ ...sewnBy('strap-on', made, atOneEnd, says), mm: made ? SEW_ON_MM : 0 }] }];
}

/** Sewn with the tails it brings; with yarn cut for it where they hang at one end, or where it brings none. */
function sewnBy(id: string, made: boolean, atOneEnd: boolean, says: string): Sewing {
  const what = made ? { what: 'strap' } : {};
  const tails = made && !atOneEnd ? { tails: [tailOf('strap', 'start'), tailOf('strap', 'end')] } : {};
  return { do: 'sew', id, ...what, ...tails, mm: SEW_ON_MM, says };
}

function sewOn(kind: StrapKind, anchors: string, atOneEnd: boolean): WorkStep {
  return {
    id: 'sew-strap',
    section: 'closing',
    kind: 'closure',
    does: sewnOn(kind, anchors, atOneEnd),
    check: {
      look: 'Is the strap not twisted, are the anchors exactly opposite? Hang the load on it for a minute and measure again.',
      repair:
        'If it stretched more than planned, shorten it: in the plan, open Strap and enter the result under Hang test.',
    },
    minutes: 10,
  };
}
