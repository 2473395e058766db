import { formatNumber } from '../../base/units';
import type { WorkedFabric } from '../../craft/fabric';
import type { WorkedThing } from '../../craft/things';
import { cutPouch } from './cutPouch';
import { standing, uprightFrom } from '../../drawing/draw';
import type { CutRow, Part, View } from '../../drawing/parts';

interface ClosedWish {
  context: { thing: WorkedThing; fabric: WorkedFabric };
  /** The closed piece's face. */
  width: number;
  height: number;
  front: Part[];
  /** How high front and back reach above the filled pouch's bottom. */
  frontUp: number;
  backUp: number;
  flap?: number;
  /** What a cut through it meets. */
  rows: { around: readonly CutRow[]; over?: readonly CutRow[] };
  count: string;
  choice: string;
}

/** The closed piece from the front with the thing in it, and cut through; for pieces of two layers. */
export function closedViews({
  context,
  width,
  height,
  front,
  frontUp,
  backUp,
  flap,
  rows,
  count,
  choice,
}: ClosedWish): View[] {
  const { thing, fabric } = context;
  const folded: Part[] = [
    ...front,
    ...standing(thing, 0, width, height),
    { type: 'dimension', along: 'x', from: 0, to: width, mm: width, count, choice },
    uprightFrom(0, height),
  ];
  const cut = cutPouch({
    D: thing.depth.value,
    H: thing.height.value,
    t: fabric.thickness.value,
    front: frontUp,
    back: backUp,
    rows,
    ...(flap === undefined ? {} : { flap }),
  });
  return [
    {
      id: 'folded',
      name: 'Closed',
      width,
      height,
      parts: folded,
      text: `Closed: {mm:${formatNumber(width)}} wide and {mm:${formatNumber(height)}} high.`,
    },
    {
      id: 'cut',
      name: 'Cut through',
      ...cut,
      text: `Cut through from front to back: {mm:${formatNumber(thing.depth.value)}} of the item between layers of {mm:${formatNumber(fabric.thickness.value)}}.`,
    },
  ];
}
