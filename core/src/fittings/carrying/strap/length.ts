import { chosen, derive, prior, type Figure } from '../../../base/figure';
import { refuse } from '../../common';
import type { DemandContext } from '../../definition';
import { SEWN_MM } from './kind';

type Mm = Figure<'mm'>;

/**
 * A strap from anchor to anchor: the body loop less the span between the anchors, over one and its growth under the load,
 * and two sewn overlaps; of a loop measured from edge to edge nothing is taken off (law, with the growth a prior until a hang test replaces it; handbook 6).
 */
export function strapLength(loop: Mm, span: Mm | undefined, grows: Figure<'1'>, endMm: number = SEWN_MM): Mm {
  const end = prior(endMm, 'mm', 0, 'sewn on or folded over at each end');
  if (!span)
    return derive(
      'mm',
      'strap = loop, edge to edge / (1 + growth) + 2 ends',
      { loop, grows, end },
      (v) => v.loop / (1 + v.grows) + 2 * v.end,
    );
  return derive(
    'mm',
    'strap = (loop − span between anchors) / (1 + growth) + 2 ends',
    { loop, span, grows, end },
    (v) => (v.loop - v.span) / (1 + v.grows) + 2 * v.end,
  );
}

/**
 * The loop that a strap follows: as typed, or as it was measured on the body.
 * @throws PlanProblem where nobody said how long it is
 */
export function loopOf({ carrier, path, options }: DemandContext): Mm {
  const typed = options.loopMm;
  if (typed !== undefined) return chosen(Number(typed), 'mm', 'typed');
  const loop = carrier?.kind === 'body' ? (carrier.loop as { mm: number } | undefined) : undefined;
  if (!loop)
    return refuse(
      `${path}.loopMm`,
      'How long is the loop the strap follows, anchor to anchor? Measure it on the body, or type it here.',
    );
  return { ...chosen(loop.mm, 'mm', 'measured on the body'), sd: LOOP_SD_MM };
}

/** How well a loop is measured on a body, over whatever is worn (prior, ours), mm. */
const LOOP_SD_MM = 10;
