import type { FabricSpec, GaugeSpec } from '../../craft/fabric';
import { finishOf, inOrder, standingEvents, type KeptEvent } from '../log';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { planFollowed } from './here';
import { withMeasures, type Measured } from './measures';
import { workOut } from '../../reckon/build';
import type { Worked } from '../../reckon/types';

/** A size of the finished piece as planned and as made, mm. */
export interface SizeMade {
  of: 'width' | 'height' | 'girth' | 'depth';
  planned: number;
  made?: number;
}

/** Every size a finished piece is asked for, beside the planned one. */
export function sizesMade(worked: Pick<Worked, 'outside' | 'inside'>, events: readonly KeptEvent[]): SizeMade[] {
  const { asMade = {} } = finishOf(events) ?? {};
  const planned = {
    width: worked.outside.width.value,
    height: worked.outside.height.value,
    girth: worked.inside.girth.value,
    depth: worked.inside.depth.value,
  };
  return (Object.keys(planned) as SizeMade['of'][]).map((of) => {
    const made = asMade[of];
    return { of, planned: planned[of], ...(made === undefined ? {} : { made }) };
  });
}

/** A pocket of several, as planned and as made: how deep it is inside, mm. */
export interface PocketMade {
  name: string;
  planned: number;
  made?: number;
  /** Rows or rounds that go up it. */
  courses: number;
}

/** Every pocket a finished piece is asked for, where it has several, beside the depth planned for it. */
export function pocketsMade({ pockets }: Pick<Worked, 'pockets'>, events: readonly KeptEvent[]): PocketMade[] {
  const { pockets: told = [] } = finishOf(events) ?? {};
  return pockets.map(({ name, depth, courses }, index) => {
    const made = told[index];
    return { name, courses, planned: depth.value, ...(made ? { made } : {}) };
  });
}

/**
 * The fabric of a finished make as what was measured on it shows it, as a swatch of the maker's hand: the tape's readings
 * on the way, and the finished sizes against the planned ones (handbook 2.1 and 10). Undefined where nothing was measured.
 *
 * @param plan the plan the make was begun with
 * @throws PlanProblem where the plan followed cannot be reckoned
 */
export function fabricMade(plan: Plan, events: readonly KeptEvent[]): FabricSpec | undefined {
  const followed = planFollowed(plan, events);
  const worked = reckon(followed);
  const { hand: _estimated, gauge: _swatch, ...fabric } = followed.fabric;
  const bare: Plan = { ...followed, fabric };
  const measures = standingEvents(inOrder(events)).filter(
    (event): event is Measured & KeptEvent => event.kind === 'measured',
  );
  const read = withMeasures(bare, { steps: worked.steps, out: workOut(followed) }, measures).fabric.gauge ?? {};
  const gauge = withSizes(asSwatch(read), worked, events);
  return Object.keys(gauge).length > 0 ? { ...fabric, gauge } : undefined;
}

/** What was read on the piece, for other pieces of the same hand. */
function asSwatch(gauge: GaugeSpec): GaugeSpec {
  const lists = ['stitches', 'rows', 'roundStitches', 'rounds'] as const;
  return Object.fromEntries(
    lists.flatMap((list) => {
      const measures = gauge[list];
      return measures ? [[list, measures.map(({ on: _piece, ...measure }) => measure)]] : [];
    }),
  );
}

/** Finished sizes as measures: so many stitches and courses came to what they did, in proportion to what was planned. */
function withSizes(gauge: GaugeSpec, worked: Worked, events: readonly KeptEvent[]): GaugeSpec {
  const ratio = (...of: readonly SizeMade['of'][]) => {
    const size = sizesMade(worked, events).find((one) => of.includes(one.of) && one.made !== undefined);
    return size && size.planned > 0 ? size.made! / size.planned : undefined;
  };
  const [piece] = worked.pieces;
  const rounds = piece!.worked === 'rounds';
  const measured = (
    list: keyof GaugeSpec,
    by: number | undefined,
    count: number,
    mm: number,
    before: GaugeSpec = gauge,
  ): GaugeSpec =>
    by === undefined
      ? {}
      : {
          [list]: [
            ...((before[list] as [] | undefined) ?? []),
            { count, overMm: by * mm, by: 'tape', counted: 'edges' },
          ],
        };
  const { stitchWidth, rowHeight } = worked.fabric;
  const up = rounds ? 'rounds' : 'rows';
  const pockets = pocketsMade(worked, events).filter(({ made }) => made !== undefined);
  // how far it hangs down from a bar is the bar's as much as the hand's: of such a piece its pockets alone tell
  const byHeight = rounds && worked.pockets.length > 0 ? undefined : ratio('height', 'depth');
  const courses: GaugeSpec =
    pockets.length > 0
      ? pockets.reduce<GaugeSpec>(
          (all, { planned, made, courses: count }) => ({
            ...all,
            ...measured(up, made! / planned, count, count * rowHeight.value, all),
          }),
          gauge,
        )
      : measured(up, byHeight, piece!.rows, piece!.rows * rowHeight.value);
  return {
    ...gauge,
    ...measured(
      rounds ? 'roundStitches' : 'stitches',
      ratio('width', 'girth'),
      piece!.stitches,
      piece!.stitches * stitchWidth.value,
    ),
    ...(courses[up] ? { [up]: courses[up] } : {}),
  };
}
