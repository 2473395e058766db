import type { BandSpec, FabricSpec, GaugeMeasure, GaugeSpec } from '../../craft/fabric';
import type { KeptEvent } from '../log';
import type { Step } from '../../pattern';
import { bandsOf, fabricAt, type Band, type Piece } from '../../piece';
import type { Plan } from '../../plan/plan';
import { METHODS, type Method } from '../../craft/things';
import { allPieces } from '../../reckon/steps';
import type { WorkedOut } from '../../reckon/types';

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

/** What a measure is read against: the same plan, reckoned and worked out. */
export interface ReadAgainst {
  steps: readonly Pick<Step, 'id' | 'row' | 'ends' | 'kind'>[];
  out: Pick<WorkedOut, 'fabric' | 'built' | 'placed'>;
}

/**
 * The plan with what was measured on its pieces as measures of its gauge: on the first piece such of the piece itself, on
 * any other such of a swatch (handbook 2.1 and 8). What is laid over rows of several kinds, or over another stitch than the plan’s,
 * tells by how much all of them came larger. A swatch of another stitch or hook gives way to them.
 */
export function withMeasures(plan: Plan, against: ReadAgainst, measures: readonly Measured[]): Plan {
  const read = measures.flatMap((event) => {
    const one = readOf(event, plan, against);
    return typeof one === 'string' ? [] : [one];
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
                plan.fabric,
                read.filter((one) => one.band === index),
              ),
            ),
          }
        : {}),
    },
  };
}

/** The bands that the last width and the last height were read on, where they are told by band. */
export interface BandsRead {
  stitches?: number | undefined;
  courses?: number | undefined;
}

/** On which bands it was measured last. */
export function bandsRead(plan: Plan, against: ReadAgainst, measures: readonly Measured[]): BandsRead {
  const read: BandsRead = {};
  for (const event of measures) {
    const one = readOf(event, plan, against);
    if (typeof one !== 'string') read[READ_AS[event.what].of] = one.band;
  }
  return read;
}

/** Why the last measure tells nothing, with the one that would; nothing where all of them were read. */
export function unreadOf(plan: Plan, against: ReadAgainst, measures: readonly Measured[]): string | null {
  const last = measures.at(-1);
  const read = last && readOf(last, plan, against);
  return typeof read === 'string' ? read : null;
}

interface Read {
  list: GaugeList;
  measure: GaugeMeasure;
  /** The band it is of, where it is told by band. */
  band: number | undefined;
}

const added = (gauge: GaugeSpec, read: readonly Read[]): GaugeSpec =>
  read.reduce<GaugeSpec>((all, { list, measure }) => ({ ...all, [list]: [...(all[list] ?? []), measure] }), gauge);

/** A band with a gauge of its own; one in the plan’s own stitch has that of its swatch as well. */
function measuredBand(band: BandSpec, { stitch, hookMm, gauge = {} }: FabricSpec, read: readonly Read[]): BandSpec {
  if (read.length === 0) return band;
  const swatched = band.stitch === stitch && (band.hookMm ?? hookMm) === hookMm && gauge.stitch === undefined;
  return { ...band, gauge: added(band.gauge ?? (swatched ? gauge : {}), read) };
}

/** A second piece of two is made of the same steps. */
const stepOf = ({ atStep }: Measured, { steps }: ReadAgainst) =>
  steps.find(({ id }) => id === atStep?.replace(/@\d+$/, ''));

/** What a measure says of the plan's fabric, or why it says nothing. */
function readOf(event: Measured, plan: Plan, against: ReadAgainst): Read | string {
  const { out } = against;
  const piece = allPieces(out).find(({ id }) => id === event.piece);
  if (!piece || event.mm <= 0) return 'This piece is not in the plan any more. Measure the piece you are working on.';
  const step = stepOf(event, against);
  const { of } = READ_AS[event.what];
  return of === 'stitches' ? acrossOf(event, plan, against, piece, step) : upOf(event, plan, against, piece, step);
}

type Done = ReadAgainst['steps'][number] | undefined;

const listOf = (of: 'stitches' | 'courses', { worked }: Piece): GaugeList => {
  const rounds = worked === 'rounds';
  return of === 'stitches' ? (rounds ? 'roundStitches' : 'stitches') : rounds ? 'rounds' : 'rows';
};

/** So many of the plan's own stitches or courses, as much larger than planned as what was measured. */
function ofThePlan(
  event: Measured,
  { fabric: spec }: Plan,
  { out }: ReadAgainst,
  piece: Piece,
  { count, planned, over }: { count: number; planned: number; over: number },
): Omit<Read, 'band'> {
  const { of } = READ_AS[event.what];
  const own = out.fabric.also(spec.stitch, piece.worked, spec.pattern);
  const each = of === 'stitches' ? own.stitchWidth.value : own.rowHeight.value;
  return {
    list: listOf(of, piece),
    measure: measured(event, count, (count * each * over * event.mm) / planned, piece, out),
  };
}

function measured(
  { by, counted }: Measured,
  count: number,
  overMm: number,
  { id }: Piece,
  { built }: ReadAgainst['out'],
): GaugeMeasure {
  const method = METHODS.find((one) => one.id === by)?.id as Method | undefined;
  return {
    count,
    overMm,
    ...(method ? { by: method } : {}),
    counted: counted === 'whole' ? 'whole' : 'edges',
    ...(id === built.pieces[0]!.id ? { on: 'piece' } : {}),
  };
}

/** A width or a girth, or so many stitches: of the band it lies on where that is told by itself. */
function acrossOf(event: Measured, plan: Plan, against: ReadAgainst, piece: Piece, step: Done): Read | string {
  const { over } = READ_AS[event.what];
  const times = over(piece.worked === 'rounds');
  // a border that is worked on it already is measured with it
  const bordered = event.count === undefined && step?.kind === 'assembly';
  const n = event.count ?? (bordered ? piece.stitches : step?.ends) ?? undefined;
  if (!n) return 'The tape says how wide it is, and not across how many stitches. Type how many stitches it lies on.';
  if (bordered) {
    const planned = against.out.built.outside.width.value;
    return { ...ofThePlan(event, plan, against, piece, { count: n, planned, over: 1 }), band: undefined };
  }
  const row = step?.row ?? 1;
  const band = toldByBand(plan, against, piece, row) ?? heldBand(plan, against, piece, row);
  if (band !== undefined)
    return { list: listOf('stitches', piece), measure: measured(event, n, times * event.mm, piece, against.out), band };
  const planned = n * fabricAt(piece, row).stitchWidth.value;
  return { ...ofThePlan(event, plan, against, piece, { count: n, planned, over: times }), band };
}

/** A height, a diameter, or so many courses up to where it was measured: of one band, or of all it reaches over. */
function upOf(event: Measured, plan: Plan, against: ReadAgainst, piece: Piece, step: Done): Read | string {
  const times = READ_AS[event.what].over(piece.worked === 'rounds');
  const row = step?.row ?? (step?.kind === 'assembly' ? piece.rows : undefined);
  const n = event.count ?? row;
  if (!n) return 'The tape says how tall it is, and not how many rows that is. Type how many rows it lies on.';
  const to = Math.min(piece.rows, Math.max(n, row ?? n));
  const band = bandsOf(piece).find(({ from }) => from <= to && to - n + 1 >= from);
  const own = band && toldByBand(plan, against, piece, to);
  if (own !== undefined)
    return {
      list: listOf('courses', piece),
      measure: measured(event, n, times * event.mm, piece, against.out),
      band: own,
    };
  const planned = piece.reach(to) - piece.reach(to - Math.min(n, to));
  return { ...ofThePlan(event, plan, against, piece, { count: n, planned, over: times }), band: undefined };
}

/** Which of a plan's bands a row is of, where that is in another stitch or on another hook than the plan's swatch. */
function toldByBand({ fabric }: Plan, { out }: ReadAgainst, piece: Piece, row: number): number | undefined {
  if (!fabric.bands || out.built.pieces[0]!.id !== piece.id) return undefined;
  const band = piece.bands?.find(({ from, to }) => row >= from && row <= to);
  if (!band || (band.fabric.stitch.id === fabric.stitch && band.hookMm === undefined)) return undefined;
  return indexOf(fabric, band);
}

/**
 * The band a row is of, where narrower ones beside it were taken to hold it: its width is its own then, and tells nothing of
 * theirs (handbook 4.3).
 */
function heldBand({ fabric }: Plan, { out }: ReadAgainst, piece: Piece, row: number): number | undefined {
  if (!fabric.bands || out.built.pieces[0]!.id !== piece.id) return undefined;
  const bands = bandsOf(piece);
  const band = bands.find(({ from, to }) => row >= from && row <= to);
  const narrowest = Math.min(...bands.map((one) => one.fabric.stitchWidth.value));
  return band && band.fabric.stitchWidth.value > narrowest + 1e-9 ? indexOf(fabric, band) : undefined;
}

function indexOf(fabric: FabricSpec, band: Band): number | undefined {
  const index = fabric.bands!.findIndex(
    (spec) =>
      spec.stitch === band.fabric.stitch.id && (spec.hookMm ?? fabric.hookMm) === (band.hookMm ?? fabric.hookMm),
  );
  return index < 0 ? undefined : index;
}
