import { stitchPattern, workFabric, type FabricSpec } from '../craft/fabric';
import type { FieldValues } from '../base/units';
import { PLAN_FORMAT, type Plan } from './plan';
import { evenCount } from '../shapes/practice/shape';

/** How large a practice swatch is. */
const STITCHES = 20;
const ROWS = 12;

/** A swatch is no thicker than so, mm; nobody measures it. */
const FLAT_MM = 5;

/**
 * A plan for a swatch in a stitch, to learn it by and to measure its gauge: about 20 stitches by 12 rows.
 *
 * @param fabric yarn, hook and stitch; what was measured of another swatch is left out
 * @param name what is practised
 * @param besides what else of the swatch is not as usual: what it is edged with
 * @source handbook 14
 */
export function practicePlan(
  { gauge: _gauge, bands: _bands, ...fabric }: FabricSpec,
  name: string,
  besides: FieldValues = {},
): Plan {
  const { stitchWidth, rowHeight } = workFabric(fabric);
  const stitches = evenCount(STITCHES, stitchPattern(fabric.stitch, fabric.pattern).rows).value;
  return {
    format: PLAN_FORMAT,
    title: `Practice swatch: ${name}`.slice(0, 120),
    thing: {
      kind: 'slab',
      name: 'swatch',
      width: { mm: Math.round(stitches * stitchWidth.value), by: 'eye' },
      height: { mm: Math.round(ROWS * rowHeight.value), by: 'eye' },
      depth: { mm: FLAT_MM, by: 'eye' },
    },
    fabric,
    shape: { kind: 'practice', stitches: STITCHES, rows: ROWS, ...besides },
    fit: { name: 'snug' },
    fittings: [],
  };
}

/** Whether a plan is of a swatch that a stitch is practised on. */
export const isPractice = ({ shape }: Pick<Plan, 'shape'>): boolean => shape.kind === 'practice';
