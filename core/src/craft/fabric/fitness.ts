import type { Advice } from '../../base/figure';
import { formatNumber, mmToken, typedToken, withArticle } from '../../base/units';
import { workFabric } from './fabric';
import { hookChange, onHook } from './swatch';
import { metresPer100g, yarnOf } from './yarn';
import type { FabricSpec, WorkedFabric } from './types';
import { PROPOSED_HOOKS } from './hooks';

/** What is asked of the fabric besides its size. */
export interface Duty {
  /** The narrowest tip that lies in it, mm. */
  tipMm?: number;
  /** What it carries, g. */
  loadG?: number;
  /** Whether it is small things, of no size of their own. */
  small?: boolean;
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

/** A fabric worked anew with other entries, as the plan works its own. */
type Again = (spec: FabricSpec) => WorkedFabric;

/**
 * Whether the fabric is fit for what is asked of it; each finding with a repair that clears it (handbook 2.3).
 *
 * @param again works the fabric with other entries, to see what would help
 */
export function fitness(spec: FabricSpec, fabric: WorkedFabric, duty: Duty, again: Again): Advice[] {
  return [
    ...cover(spec, fabric, again),
    ...pokes(spec, fabric, duty, again),
    ...falls(fabric, duty),
    ...load(spec, fabric, duty),
    ...wet(spec, duty),
  ];
}

/** A hook that may be changed: the plan’s, or a band’s own. */
interface HookPlace {
  path: string;
  mm: number;
  on: (mm: number) => FabricSpec;
  change: (mm: number) => Record<string, number | undefined>;
}

/** Where the hook is said that a fabric of the plan is worked on. */
function hookOf(spec: FabricSpec, index: number): HookPlace {
  const { bands = [] } = spec;
  const own = bands[index]?.hookMm;
  if (own === undefined)
    return {
      path: 'fabric.hookMm',
      mm: spec.hookMm,
      on: (mm) => onHook(spec, mm),
      change: (mm) => hookChange(spec, mm),
    };
  const path = `fabric.bands[${index}].hookMm`;
  const on = (mm: number) => ({
    ...spec,
    bands: bands.map((band, at) => (at === index ? { ...band, hookMm: mm } : band)),
  });
  return { path, mm: own, on, change: (mm) => ({ [path]: mm }) };
}

/** All that the first piece is worked in, band by band. */
const fabricsIn = (fabric: WorkedFabric): WorkedFabric[] => fabric.bands?.map((band) => band.fabric) ?? [fabric];

/** Hooks come in quarters of a millimetre. */
const HOOK_SIZES = 4;

/** The next hook down on which the fabric is as asked; none where no hook will do. @returns mm */
function firmerHook({ mm: now, on }: HookPlace, suits: (spec: FabricSpec) => boolean): number | undefined {
  const { step, least } = PROPOSED_HOOKS;
  const from = Math.ceil(now * HOOK_SIZES) / HOOK_SIZES;
  for (let mm = from - step; mm >= least; mm -= step) if (suits(on(mm))) return mm;
  return undefined;
}

/** An open pattern is open by choice. */
const isOpen = ({ cover: c, stitch }: WorkedFabric): boolean => c.value < LEAST_COVER && stitch.gap <= 0.5;

function cover(spec: FabricSpec, fabric: WorkedFabric, again: Again): Advice[] {
  const index = fabricsIn(fabric).findIndex(isOpen);
  if (index < 0) return [];
  const hook = hookOf(spec, index);
  const firm = firmerHook(hook, (other) => !isOpen(fabricsIn(again(other))[index]!));
  return [
    {
      id: 'fabric-open',
      severity: 'advice',
      text: `This yarn is thin for ${withArticle(`${formatNumber(hook.mm, 2)} mm hook`)}: the fabric will be open and may sag.`,
      repair: firm
        ? `Try ${withArticle(`${formatNumber(firm, 2)} mm hook`)}, or hold 2 strands together.`
        : 'No hook makes it firm. Hold two strands together, or choose a thicker yarn.',
      at: hook.path,
      ...(firm ? { change: hook.change(firm), otherwise: 'Hold two strands together, or choose a thicker yarn.' } : {}),
    },
  ];
}

function pokes(spec: FabricSpec, fabric: WorkedFabric, { tipMm }: Duty, again: Again): Advice[] {
  if (tipMm === undefined) return [];
  const gaps = fabricsIn(fabric).map(gapOf);
  const gap = Math.max(...gaps);
  if (tipMm >= gap) return [];
  const hook = hookOf(spec, gaps.indexOf(gap));
  const firm = firmerHook(hook, (other) => fabricsIn(again(other)).every((one) => tipMm >= gapOf(one)));
  return [
    {
      id: 'pokes-through',
      severity: 'warning',
      text: `A tip of ${typedToken(tipMm)} goes through the holes of this fabric, about ${mmToken(gap)}.`,
      repair: firm
        ? `Add a lining, or use a hook of ${formatNumber(firm, 2)} mm (the counts will change).`
        : 'Add a lining: no hook closes holes this large.',
      at: hook.path,
      ...(firm ? { change: hook.change(firm), otherwise: 'Add a lining, or choose a stitch that closes.' } : {}),
    },
  ];
}

/** Holes as wide as this let coins out, which go through on edge, mm (prior, ours). */
const FALLS_THROUGH_MM = 12;

function falls(fabric: WorkedFabric, { small }: Duty): Advice[] {
  const gap = Math.max(...fabricsIn(fabric).map(gapOf));
  if (!small || gap < FALLS_THROUGH_MM) return [];
  return [
    {
      id: 'falls-through',
      severity: 'warning',
      text: `Small things fall through the holes of this fabric, about ${mmToken(gap)}.`,
      repair: 'Add a lining, or choose a stitch that closes.',
      at: 'fabric.stitch',
    },
  ];
}

/** More strands than these are not held together by hand (ours). */
const MOST_STRANDS = 4;

/** Category 3 and up, by its metres; thinner yarn wants to be firm (prior, handbook 2.3). */
const THIN_METRES = 275;

function load(spec: FabricSpec, { cover: c }: WorkedFabric, { loadG }: Duty): Advice[] {
  if (loadG === undefined || loadG < HEAVY_G) return [];
  const yarn = yarnOf(spec);
  const strands = yarn.strands ?? 1;
  const metres = metresPer100g(yarn);
  const thin = metres / strands > THIN_METRES;
  if (!thin && c.value >= LEAST_COVER) return [];
  const enough = Math.ceil(metres / THIN_METRES);
  const many = enough <= MOST_STRANDS && !spec.yarns;
  return [
    {
      id: 'load-on-thin-fabric',
      severity: 'warning',
      text: `It is to carry ${formatNumber(loadG, 0)} g, and this fabric is ${thin ? 'thin' : 'loose'}: it will sag.`,
      repair: thin
        ? many
          ? `Hold ${enough} strands together, or take a thicker yarn.`
          : 'Choose a thicker yarn.'
        : 'Use a smaller hook.',
      at: 'fabric.yarn',
      ...(thin && many ? { change: { 'fabric.yarn.strands': enough, 'fabric.gauge': {} } } : {}),
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
      text: `This cover will get wet or hot, and your yarn is ${fibre}.`,
      repair: 'Use cotton or another plant fibre. Acrylic softens with heat; wool can felt.',
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
