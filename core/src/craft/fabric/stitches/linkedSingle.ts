import { fixed, plainPattern } from './plain';
import { CROSS, line, move } from './symbols';

/** Each single begins in the leg of the one before: a dense fabric that hardly gives (handbook 2.2). */
export const linkedSingle = fixed(
  plainPattern({
    id: 'linked-single',
    name: { US: 'linked single crochet', UK: 'linked double crochet' },
    summary: 'Paired with the stitch before: dense, hardly gives.',
    base: 'single',
    stitch: 'linked-single',
    fromRow1: true,
    factors: { rowHeight: 0.8, roundHeight: 0.88, thickness: 2.1, stretchAcross: 0.05, stretchAlong: 0.05, yarn: 7.5 },
    symbol: (x, y, w, h) => `${CROSS(x, y, w, h)}${move(x - 0.5 * w, y)}${line(x - 0.3 * w, y)}`,
  }),
);
