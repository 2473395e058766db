import { formatNumber, plural } from '../../../../base/units';
import { work } from '../../../../craft/fabric';
import type { Free } from '../../../../piece';
import { chainsFor, refuse, toTheFold } from '../../../common';
import type { FittingContext } from '../../../definition';
import type { Made, Mm, StrapKind } from '../kind';

/** Where a strap is chained on: the hook is there or the yarn is joined there, and it is held at the other place. */
interface ChainedOn extends Pick<Free, 'lead' | 'from' | 'slipped' | 'onward'> {
  began: string;
  held: string;
  anchors?: string;
}

/** At the two sides of an opening no hook waits at (handbook 6). */
const FROM_A_SIDE: ChainedOn = {
  lead: '',
  from: { at: 'top', of: 'edge', side: 'right' },
  slipped: true,
  began: 'the place it began at',
  held: 'the top end of the {side:left} side edge',
};

/**
 * From where the hook is in the last round, held opposite or so many stitches on; else from one side of the opening to the
 * other.
 *
 * @throws PlanProblem where so many stitches on is no other place, or there is no round to count them in
 */
function chainedOn({ built: { mouth, rimGoesOn }, options, path }: FittingContext): ChainedOn {
  const { apart } = options;
  if (!rimGoesOn || !mouth) {
    if (apart !== undefined)
      refuse(
        `${path}.apart`,
        `Only along a last round can ${Number(apart)} stitches be counted. Leave it empty: here the strap goes from one side of the opening to the other.`,
      );
    return FROM_A_SIDE;
  }
  const on = apart === undefined ? Math.floor(mouth.stitches / 2) : Number(apart);
  if (on >= mouth.stitches)
    refuse(
      `${path}.apart`,
      `The last round has ${mouth.stitches} stitches; ${on} on from the first comes round to it again. Make it ${mouth.stitches - 1} or less.`,
    );
  const { shift } = toTheFold(mouth, mouth.to + 1, { back: 0, on: Math.floor(mouth.stitches / 2) });
  const fold = `Lay it flat along its bottom and slip stitch on to the next fold, about ${plural(shift, 'stitch', 'stitches')}. `;
  return {
    lead: `${shift > 0 ? fold : ''}The strap, from where the hook is:`,
    onward: true,
    began: 'the stitch it began at',
    // a levelled end has moved the hook: what lies opposite is counted from where it is
    held: `the stitch that lies ${on} on from where it began`,
    anchors: `where the hook is, and ${plural(on, 'stitch', 'stitches')} further on`,
  };
}

/** Chained on at one place, held at the other and covered with {single} on the way back (handbook 6). */
function coveredChain(length: Mm, context: FittingContext): Made {
  const { began, held: other, anchors, ...place } = chainedOn(context);
  const { chains, made } = chainsFor(length, context.fabric.chain);
  const n = chains.value;
  const strap: Free = {
    do: 'free',
    id: 'strap',
    ...place,
    courses: [
      [
        { do: 'chain', chains: n, spans: n, as: 'chains' },
        { do: 'anchor', place: other },
      ],
      [work('single', n, 'chain'), { do: 'anchor', place: began }],
    ],
    times: 1,
    tails: 0,
  };
  return {
    figures: { chains, made },
    notions: [],
    ...(anchors ? { anchors } : {}),
    steps: [
      {
        id: 'make-strap',
        section: 'strap',
        kind: 'assembly',
        ...(place.onward ? ({ after: context.built.pieces[0]!.id, goesOn: true } as const) : {}),
        does: [strap],
        check: {
          look: `Not twisted, and {mm:${formatNumber(length.value)}} long before it is loaded?`,
          repair: 'Pull out that row and add or leave out chains.',
        },
        minutes: 4,
      },
    ],
  };
}

export const workedOn: StrapKind = {
  id: 'worked-on',
  name: 'chained on where it hangs, covered with {single}',
  columns: () => 2,
  stretch: 0.04,
  hangs: 'already',
  make: coveredChain,
};
