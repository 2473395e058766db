import type { Advice } from '../figure';
import { formatNumber } from '../units';
import type { FabricSpec, WorkedFabric } from './fabric';
import { workFabric } from './fabric';
import { yarnOf } from './yarn';

/** What is asked of the fabric besides its size. */
export interface Duty {
  /** The narrowest tip that lies in it, mm. */
  tipMm?: number;
  /** What it carries, g. */
  loadG?: number;
  /** Whether it gets wet or hot. */
  wet?: boolean;
}

/** Below this much yarn for its width a pouch sags and things poke through (prior, handbook 2.3). */
export const LEAST_COVER = 0.3;

/** A load that wants a firm fabric, g (prior, ours). */
const HEAVY_G = 250;

/** Fibres that take water and stand heat; any other named one softens or felts (prior, handbook 2.3). */
const PLANT = /cotton|linen|hemp|jute|bamboo|ramie/i;

/**
 * The hole between plain stitches, mm: `max(0, w − 1.6 d)`; for open patterns as much more as they leave (prior,
 * handbook 2.3).
 */
export function gapOf({ stitch, stitchWidth, yarn }: WorkedFabric): number {
  return Math.max(0, stitchWidth.value - 1.6 * yarn.value) + stitch.gap * stitchWidth.value;
}

/** Whether the fabric is fit for what is asked of it; each finding with its repair (handbook 2.3). */
export function fitness(spec: FabricSpec, fabric: WorkedFabric, duty: Duty): Advice[] {
  return [...cover(spec, fabric), ...pokes(fabric, duty), ...load(spec, fabric, duty), ...wet(spec, duty)];
}

function cover(spec: FabricSpec, { cover: c, hookMm, stitch }: WorkedFabric): Advice[] {
  // an open pattern is open by choice
  if (c.value >= LEAST_COVER || stitch.gap > 0.5) return [];
  const firmer = Math.max(1, hookMm - 0.5);
  // how a hook changes it hangs on no swatch, and on no stitch: a pattern of the maker's own knows no other size
  const estimated = (hook: number) => workFabric({ ...spec, stitch: 'single', hookMm: hook, gauge: {} }).cover.value;
  const then = estimated(firmer) / estimated(hookMm);
  return [
    {
      id: 'fabric-open',
      severity: 'advice',
      text: `The yarn covers ${formatNumber(c.value, 2)} of a stitch’s width; under ${LEAST_COVER} a pouch sags.`,
      repair: `Try a ${formatNumber(firmer, 2)} mm hook: about ${formatNumber(c.value * then, 2)}. Or hold two strands together.`,
      at: 'fabric.hookMm',
      change: { 'fabric.hookMm': firmer, 'fabric.gauge': {} },
    },
  ];
}

function pokes(fabric: WorkedFabric, { tipMm }: Duty): Advice[] {
  const gap = gapOf(fabric);
  if (tipMm === undefined || tipMm >= gap) return [];
  const firmer = Math.max(1, fabric.hookMm - 1);
  return [
    {
      id: 'pokes-through',
      severity: 'warning',
      text: `A tip of ${formatNumber(tipMm)} mm goes through the holes of this fabric, about ${formatNumber(gap)} mm.`,
      repair: `Add a lining, or use a hook of ${formatNumber(firmer, 2)} mm (the counts will change).`,
      at: 'fabric.hookMm',
      change: { 'fabric.hookMm': firmer, 'fabric.gauge': {} },
    },
  ];
}

/** Category 3 and up, by its metres; thinner yarn wants to be firm (prior, handbook 2.3). */
const THIN_METRES = 275;

function load(spec: FabricSpec, { cover: c }: WorkedFabric, { loadG }: Duty): Advice[] {
  if (loadG === undefined || loadG < HEAVY_G) return [];
  const yarn = yarnOf(spec);
  const strands = yarn.strands ?? 1;
  const thin = yarn.metresPer100g !== undefined ? yarn.metresPer100g / strands > THIN_METRES : (yarn.category ?? 4) < 3;
  if (!thin && c.value >= LEAST_COVER) return [];
  return [
    {
      id: 'load-on-thin-fabric',
      severity: 'warning',
      text: `It is to carry ${formatNumber(loadG, 0)} g, and this fabric is ${thin ? 'thin' : 'loose'}: it will sag.`,
      repair: thin ? `Hold ${strands + 1} strands together, or take a thicker yarn.` : 'Take a smaller hook.',
      at: 'fabric.yarn',
      ...(thin && !spec.yarns ? { change: { 'fabric.yarn.strands': strands + 1, 'fabric.gauge': {} } } : {}),
    },
  ];
}

function wet({ yarn, yarns = [yarn] }: FabricSpec, { wet: isWet }: Duty): Advice[] {
  const fibre = yarns.map((one) => one.fibre).find((one) => one && !PLANT.test(one));
  if (!isWet || !fibre) return [];
  return [
    {
      id: 'wet-fibre',
      severity: 'advice',
      text: `It gets wet or warm, and this yarn is ${fibre}.`,
      repair: 'Cotton or another plant fibre takes water and washes; plastic fibre softens with heat.',
      at: 'fabric.yarn',
    },
  ];
}

export interface OnAnotherHook {
  hookMm: number;
  /** How much larger the same counts come out, as a ratio. */
  scale: number;
  cover: number;
}

/** The same counts on another hook: they scale by `w'/w` (law on estimated widths, handbook 2.3). */
export function sameCountsOn(spec: FabricSpec, fabric: WorkedFabric, hookMm: number): OnAnotherHook {
  const width = (mm: number) => workFabric({ ...spec, hookMm: mm, gauge: {}, stitch: 'single' }).stitchWidth.value;
  const scale = width(hookMm) / width(spec.hookMm);
  return { hookMm, scale, cover: fabric.cover.value / scale };
}
