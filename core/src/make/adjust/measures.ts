import type { BandSpec, GaugeMeasure, GaugeSpec } from '../../craft/fabric';
import type { KeptEvent } from '../log';
import type { Plan } from '../../plan/plan';
import { METHODS, type Method } from '../../craft/things';
import type { Worked } from '../../reckon/types';

/** What the tape said of the work so far. */
export type Measured = Extract<KeptEvent, { kind: 'measured' }>;

/** The lists of a gauge that a measure belongs to. */
type GaugeList = 'stitches' | 'rows' | 'roundStitches' | 'rounds';

/** What was measured: which way the stitches run in it, and over how many times the length it counts. */
const READ_AS: Readonly<Record<Measured['what'], { of: 'stitches' | 'courses'; over: (rounds: boolean) => number }>> = {
  // a tube laid flat shows half of its round
  width: { of: 'stitches', over: (rounds) => (rounds ? 2 : 1) },
  girth: { of: 'stitches', over: () => 1 },
  stitches: { of: 'stitches', over: () => 1 },
  height: { of: 'courses', over: () => 1 },
  rows: { of: 'courses', over: () => 1 },
  // every round lies on both sides of the middle
  diameter: { of: 'courses', over: () => 0.5 },
};

/** Which sizes of a stitch were read off the piece; the other follows by estimate. */
export const readBy = (measures: readonly Measured[]): { stitches: boolean; courses: boolean } => {
  const of = new Set(measures.map(({ what }) => READ_AS[what].of));
  return { stitches: of.has('stitches'), courses: of.has('courses') };
};

/**
 * The plan with what was measured on its pieces as measures of its gauge: on the first piece such of the piece itself, on
 * any other such of a swatch (handbook 2.1 and 8). A swatch of another stitch or hook gives way to them.
 *
 * @param worked the same plan, reckoned
 */
export function withMeasures(
  plan: Plan,
  worked: Pick<Worked, 'pieces' | 'steps'>,
  measures: readonly Measured[],
): Plan {
  const read = measures.flatMap((event) => {
    const taken = isOfSeveral(event, worked) ? undefined : measureOf(event, worked);
    return taken ? [{ ...taken, band: bandOf(event, plan, worked) }] : [];
  });
  if (read.length === 0) return plan;
  const own = read.filter(({ band }) => band === undefined);
  const { gauge = {}, bands } = plan.fabric;
  const before: GaugeSpec = gauge.stitch !== undefined || gauge.hookMm !== undefined ? {} : gauge;
  return {
    ...plan,
    fabric: {
      ...plan.fabric,
      ...(own.length > 0 ? { gauge: added(before, own) } : {}),
      ...(bands
        ? {
            bands: bands.map((band, index) =>
              measuredBand(
                band,
                read.filter((one) => one.band === index),
              ),
            ),
          }
        : {}),
    },
  };
}

interface Read {
  list: GaugeList;
  measure: GaugeMeasure;
}

const added = (gauge: GaugeSpec, read: readonly Read[]): GaugeSpec =>
  read.reduce<GaugeSpec>((all, { list, measure }) => ({ ...all, [list]: [...(all[list] ?? []), measure] }), gauge);

const measuredBand = (band: BandSpec, read: readonly Read[]): BandSpec =>
  read.length === 0 ? band : { ...band, gauge: added(band.gauge ?? {}, read) };

/** Whether rows were measured that are not all of one band: they tell nothing of either. */
function isOfSeveral(
  { piece: id, what, atStep, count }: Measured,
  { pieces, steps }: Pick<Worked, 'pieces' | 'steps'>,
) {
  const row = steps.find((step) => step.id === atStep)?.row;
  const bands = pieces.find((one) => one.id === id)?.bands;
  if (!row || !bands || READ_AS[what].of === 'stitches') return false;
  const band = bands.find(({ from, to }) => row >= from && row <= to);
  return band !== undefined && (count ?? row) > row - band.from + 1;
}

/** Which of a plan's bands was measured, where it is in another stitch or on another hook than the plan's swatch. */
function bandOf(
  { piece: id, atStep }: Measured,
  { fabric }: Plan,
  { pieces, steps }: Pick<Worked, 'pieces' | 'steps'>,
): number | undefined {
  const row = steps.find((step) => step.id === atStep)?.row;
  const [piece] = pieces;
  if (!fabric.bands || !row || piece?.id !== id) return undefined;
  const band = piece.bands?.find(({ from, to }) => row >= from && row <= to);
  if (!band || (band.stitch === fabric.stitch && band.hookMm === undefined)) return undefined;
  const index = fabric.bands.findIndex(
    (spec) => spec.stitch === band.stitch && (spec.hookMm ?? fabric.hookMm) === (band.hookMm ?? fabric.hookMm),
  );
  return index < 0 ? undefined : index;
}

function measureOf(
  { piece: id, what, count, mm, by, counted, atStep }: Measured,
  { pieces, steps }: Pick<Worked, 'pieces' | 'steps'>,
): { list: GaugeList; measure: GaugeMeasure } | undefined {
  const piece = pieces.find((one) => one.id === id);
  const { of, over } = READ_AS[what];
  const step = steps.find((one) => one.id === atStep);
  const n = count ?? (of === 'stitches' ? step?.ends : step?.row) ?? undefined;
  if (!piece || !n || mm <= 0) return undefined;
  const rounds = piece.worked === 'rounds';
  const list = of === 'stitches' ? (rounds ? 'roundStitches' : 'stitches') : rounds ? 'rounds' : 'rows';
  const method = METHODS.find((one) => one.id === by)?.id as Method | undefined;
  const measure: GaugeMeasure = {
    count: n,
    overMm: over(rounds) * mm,
    ...(method ? { by: method } : {}),
    ...(counted === 'whole' ? { counted: 'whole' } : {}),
    ...(piece.id === pieces[0]!.id ? { on: 'piece' } : {}),
  };
  return { list, measure };
}
