import type { Moment } from './definition';

/** From about so many stitches on a base shows which way it curls (handbook 8). */
const SHOWS_FROM = 30;

export const growingCurls: Moment = {
  id: 'growing-curls',
  at: ({ worked, cupped, courses }) => {
    if (worked !== 'rounds' || cupped) return undefined;
    const at = courses.findIndex(({ section, ends }) => section === 'base' && ends >= SHOWS_FROM);
    return at > 1 ? at + 1 : undefined;
  },
  says: ({ facing }) =>
    facing === 'wrong'
      ? 'A little curl in the first rounds settles. Keep the side that faces you outside until the end.'
      : 'A little curl in the first rounds settles. Turn the right side outside now, if it is not.',
};
