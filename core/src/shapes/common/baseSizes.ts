import type { WorkedFabric } from '../../craft/fabric';
import type { Figure } from '../../base/figure';
import type { Sample } from '../../craft/fit';

/** Stitch width and round height of a base in a sample: the wall's own where both are of one stitch, else sizes besides. */
interface BaseSizes {
  w: (sample: Sample) => number;
  h: (sample: Sample) => number;
  also: Readonly<Record<string, Figure>>;
}

/** What a base measures when the wall on it is drawn (handbook 3: every figure that is uncertain is drawn once). */
export function baseSizes(base: WorkedFabric, wall: WorkedFabric): BaseSizes {
  if (base.stitch.id === wall.stitch.id) return { w: ({ w }) => w, h: ({ h }) => h, also: {} };
  return {
    w: ({ wBase }) => wBase!,
    h: ({ hBase }) => hBase!,
    also: { wBase: base.stitchWidth, hBase: base.rowHeight },
  };
}
