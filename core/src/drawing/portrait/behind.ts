import type { Cloth, Part, View } from '../parts';
import { hueOf, upright } from './lying';
import { isCloth } from './types';

type Loop = Extract<Part, { type: 'loop' }>;

/** The same outline with the back’s own rows; what is fastened in front is not seen. */
export function backParts(folded: View, flat: View | undefined): Part[] {
  const cloths = folded.parts.filter(isCloth);
  const outer = cloths.find(({ role }) => role !== 'flap' && role !== 'turn');
  if (!outer) return [];
  const own = flat?.parts.filter(isCloth).find(({ role }) => role === 'back');
  const whole = cloths
    .filter(({ role }) => role !== 'flap')
    .reduce((box, { y, h }) => ({ y: Math.min(box.y, y), low: Math.max(box.low, y + h) }), {
      y: outer.y,
      low: outer.y + outer.h,
    });
  const back: Cloth = {
    ...outer,
    ...(own ? { role: 'back', rows: upright(own), ...hueOf(own) } : {}),
    y: whole.y,
    h: whole.low - whole.y,
  };
  const hangs = folded.parts.filter((part) => part.type === 'loop' && beyond(part, outer));
  const borders = folded.parts.filter((part) => part.type === 'border' && part.h > 0.8 * back.h);
  const ribbons = folded.parts.filter((part) => part.type === 'ribbon');
  const [over, under] = [
    ribbons.filter(({ on }) => on === 'back' || on === 'edge'),
    ribbons.filter(({ on }) => on === 'behind'),
  ];
  return [...under, back, ...borders, ...over, ...hangs];
}

/** Whether a loop stands out at the sides or on top, so that it is seen from behind as well. */
const beyond = ({ towards, x, y }: Loop, { x: left, y: top, w }: Cloth): boolean =>
  towards === 'up' ? y <= top + 1 : towards === 'left' ? x <= left + 1 : towards === 'right' && x >= left + w - 1;
