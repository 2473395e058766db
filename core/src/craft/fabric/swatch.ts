import type { Advice } from '../../base/figure';
import { formatNumber, withArticle, type FieldValues } from '../../base/units';
import { gaugeElsewhere, type GaugeSpec } from './gauge';
import { stitchDefinition } from './stitches';
import type { YarnSpec } from './yarn';
import type { FabricSpec } from './types';

/** What one yarn measured on one hook in one stitch. */
export interface SwatchSpec {
  stitch: string;
  hookMm: number;
  pattern?: FieldValues;
  gauge: GaugeSpec;
}

const sameStitch = (
  a: { stitch: string; pattern?: FieldValues | undefined },
  b: { stitch: string; pattern?: FieldValues | undefined },
) => a.stitch === b.stitch && JSON.stringify(a.pattern ?? {}) === JSON.stringify(b.pattern ?? {});

/** The fabric a swatch was worked in, as a plan writes it: its stitch, what was set of it, hook and gauge. */
export function fabricFromSwatch({ stitch, hookMm, pattern, gauge }: SwatchSpec, yarn: YarnSpec): FabricSpec {
  return { stitch, ...(pattern ? { pattern } : {}), hookMm, yarn, gauge };
}

/**
 * A plan's fabric with the gauge of a swatch. One in another stitch, or set otherwise, keeps the name of its own, and one on
 * another hook that hook, so that it informs the estimate and is never taken for a gauge of the plan's.
 */
export function withSwatch(fabric: FabricSpec, swatch: SwatchSpec): FabricSpec {
  const gauge = gaugeFor(fabric, swatch);
  return { ...fabric, gauge: swatch.hookMm === fabric.hookMm ? gauge : { ...gauge, hookMm: swatch.hookMm } };
}

/** What was measured of a plan's fabric, as a swatch of its own: under the stitch it was worked in. */
export function swatchOf({ stitch, pattern, hookMm, gauge = {} }: FabricSpec): SwatchSpec {
  const { stitch: worked, pattern: set, hookMm: hook = hookMm, ...measures } = gauge;
  const own = worked === undefined ? { stitch, pattern } : { stitch: worked, pattern: set };
  return {
    stitch: own.stitch,
    hookMm: hook,
    ...(own.pattern ? { pattern: own.pattern } : {}),
    gauge: gaugeElsewhere(measures),
  };
}

/** A plan's fabric in another stitch, begun with its defaults; what was measured stays, under the name of its own stitch. */
export function withStitch({ pattern: _pattern, ...fabric }: FabricSpec, stitch: string): FabricSpec {
  const { gauge } = fabric;
  if (!gauge || countMeasures(gauge) === 0) return { ...fabric, stitch };
  const was = { stitch: fabric.stitch, pattern: _pattern, ...ownStitchOf(gauge) };
  return { ...fabric, stitch, gauge: gaugeFor({ stitch }, { ...was, gauge }) };
}

function ownStitchOf({ stitch, pattern }: GaugeSpec): { stitch: string; pattern: FieldValues | undefined } | undefined {
  return stitch === undefined ? undefined : { stitch, pattern };
}

function gaugeFor(
  fabric: { stitch: string; pattern?: FieldValues },
  swatch: { stitch: string; pattern?: FieldValues | undefined; gauge: GaugeSpec },
): GaugeSpec {
  const { stitch: _stitch, pattern: _pattern, ...gauge } = swatch.gauge;
  if (sameStitch(fabric, swatch)) return gauge;
  return { ...gauge, stitch: swatch.stitch, ...(swatch.pattern ? { pattern: swatch.pattern } : {}) };
}

/** Whether what was measured was worked in another stitch than the fabric's own. */
export function isOfAnotherStitch({
  stitch,
  pattern,
  gauge,
}: Pick<FabricSpec, 'stitch' | 'pattern' | 'gauge'>): boolean {
  if (gauge?.stitch === undefined) return false;
  return !sameStitch({ stitch, pattern }, { stitch: gauge.stitch, pattern: gauge.pattern });
}

/** The hook that what was measured was worked with, where it is another than the fabric's. */
export function otherHookOf({ hookMm, gauge }: Pick<FabricSpec, 'hookMm' | 'gauge'>): number | undefined {
  return gauge?.hookMm === undefined || gauge.hookMm === hookMm ? undefined : gauge.hookMm;
}

/**
 * The entries that put a fabric on another hook: what was measured stays, under the hook it was worked with, which is left
 * out where it is the fabric's own.
 */
export function hookChange({ hookMm, gauge }: FabricSpec, to: number): Record<string, number | undefined> {
  if (!gauge || countMeasures(gauge) === 0) return { 'fabric.hookMm': to };
  const worked = gauge.hookMm ?? hookMm;
  return { 'fabric.hookMm': to, 'fabric.gauge.hookMm': worked === to ? undefined : worked };
}

/** The same fabric on another hook, as `hookChange` says it. */
export function onHook(fabric: FabricSpec, to: number): FabricSpec {
  const { 'fabric.gauge.hookMm': worked } = hookChange(fabric, to);
  if (!fabric.gauge) return { ...fabric, hookMm: to };
  const { hookMm: _worked, ...gauge } = fabric.gauge;
  return { ...fabric, hookMm: to, gauge: worked === undefined ? gauge : { ...gauge, hookMm: worked } };
}

/** How many measures there are of a fabric. */
export function countMeasures({ stitches, rows, roundStitches, rounds, chains }: GaugeSpec): number {
  return [stitches, rows, roundStitches, rounds, chains].reduce((sum, list) => sum + (list?.length ?? 0), 0);
}

/** Says that a swatch in another stitch only informs the estimate (handbook 2.2; the 5 % a prior, ours). */
export function swatchAdvice(fabric: FabricSpec): Advice[] {
  const { gauge } = fabric;
  if (!gauge || countMeasures(gauge) === 0) return [];
  if (!isOfAnotherStitch(fabric)) return onAnotherHook(fabric);
  const definition = stitchDefinition(fabric.gauge!.stitch!);
  const swatch = definition ? `{${definition.id}}` : fabric.gauge!.stitch!;
  return [
    {
      id: 'swatch-of-another-stitch',
      severity: 'advice',
      text: `Your swatch is in ${swatch}, and this is worked in {${fabric.stitch}}: its sizes follow from the swatch by the usual proportion of the two, to about 5 %.`,
      repair: 'Measure a swatch in the stitch of the plan to be sure.',
      at: 'fabric.gauge',
    },
  ];
}

/** Says that a swatch on another hook only informs the estimate (handbook 2.1 and 2.3; the 3 % a prior, ours). */
function onAnotherHook(fabric: FabricSpec): Advice[] {
  const hook = otherHookOf(fabric);
  if (hook === undefined) return [];
  return [
    {
      id: 'swatch-on-another-hook',
      severity: 'advice',
      text: `Your swatch is on ${withArticle(`${formatNumber(hook, 2)} mm hook`)}, and this is on ${withArticle(`${formatNumber(fabric.hookMm, 2)} mm hook`)}: its sizes follow from the swatch, to about 3 %.`,
      repair: 'Measure a swatch on the hook of the plan to be sure.',
      at: 'fabric.gauge',
    },
  ];
}
