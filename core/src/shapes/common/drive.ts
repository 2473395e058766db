import type { ShapeContext } from '../definition';
import type { Drive } from '../../drawing';
import { flapOverlap } from './flat';

/** How far a cover may be drawn past its thing, mm: what the plan's form takes. */
const MOST_COVER_MM = 500;

/** A height drawn longer or shorter changes how far the cover reaches past the thing, row by row. */
export function coverDrive({ fit, fabric }: ShapeContext): Drive {
  return { path: 'fit.coverMm', value: fit.coverEase.value, step: fabric.rowHeight.value, min: 0, max: MOST_COVER_MM };
}

/** A flap drawn longer or shorter reaches further or less far down, row by row. */
export function flapDrive({ demands, thing, fabric }: ShapeContext): Record<string, Drive> {
  const { flap } = demands;
  if (!flap || !flap.path.includes('[')) return {};
  const { value } = flapOverlap(demands, thing.height);
  const max = thing.height.value;
  return { flap: { path: `${flap.path}.overlapMm`, value, step: fabric.rowHeight.value, min: 5, max } };
}
