/**
 * The one list of the house. What stands first knows nothing of what comes after it; the linter's rules, the docs' lists and the
 * tests read it from here.
 */

/** Rooms of `core/src` from the ground up. A room within another is taken out of it: `pattern` is all of it but `pattern/techniques`. */
const ROOMS = [
  'base/units',
  'base/figure',
  'craft/things',
  'craft/fabric',
  'craft/counts',
  'craft/fit',
  'craft/cautions',
  'craft/repeating',
  'craft/photograph',
  'piece',
  'drawing',
  'shapes',
  'fittings',
  'pattern',
  'pattern/techniques',
  'plan',
  'plan/begun',
  'reckon',
  'written',
  'make/log',
  'make/adjust',
  'make/learnt',
  'make/scraps',
  'make/sittings',
  'make/batches',
  'compare',
  'out/paper',
  'out/formats',
  'out/calendar',
  'demo',
];

/** Floors of `app/src`, likewise. What `screens` holds is one folder a place; none of them imports another. */
const FLOORS = ['platform', 'data', 'theme', 'reading', 'ui', 'drawing', 'technique', 'shell', 'screens'];

module.exports = { ROOMS, FLOORS };
