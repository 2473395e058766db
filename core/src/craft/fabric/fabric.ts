import { attempted, chosen, derive, measured, PlanProblem, prior, type Advice, type Figure } from '../../base/figure';
import { formatNumber, withArticle, withDefaults, type FieldValues } from '../../base/units';
import { estimateChain, estimateSizes, estimateThickness, singleWidth, WIDTH_SPREAD } from './estimate';
import {
  finishedAs,
  informedBy,
  atOnePlace,
  measuredOf,
  updateGauge,
  type Evidence,
  type GaugeMeasure,
  type Kin,
  type Measured,
} from './gauge';
import { methodInfo } from '../things';
import { CHAIN, stitchDefinition, stitchPattern, type StitchPattern } from './stitches';
import { isOfAnotherStitch, otherHookOf } from './swatch';
import { yarnDiameter, yarnOf } from './yarn';
import type { FabricSpec, WorkedIn, WorkedFabric } from './types';
/** Rows stand in for rounds, and rounds for rows, with so much more uncertainty (prior, handbook 2.1). */
const OTHER_WAY_SPREAD = 0.04;

/** One stitch's gauge stands in for another's on the same hook, by their factors, with so much more (prior, ours). */
const OTHER_STITCH_SPREAD = 0.05;

/** One hook's gauge stands in for another's by the rule for estimates, with so much more (prior, ours). */
const OTHER_HOOK_SPREAD = 0.03;

/**
 * Everything a plan needs to know of its fabric: sizes in mm from what was measured, else estimated. What `also` gives is
 * always derived from this one, so that the way to a stitch does not matter.
 *
 * @param worked the way the piece is worked; gauges of the other way count with 4 % more uncertainty
 * @param girth the thing's girth, for chains that were tried round it
 * @throws PlanProblem when a pattern of the maker's own comes without a swatch
 * @source handbook 2
 */
export function workFabric(spec: FabricSpec, worked: WorkedIn = 'rows', girth?: Figure<'mm'>): WorkedFabric {
  refuseUnswatched(spec);
  const known = new Map<string, WorkedFabric>();
  const also: WorkedFabric['also'] = (id, way, options) => {
    const isOwn = id === spec.stitch && (options === undefined || isSame(id, options, spec.pattern));
    const key = isOwn ? way : `${id} ${way} ${options ? JSON.stringify(options) : ''}`;
    const before = known.get(key);
    if (before) return before;
    const fabric = isOwn
      ? swatched(spec, way, girth, also)
      : akinTo(swatchedFabric, stitchPattern(id, options), way, also);
    known.set(key, fabric);
    return fabric;
  };
  const swatchedFabric = also(spec.stitch, worked);
  return swatchedFabric;
}

/** What a fabric comes to; nothing where a pattern of the maker's own has not been measured. */
export function fabricIfMeasured(spec: FabricSpec): WorkedFabric | null {
  return attempted(() => workFabric(spec)) ?? null;
}

/** Whether a stitch is set alike: what is not said is as it usually is. */
function isSame(id: string, a: FieldValues = {}, b: FieldValues = {}): boolean {
  const fields = stitchDefinition(id)?.options ?? [];
  return JSON.stringify(withDefaults(fields, a)) === JSON.stringify(withDefaults(fields, b));
}

/** The plan's own stitch worked one way, from what was measured of it. */
export function swatched(
  spec: FabricSpec,
  worked: WorkedIn,
  girth: Figure<'mm'> | undefined,
  also: WorkedFabric['also'],
): WorkedFabric {
  const stitch = stitchPattern(spec.stitch, spec.pattern);
  const yarn = yarnDiameter(yarnOf(spec));
  const hook = chosen(spec.hookMm, 'mm', 'hook');
  const estimate = estimateSizes(hook, yarn, stitch, worked, spec.hand);
  const { stitchWidth, rowHeight, chains } = evidenceOf(spec, stitch, worked, girth);
  const width = updateGauge(informed(estimate.width, estimate.height, rowHeight), stitchWidth);
  const chain = updateGauge(estimateChain(width, stitch), { measures: chains });
  return {
    stitch,
    worked,
    stitchWidth: width,
    rowHeight: updateGauge(informed(estimate.height, estimate.width, stitchWidth), rowHeight),
    chain: onChainHook(spec, yarn, chain),
    thickness: thicknessOf(spec, yarn, stitch),
    cover: coverOf(yarn, width),
    yarn,
    hookMm: spec.hookMm,
    estimate: { stitchWidth: estimate.width, rowHeight: estimate.height },
    ...(finishedAs(spec.gauge) ? { finishedAs: finishedAs(spec.gauge)! } : {}),
    ...(spec.strapGrowth ? { strapGrowth: spec.strapGrowth } : {}),
    also,
  };
}

/** One size's estimate once the other of the same hand was measured. */
function informed(size: Figure<'mm'>, other: Figure<'mm'>, evidence: Evidence): Figure<'mm'> {
  return informedBy(size, { estimate: other, came: updateGauge(other, evidence) });
}

/** Another stitch, or another way, by the ratio of their factors. */
function akinTo(
  swatch: WorkedFabric,
  stitch: StitchPattern,
  worked: WorkedIn,
  also: WorkedFabric['also'],
): WorkedFabric {
  const { width, height } = akinSizes(swatch, stitch, worked);
  return {
    ...swatch,
    stitch,
    worked,
    stitchWidth: width,
    rowHeight: height,
    thickness: thicknessLike(swatch, stitch),
    cover: coverOf(swatch.yarn, width),
    estimate: { stitchWidth: width, rowHeight: height },
    also,
  };
}

/** Half of two layers that were measured together, else an estimate; of a swatch in another stitch by what both are thick. */
function thicknessOf(spec: FabricSpec, yarn: Figure<'mm'>, stitch: StitchPattern): Figure<'mm'> {
  const layers = spec.gauge?.twoLayers;
  if (!layers) return estimateThickness(yarn, stitch);
  const { name, sd } = methodInfo(layers.by);
  const two = measured(layers.mm, 'mm', sd(layers.mm), `two layers, ${name}`);
  const own = derive('mm', 't = two layers / 2', { two }, (v) => v.two / 2);
  if (!isOfAnotherStitch(spec)) return own;
  return scaledThickness(own, stitchPattern(spec.gauge!.stitch!, spec.gauge!.pattern), stitch);
}

/** Another stitch's thickness in the same yarn: from the measured one by what both are thick, else estimated. */
function thicknessLike(swatch: WorkedFabric, stitch: StitchPattern): Figure<'mm'> {
  if (swatch.thickness.kind !== 'measured') return estimateThickness(swatch.yarn, stitch);
  return scaledThickness(swatch.thickness, swatch.stitch, stitch);
}

function scaledThickness(t: Figure<'mm'>, from: StitchPattern, to: StitchPattern): Figure<'mm'> {
  const ratio = to.factors.thickness / from.factors.thickness;
  const f = prior(ratio, '1', OTHER_STITCH_SPREAD * ratio, 'one stitch against the other');
  return derive('mm', 't = t₀ × f', { 't₀': t, f }, (v) => v['t₀'] * v.f);
}

function coverOf(yarn: Figure<'mm'>, width: Figure<'mm'>): Figure<'1'> {
  return derive('1', 'c = d / w', { d: yarn, w: width }, (v) => v.d / v.w);
}

/** What was measured that speaks of a stitch's width and height, and of a chain. */
function evidenceOf(
  { gauge = {}, ...spec }: FabricSpec,
  stitch: StitchPattern,
  worked: WorkedIn,
  girth: Figure<'mm'> | undefined,
): { stitchWidth: Evidence; rowHeight: Evidence; chains: Measured[] } {
  // what reaches round a thing is a measure only where the thing is known
  const read = (list: readonly GaugeMeasure[] = []): Measured[] =>
    list.filter(({ reaches }) => !reaches || girth).map((m) => measuredOf(m, girth));
  const inRows = worked === 'rows';
  const [own, other] = inRows ? [gauge.stitches, gauge.roundStitches] : [gauge.roundStitches, gauge.stitches];
  const [ownTall, otherTall] = inRows ? [gauge.rows, gauge.rounds] : [gauge.rounds, gauge.rows];
  const otherWay: WorkedIn = inRows ? 'rounds' : 'rows';
  const height = (of: StitchPattern, way: WorkedIn) => (way === 'rows' ? of.factors.rowHeight : of.factors.roundHeight);
  const apart = apartFrom({ ...spec, gauge });
  const swatch = apart.isStitch ? stitchPattern(gauge.stitch!, gauge.pattern) : stitch;
  const wide = apart.scale * (stitch.factors.width / swatch.factors.width);
  const tall = (way: WorkedIn) => apart.scale * (height(stitch, worked) / height(swatch, way));
  const further = Math.hypot(apart.spread, OTHER_WAY_SPREAD);
  const from = [...apart.names, otherWay === 'rounds' ? 'in rounds' : 'in rows'].join(', ');
  const chains = read(gauge.chains);
  const chained: Kin = {
    measures: chains,
    ratio: stitch.factors.width / CHAIN.width,
    spread: WIDTH_SPREAD,
    from: 'chain',
  };
  const evidence = (near: Measured[], far: Measured[], ratio: number, farRatio: number): Evidence => {
    const kin = { measures: far, ratio: farRatio, spread: further, from };
    if (apart.names.length === 0) return { measures: near, akin: [kin] };
    return { measures: [], akin: [{ measures: near, ratio, spread: apart.spread, from: apart.names.join(', ') }, kin] };
  };
  const across = (list: readonly GaugeMeasure[] | undefined) => read(list).map(atOnePlace);
  const width = evidence(across(own), across(other), wide, wide);
  return {
    stitchWidth: { ...width, akin: [...width.akin!, chained] },
    rowHeight: evidence(read(ownTall), read(otherTall), tall(worked), tall(otherWay)),
    chains,
  };
}

/** How what was measured is apart from the fabric that is planned: in another stitch, on another hook, or both. */
interface Apart {
  isStitch: boolean;
  /** How much larger this fabric's stitches are for its hook, as a ratio. */
  scale: number;
  spread: number;
  names: string[];
}

function apartFrom(spec: FabricSpec): Apart {
  const isStitch = isOfAnotherStitch(spec);
  const hook = otherHookOf(spec);
  const yarn = hook === undefined ? 0 : yarnDiameter(yarnOf(spec)).value;
  return {
    isStitch,
    scale: hook === undefined ? 1 : singleWidth(spec.hookMm, yarn) / singleWidth(hook, yarn),
    spread: Math.hypot(isStitch ? OTHER_STITCH_SPREAD : 0, hook === undefined ? 0 : OTHER_HOOK_SPREAD),
    names: [...(isStitch ? ['another stitch'] : []), ...(hook === undefined ? [] : [`on ${formatNumber(hook, 2)} mm`])],
  };
}

/** A chain on a hook of its own: larger or smaller as a stitch would be on it (prior, handbook 2.1). */
function onChainHook({ hookMm, chainHookMm }: FabricSpec, yarn: Figure<'mm'>, chain: Figure<'mm'>): Figure<'mm'> {
  if (chainHookMm === undefined) return chain;
  const ratio = singleWidth(chainHookMm, yarn.value) / singleWidth(hookMm, yarn.value);
  const on = chosen(ratio, '1', `${withArticle(`${formatNumber(chainHookMm, 2)} mm hook`)} for chains`);
  return derive('mm', 'wc = wc₀ × hook', { 'wc₀': chain, hook: on }, (v) => v['wc₀'] * v.hook);
}

/** Another stitch's sizes on the same yarn, hook and hand: by the ratio of their factors. */
function akinSizes(
  swatch: WorkedFabric,
  to: StitchPattern,
  way: WorkedIn,
): { width: Figure<'mm'>; height: Figure<'mm'> } {
  const from = swatch.stitch;
  const heightOf = (pattern: StitchPattern, by: WorkedIn) =>
    by === 'rows' ? pattern.factors.rowHeight : pattern.factors.roundHeight;
  const by = (figure: Figure<'mm'>, ratio: number, name: 'w' | 'h'): Figure<'mm'> => {
    const f = prior(ratio, '1', OTHER_STITCH_SPREAD * ratio, 'one stitch against the other');
    return derive('mm', `${name} = ${name}₀ × f`, { [`${name}₀`]: figure, f }, (v) => v[`${name}₀`]! * v.f!);
  };
  return {
    width: by(swatch.stitchWidth, to.factors.width / from.factors.width, 'w'),
    height: by(swatch.rowHeight, heightOf(to, way) / heightOf(from, swatch.worked), 'h'),
  };
}

function refuseUnswatched(spec: FabricSpec): void {
  const { stitch } = spec;
  if (!stitchDefinition(stitch)!.wantsSwatch) return;
  const gauge = isOfAnotherStitch(spec) ? {} : spec.gauge;
  const faults = (['stitches', 'rows'] as const).flatMap((key) =>
    (gauge?.[key]?.length ?? 0) + (gauge?.[key === 'rows' ? 'rounds' : 'roundStitches']?.length ?? 0) > 0
      ? []
      : [
          {
            path: `fabric.gauge.${key}`,
            message: `A pattern of your own needs a swatch: nothing else tells its size. Measure some ${key} of it.`,
          },
        ],
  );
  if (faults.length > 0) throw new PlanProblem(faults);
}

/** A swatch this many times larger or smaller than the estimate is doubted aloud. */
const ODD_RATIO = 2.5;

/**
 * Doubts a swatch that is far from what this yarn on this hook gives: usually a slipped unit or a miscount. A question,
 * never a refusal: the swatch is used as given.
 */
export function doubtGauge(spec: FabricSpec, worked: WorkedFabric): Advice[] {
  // of several stitches it is the plan's own that was swatched
  const { stitchWidth, rowHeight } = worked.also(spec.stitch, worked.worked, spec.pattern).estimate;
  const asked = [
    { list: spec.gauge?.stitches, path: 'stitches', estimate: stitchWidth, one: 'stitch' },
    { list: spec.gauge?.rows, path: 'rows', estimate: rowHeight, one: 'row' },
    { list: spec.gauge?.roundStitches, path: 'roundStitches', estimate: stitchWidth, one: 'stitch' },
    { list: spec.gauge?.rounds, path: 'rounds', estimate: rowHeight, one: 'round' },
  ];
  // nothing is usual of a pattern of one's own
  if (stitchDefinition(spec.stitch)!.wantsSwatch || isOfAnotherStitch(spec)) return [];
  return asked.flatMap(({ list, path, estimate, one }) =>
    (list ?? []).flatMap((measure, index) => {
      if (measure.overMm === undefined) return [];
      const size = measure.overMm / measure.count;
      const ratio = size / estimate.value;
      if (ratio < ODD_RATIO && ratio > 1 / ODD_RATIO) return [];
      return [
        {
          id: 'gauge-far-from-estimate',
          severity: 'question' as const,
          text: `${formatNumber(size)} mm a ${one} is ${farOff(ratio)} what this yarn usually gives on ${withArticle(`${formatNumber(spec.hookMm, 2)} mm hook`)} (about ${formatNumber(estimate.value)} mm).`,
          repair: 'Check the count, the length and its unit. If they are right, carry on: the swatch is used as it is.',
          at: `fabric.gauge.${path}[${index}]`,
        },
      ];
    }),
  );
}

function farOff(ratio: number): string {
  return ratio > 1 ? `${formatNumber(ratio)} times` : `only ${formatNumber(100 * ratio, 0)} % of`;
}
