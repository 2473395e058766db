import { fixed, plainPattern } from './plain';
import { CROSS, line, move } from './symbols';

/** Ridges run along the rows; across them it stretches like ribbing, and rows come a little shorter (handbook 2.2). */
export const singleBackLoop = fixed(
  plainPattern({
    id: 'single-back-loop',
    name: { US: 'single crochet in the back loop only', UK: 'double crochet in the back loop only' },
    summary: 'Ribbed: stretches most across its ridges.',
    base: 'single',
    stitch: 'single-back-loop',
    symbol: (x, y, w, h) =>
      `${CROSS(x, y, w, h)}${move(x - 0.36 * w, y + 0.38 * h)}${line(x + 0.36 * w, y + 0.38 * h)}`,
    factors: { rowHeight: 0.85, roundHeight: 0.95, thickness: 2, stretchAlong: 0.28 },
  }),
);
