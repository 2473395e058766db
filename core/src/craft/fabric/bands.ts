import { chosen, derive, PlanProblem, type Figure } from '../../base/figure';
import { singleWidth } from './estimate';
import { workFabric } from './fabric';
import type { Multiple } from './stitches';
import type { BandSpec, WorkedBand, FabricSpec, WorkedFabric } from './types';

/**
 * The fabric of a first piece of several bands, as its shape sees it: the one that fills gives its rows, the narrowest its
 * stitches, since the tightest band holds what goes in and every band must let it pass (law, handbook 4.3); a count obeys
 * every band's multiple.
 *
 * @param swatch the fabric the plan's gauge speaks of
 * @throws PlanProblem where not exactly one band fills, or no count suits all
 */
export function withBands(spec: FabricSpec, swatch: WorkedFabric): WorkedFabric {
  const specs = spec.bands ?? [];
  if (specs.length === 0) return swatch;
  refuseUnfilled(specs);
  const bands = specs.map((band) => workBand(band, spec, swatch));
  const fill = bands.find(({ courses }) => courses === undefined)!.fabric;
  const [narrowest] = [...bands].sort((a, b) => a.fabric.stitchWidth.value - b.fabric.stitchWidth.value);
  const [thickest] = [...bands].sort((a, b) => b.fabric.thickness.value - a.fabric.thickness.value);
  const tight = narrowest!.fabric;
  const factors = { ...fill.stitch.factors, stretchAcross: tight.stitch.factors.stretchAcross };
  return {
    ...fill,
    stitch: { ...fill.stitch, factors, [swatch.worked]: commonMultiple(bands, swatch.worked) },
    stitchWidth: tight.stitchWidth,
    thickness: thickest!.fabric.thickness,
    bands,
  };
}

function refuseUnfilled(bands: readonly BandSpec[]): void {
  const filling = bands.flatMap(({ fill }, index) => (fill ? [index + 1] : []));
  if (filling.length === 1) return;
  const message =
    filling.length === 0
      ? 'No band fills the piece. Let one of them take what the others leave.'
      : `Bands ${filling.join(' and ')} both fill the piece. Give all but one of them so many rows.`;
  throw new PlanProblem([{ path: 'fabric.bands', message }]);
}

function workBand(
  { stitch, pattern, gauge, hookMm, colour, ...long }: BandSpec,
  spec: FabricSpec,
  swatch: WorkedFabric,
) {
  const on = hookMm ?? spec.hookMm;
  const { bands: _bands, pattern: _pattern, gauge: _gauge, ...yarn } = spec;
  const fabric = gauge
    ? workFabric({ ...yarn, stitch, ...(pattern ? { pattern } : {}), gauge, hookMm: on }, swatch.worked)
    : onHook(swatch.also(stitch, swatch.worked, pattern), on);
  const courses = long.mm === undefined ? long.courses : Math.max(1, Math.round(long.mm / fabric.rowHeight.value));
  return {
    fabric,
    courses: long.fill ? undefined : (courses ?? 1),
    ...(pattern ? { pattern } : {}),
    ...(colour ? { colour } : {}),
    ...(on === spec.hookMm ? {} : { hookMm: on }),
    ...(isTaped(gauge) ? { taped: true as const } : {}),
  };
}

const isTaped = ({ stitches = [], roundStitches = [] }: NonNullable<BandSpec['gauge']> = {}): boolean =>
  [...stitches, ...roundStitches].some(({ on }) => on === 'piece');

/** The same fabric on another hook: larger or smaller as a single would be on it (prior, handbook 2.1). */
function onHook(fabric: WorkedFabric, hookMm: number): WorkedFabric {
  if (hookMm === fabric.hookMm) return fabric;
  const ratio = singleWidth(hookMm, fabric.yarn.value) / singleWidth(fabric.hookMm, fabric.yarn.value);
  const f = chosen(ratio, '1', 'the band’s own hook');
  const on = (size: Figure<'mm'>, name: 'w' | 'h') =>
    derive('mm', `${name} = ${name}₀ × hook`, { [`${name}₀`]: size, hook: f }, (v) => v[`${name}₀`]! * v.hook!);
  const stitchWidth = on(fabric.stitchWidth, 'w');
  return { ...fabric, stitchWidth, rowHeight: on(fabric.rowHeight, 'h'), hookMm };
}

/** Counts that suit every band are again of the form `repeat × k + edge` (law). */
function commonMultiple(bands: readonly WorkedBand[], worked: WorkedFabric['worked']): Multiple {
  return bands.reduce<Multiple>(
    (all, { fabric }, index) => {
      const own = fabric.stitch[worked];
      const both = bothMultiples(all, own);
      if (both) return both;
      const name = `{${fabric.stitch.id}}`;
      throw new PlanProblem([
        {
          path: `fabric.bands[${index}].stitch`,
          message: `No count suits “${name}” and the bands before it: it needs a multiple of ${own.repeat}${own.edge > 0 ? ` plus ${own.edge}` : ''}, and they ${all.repeat}${all.edge > 0 ? ` plus ${all.edge}` : ''}. Use another stitch here.`,
        },
      ]);
    },
    { repeat: 1, edge: 0 },
  );
}

function bothMultiples(a: Multiple, b: Multiple): Multiple | undefined {
  const repeat = (a.repeat * b.repeat) / gcd(a.repeat, b.repeat);
  const least = Math.max(a.edge, b.edge);
  for (let count = least; count < least + repeat; count += 1)
    if ((count - a.edge) % a.repeat === 0 && (count - b.edge) % b.repeat === 0) return { repeat, edge: count };
  return undefined;
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** What the first of several bands is worked in; of one stitch, that. */
export const firstFabric = (fabric: WorkedFabric): WorkedFabric => fabric.bands?.[0]?.fabric ?? fabric;

/** What the last of several bands is worked in; of one stitch, that. */
export const lastFabric = (fabric: WorkedFabric): WorkedFabric => fabric.bands?.at(-1)?.fabric ?? fabric;
