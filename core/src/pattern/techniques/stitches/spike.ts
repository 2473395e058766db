import { CROSS, line, move } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { through, into } from '../moves';

/** A short stitch worked over the one below it, into that stitch’s own foot: firm and thick (handbook 14). */
export const spike: Technique = {
  id: 'spike',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: 'spike stitch',
  stitch: 'spike',
  abbreviation: 'spike st',
  symbol: (x, y, w, h) => `${CROSS(x, y - 0.1 * h, w, h)}${move(x, y)}${line(x, y + 0.75 * h)}`,
  also: ['US: long single crochet', 'UK: long double crochet'],
  what: 'A short stitch worked over the one below it, into that stitch’s own foot: firm and thick.',
  moves: [
    into('below', 1, 'in the place where the next stitch is worked, one row down', 'in foot of next st, 1 row below'),
    { do: 'up', to: { full: 'to the height of the row', short: 'to row height' } },
    through(2),
  ],
  looks: 'A long strand lies over the stitch below, as even as its neighbours.',
  mistake: {
    text: 'A short loop puckers the row.',
    repair: 'Draw the loop up until it lies slack over the row below, then close the stitch.',
  },
  words: ['spike stitches', '{single} and spike stitches', 'spike', 'spikes'],
};
