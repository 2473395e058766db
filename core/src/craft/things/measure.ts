import { derive, measured, prior, type Figure } from '../../base/figure';
import type { NumberField } from '../../base/units';

/** How a measure was taken. Each way has its own standard uncertainty. */
export type Method = 'calliper' | 'published' | 'ruler' | 'tape' | 'string' | 'photograph' | 'eye';

/** A measure of a thing: millimetres, how it was taken, and the text it was typed as. */
export interface Measure {
  mm: number;
  by?: Method;
  typed?: string;
  /** How well it is known, mm, where that was reckoned: from a photograph. */
  sd?: number;
}

interface MethodInfo {
  id: Method;
  name: string;
  /** Standard uncertainty for a length of `mm`, in mm. */
  sd: (mm: number) => number;
}

/** Standard uncertainties by way of measuring (prior, handbook 1). */
export const METHODS: readonly MethodInfo[] = [
  { id: 'calliper', name: 'calipers', sd: () => 0.2 },
  { id: 'published', name: 'from the manufacturer', sd: () => 0.5 },
  { id: 'ruler', name: 'ruler', sd: () => 1 },
  { id: 'tape', name: 'tape', sd: () => 2 },
  { id: 'string', name: 'string', sd: () => 3 },
  { id: 'photograph', name: 'from a photograph', sd: (mm) => Math.max(1, 0.01 * mm) },
  { id: 'eye', name: 'estimate by eye', sd: (mm) => 0.1 * mm },
];

export const DEFAULT_METHOD: Method = 'ruler';

/** A way of measuring with its spread; the ruler where none is named. */
export function methodInfo(by: Method = DEFAULT_METHOD): MethodInfo {
  return METHODS.find((method) => method.id === by) as MethodInfo;
}

/**
 * The figure of a measure.
 * @returns mm, with the spread its method has (prior, handbook 1)
 */
export function measureFigure(measure: Measure): Figure<'mm'> {
  const method = methodInfo(measure.by);
  return measured(measure.mm, 'mm', measure.sd ?? method.sd(measure.mm), method.name);
}

/** A measure of a thing or of an entry of its list as a figure. The form of the plan has seen to it that it is one. */
export function figureOf(
  holder: Readonly<Record<string, unknown>>,
  key: string,
  otherwise: Measure = { mm: 0 },
): Figure<'mm'> {
  return measureFigure((holder[key] as Measure | undefined) ?? otherwise);
}

/**
 * The depth of what gives way: squeezed by up to a share of it, covers take `D (1 − c)` (law, with c a prior; handbook 1).
 * What keeps its shape has no share and all of its depth.
 */
export function depthOf(holder: Readonly<Record<string, unknown>>): Figure<'mm'> {
  const depth = figureOf(holder, 'depth');
  if (!holder.soft) return depth;
  const c = prior(Number(holder.soft), '1', 0, 'gives way by');
  return derive('mm', 'D (1 − c)', { D: depth, c }, (v) => v.D * (1 - v.c));
}

/** How far a thing gives way, for kinds whose depth can be squeezed. */
export const SOFT: NumberField = {
  key: 'soft',
  kind: 'number',
  label: 'Soft: can be squeezed by',
  help: 'A share of its depth: 0.4 for tissues or a scarf. Leave it empty for what keeps its shape.',
  unit: '',
  min: 0,
  max: 0.8,
  optional: true,
};

/** The millimetres of a measure, or undefined where it is left out. */
export function mmOf(holder: Readonly<Record<string, unknown>>, key: string): number | undefined {
  return (holder[key] as Measure | undefined)?.mm;
}
