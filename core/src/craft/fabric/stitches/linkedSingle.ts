import { work, type Instruction } from '../instruction';
import { fixed, plainPattern } from './plain';
import { CROSS, line, move } from './symbols';

const plain = plainPattern({
  id: 'linked-single',
  name: { US: 'linked single crochet', UK: 'linked double crochet' },
  summary: 'Paired with the stitch before: dense, hardly gives.',
  base: 'single',
  stitch: 'linked-single',
  fromRow1: true,
  factors: { rowHeight: 0.8, roundHeight: 0.88, thickness: 2.1, stretchAcross: 0.05, stretchAlong: 0.05, yarn: 7.5 },
  symbol: (x, y, w, h) => `${CROSS(x, y, w, h)}${move(x - 0.5 * w, y)}${line(x - 0.3 * w, y)}`,
});

/** Each pair has its legs in two places: over n of them go n - 1, and the last place takes a plain single (handbook 14). */
function endedPlain(one: Instruction): Instruction[] {
  if (one.do !== 'work' || one.stitch !== 'linked-single') return [one];
  const single = work('single', 1, one.into);
  return one.times > 1 ? [{ ...one, times: one.times - 1 }, single] : [single];
}

/** Each single begins in the leg of the one before: a dense fabric that hardly gives (handbook 2.2). */
export const linkedSingle = fixed({ ...plain, row: (context) => plain.row(context).flatMap(endedPlain) });
