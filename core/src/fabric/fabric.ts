import { chosen, derive, PlanProblem, prior, type Advice, type Figure } from '../figure';
import type { FieldValues } from '../units';
import { formatNumber } from '../units';
import {
  CHAIN_FACTOR,
  estimateChain,
  estimateSizes,
  estimateThickness,
  WIDTH_SPREAD,
  type Hand,
  type Sizes,
} from './estimate';
import { measuredOf, updateGauge, type GaugeMeasure, type GaugeSpec, type Measured } from './gauge';
import { stitchDefinition, stitchPattern, type StitchPattern } from './stitches';
import { yarnDiameter, type YarnSpec } from './yarn';

/** Stitch pattern, yarn, hook, and what was measured of them. */
export interface FabricSpec {
  stitch: string;
  /** What is set of the stitch pattern: chains of a net, rows of a stripe. */
  pattern?: FieldValues;
  hookMm: number;
  /** Another hook for foundation chains only. */
  chainHookMm?: number;
  yarn: YarnSpec;
  /** A weighed swatch: its grams over its stitches give the yarn of a stitch. */
  weighed?: { grams: number; stitches: number };
  /** Colours in the order they are worked, each for so many rows, over and over. */
  colours?: readonly { name: string; rows: number }[];
  gauge?: GaugeSpec;
  /** The maker's own hand with such yarn, where it is known. */
  hand?: Hand;
}

export type WorkedIn = 'rows' | 'rounds';

export interface WorkedFabric {
  stitch: StitchPattern;
  worked: WorkedIn;
  /** As worked in this plan's main way: in turned rows, or in rounds. */
  stitchWidth: Figure<'mm'>;
  rowHeight: Figure<'mm'>;
  chain: Figure<'mm'>;
  thickness: Figure<'mm'>;
  /** Yarn diameter over stitch width: below about 0.30 a pouch sags. */
  cover: Figure<'1'>;
  /** Yarn diameter, mm. */
  yarn: Figure<'mm'>;
  hookMm: number;
  estimate: { stitchWidth: Figure<'mm'>; rowHeight: Figure<'mm'> };
  /** The same yarn, hook and hand in another stitch, or worked the other way. */
  also: (stitch: string, worked: WorkedIn, options?: FieldValues) => WorkedFabric;
}

/** Rows stand in for rounds, and rounds for rows, with so much more uncertainty (prior, handbook 2.1). */
const OTHER_WAY_SPREAD = 0.04;

/** One stitch's gauge stands in for another's on the same hook, by their factors, with so much more (prior, ours). */
const OTHER_STITCH_SPREAD = 0.05;

/**
 * Everything a plan needs to know of its fabric: sizes in mm from what was measured, else estimated.
 *
 * @param worked the way the piece is worked; gauges of the other way count with 4 % more uncertainty
 * @param girth the thing's girth, for chains that were tried round it
 * @throws PlanProblem when a pattern of the maker's own comes without a swatch
 * @source handbook 2
 */
export function workFabric(spec: FabricSpec, worked: WorkedIn = 'rows', girth?: Figure<'mm'>): WorkedFabric {
  const stitch = stitchPattern(spec.stitch, spec.pattern);
  refuseUnswatched(spec);
  const yarn = yarnDiameter(spec.yarn);
  const hook = chosen(spec.hookMm, 'mm', 'hook');
  const estimate = estimateSizes(hook, yarn, stitch, worked, spec.hand);
  const read = (list: readonly GaugeMeasure[] = []): Measured[] => list.map((m) => measuredOf(m, girth));
  const { stitches, rows, roundStitches, rounds, chains } = spec.gauge ?? {};
  const [own, other] = worked === 'rows' ? [stitches, roundStitches] : [roundStitches, stitches];
  const [ownTall, otherTall] = worked === 'rows' ? [rows, rounds] : [rounds, rows];
  const { rowHeight, roundHeight } = stitch.factors;
  const way = worked === 'rows' ? rowHeight / roundHeight : roundHeight / rowHeight;
  const chained = read(chains);
  const name = worked === 'rows' ? 'in rounds' : 'in rows';

  const stitchWidth = updateGauge(estimate.width, {
    measures: read(own),
    akin: [
      { measures: read(other), ratio: 1, spread: OTHER_WAY_SPREAD, from: name },
      { measures: chained, ratio: stitch.factors.width / CHAIN_FACTOR, spread: WIDTH_SPREAD, from: 'chain' },
    ],
  });
  const sizes: Sizes = {
    width: stitchWidth,
    height: updateGauge(estimate.height, {
      measures: read(ownTall),
      akin: [{ measures: read(otherTall), ratio: way, spread: OTHER_WAY_SPREAD, from: name }],
    }),
  };
  const chain = onChainHook(spec, yarn, updateGauge(estimateChain(stitchWidth, stitch), { measures: chained }));
  return ready(spec, worked, stitch, yarn, sizes, chain, estimate, girth);
}

/** A chain on a hook of its own: larger or smaller as a stitch would be on it (prior, handbook 2.1). */
function onChainHook({ hookMm, chainHookMm }: FabricSpec, yarn: Figure<'mm'>, chain: Figure<'mm'>): Figure<'mm'> {
  if (chainHookMm === undefined) return chain;
  const size = (hook: number) => 0.8 * hook + 1.3 * yarn.value;
  const on = chosen(size(chainHookMm) / size(hookMm), '1', `a ${formatNumber(chainHookMm, 2)} mm hook for chains`);
  return derive('mm', 'wc = wc₀ × hook', { 'wc₀': chain, hook: on }, (v) => v['wc₀'] * v.hook);
}

function ready(
  spec: FabricSpec,
  worked: WorkedIn,
  stitch: StitchPattern,
  yarn: Figure<'mm'>,
  { width, height }: Sizes,
  chain: Figure<'mm'>,
  estimate: Sizes,
  girth?: Figure<'mm'>,
): WorkedFabric {
  return {
    stitch,
    worked,
    stitchWidth: width,
    rowHeight: height,
    chain,
    thickness: estimateThickness(yarn, stitch),
    cover: derive('1', 'c = d / w', { d: yarn, w: width }, (v) => v.d / v.w),
    yarn,
    hookMm: spec.hookMm,
    estimate: { stitchWidth: estimate.width, rowHeight: estimate.height },
    also: remembered((id, way, options) => {
      if (id === spec.stitch && way === worked && options === undefined)
        return ready(spec, worked, stitch, yarn, { width, height }, chain, estimate, girth);
      if (id === spec.stitch && options === undefined) return workFabric(spec, way, girth);
      const other = stitchPattern(id, options);
      const sizes = akinSizes({ width, height }, stitch, other, worked, way);
      return ready({ ...spec, stitch: id }, way, other, yarn, sizes, chain, sizes, girth);
    }),
  };
}

/** Edgings, joins and cords of one plan ask for the same stitch again and again. */
function remembered(work: WorkedFabric['also']): WorkedFabric['also'] {
  const known = new Map<string, WorkedFabric>();
  return (id, way, options) => {
    if (options !== undefined) return work(id, way, options);
    const key = `${id} ${way}`;
    const found = known.get(key) ?? work(id, way);
    known.set(key, found);
    return found;
  };
}

/** Another stitch's sizes on the same yarn, hook and hand: by the ratio of their factors. */
function akinSizes(sizes: Sizes, from: StitchPattern, to: StitchPattern, worked: WorkedIn, way: WorkedIn): Sizes {
  const heightOf = (pattern: StitchPattern, by: WorkedIn) =>
    by === 'rows' ? pattern.factors.rowHeight : pattern.factors.roundHeight;
  const by = (figure: Figure<'mm'>, ratio: number, name: 'w' | 'h'): Figure<'mm'> => {
    const f = prior(ratio, '1', OTHER_STITCH_SPREAD * ratio, `${to.name.US} against ${from.name.US}`);
    return derive('mm', `${name} = ${name}₀ × f`, { [`${name}₀`]: figure, f }, (v) => v[`${name}₀`]! * v.f!);
  };
  return {
    width: by(sizes.width, to.factors.width / from.factors.width, 'w'),
    height: by(sizes.height, heightOf(to, way) / heightOf(from, worked), 'h'),
  };
}

function refuseUnswatched({ stitch, gauge }: FabricSpec): void {
  if (!stitchDefinition(stitch)!.wantsSwatch) return;
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
  const { stitchWidth, rowHeight } = worked.estimate;
  const asked = [
    { list: spec.gauge?.stitches, path: 'stitches', estimate: stitchWidth, one: 'stitch' },
    { list: spec.gauge?.rows, path: 'rows', estimate: rowHeight, one: 'row' },
    { list: spec.gauge?.roundStitches, path: 'roundStitches', estimate: stitchWidth, one: 'stitch' },
    { list: spec.gauge?.rounds, path: 'rounds', estimate: rowHeight, one: 'round' },
  ];
  if (spec.stitch === 'own') return [];
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
          text: `${formatNumber(size)} mm a ${one} is ${farOff(ratio)} what this yarn usually gives on a ${formatNumber(spec.hookMm, 2)} mm hook (about ${formatNumber(estimate.value)} mm).`,
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
